import {
  type Calibration,
  type CalibrationKind,
  dialNamed,
  type Lathe,
  positionsKey,
  positionsLabel,
  readDialNumber,
} from '@whelk/core/lathe';

export const dialNames = {
  crossSlide: 'cross-slide',
  carriage: 'carriage',
  compound: 'compound',
  quill: 'quill',
} as const;
type DialName = keyof typeof dialNames;

/** What each kind asks for, in the order it is read at the lathe. */
export const calibrationKinds: Record<
  CalibrationKind,
  { name: string; how: string; fields: readonly (readonly [string, string, string])[] }
> = {
  feed: {
    name: 'Feed, by time and distance',
    how: 'Take up the slack, let it feed for a fixed time at a known speed, and read how far the carriage went.',
    fields: [
      ['rpm', 'Spindle, rpm', '155'],
      ['seconds', 'Time, s', '60'],
      ['distance', 'Distance', '31.5 mm'],
    ],
  },
  dial: {
    name: 'Ring, against an indicator',
    how: 'Always from one side. Several travels, each by the ring and by the indicator.',
    fields: [
      ['byDial', 'By the ring, with commas', '10, 20, 40'],
      ['byIndicator', 'By the indicator', '10.02, 20.05, 40.08'],
    ],
  },
  slack: {
    name: 'Slack, by two approaches',
    how: 'Bring the slide to the same reading of an indicator from either side, and note the ring’s number each time.',
    fields: [
      ['fromOut', 'Ring’s number, coming in', '0.12'],
      ['fromIn', 'Ring’s number, coming out', '0.26'],
    ],
  },
  speed: {
    name: 'Spindle, by tachometer',
    how: 'Running free, warm. Several readings.',
    fields: [['rpms', 'rpm, with commas', '226, 228']],
  },
  twoDepths: {
    name: 'Spring, a stiff bar at two depths',
    how: 'A stiff bar standing out little, medium carbon steel, about 0.1 mm a turn. Cut it clean and measure; a shallow cut, measure; then move the ring in by a noted travel for a deep cut, and measure. The touch is not in it.',
    fields: [
      ['before', 'Ø before', '40'],
      ['shallow', 'Ø after the shallow cut', '39.8'],
      ['deep', 'Ø after the deep cut', '38.8'],
      ['movedIn', 'Ring moved in between them, on the radius', '0.516'],
    ],
  },
  spring: {
    name: 'Spring, from one cut',
    how: 'One cut at a usual depth, then measure what it left. Touch and spring are not told apart: two depths say more.',
    fields: [
      ['asked', 'Ø the dial stood for', '30'],
      ['got', 'Ø measured', '30.02'],
      ['depth', 'Depth, on the radius', '0.5'],
    ],
  },
};

/**
 * The calibration as the shop keeps it, out of the texts typed; what cannot be read stays what the schema refuses.
 * Several readings stand in one field with commas between.
 */
export function bodyOf(kind: CalibrationKind, of: string, texts: Record<string, string>, lathe: Lathe): object {
  const typed = (key: string) => ({ text: texts[key]?.trim() ?? '', unit: lathe.unit });
  const list = (key: string) => (texts[key] ?? '').split(',').map((t) => t.trim());
  const number = (key: string) => Number(texts[key]);
  if (kind === 'feed') {
    const at = lathe.feeds.settings.find((s) => positionsKey(s.at) === of)?.at ?? {};
    return { kind, feedAt: at, rpm: number('rpm'), seconds: number('seconds'), distance: typed('distance') };
  }
  if (kind === 'speed') {
    const at = lathe.spindle.settings.find((s) => positionsKey(s.at) === of)?.at ?? {};
    return { kind, spindleAt: at, rpms: list('rpms').map(Number) };
  }
  if (kind === 'twoDepths')
    return { kind, before: typed('before'), shallow: typed('shallow'), deep: typed('deep'), movedIn: typed('movedIn') };
  if (kind === 'spring') return { kind, asked: typed('asked'), got: typed('got'), depth: typed('depth') };
  const [a, b] = kind === 'dial' ? [list('byDial'), list('byIndicator')] : [list('fromOut'), list('fromIn')];
  const pairs = a.map((first, i) => [first, b[i] ?? ''] as const);
  const dial = of as DialName;
  const ring = dialNamed(lathe, dial);
  const lines = (text: string) => {
    const read = ring && readDialNumber(ring, text);
    return read?.ok ? read.lines : Number.NaN;
  };
  return kind === 'dial'
    ? {
        kind,
        dial,
        readings: pairs.map(([x, y]) => ({
          byDial: { text: x, unit: lathe.unit },
          byIndicator: { text: y, unit: lathe.unit },
        })),
      }
    : { kind, dial, pairs: pairs.map(([x, y]) => ({ fromOutLines: lines(x), fromInLines: lines(y) })) };
}

/** The value a calibration gives, with its unit. */
export function valueText(calibration: Calibration, value: number): string {
  switch (calibration.kind) {
    case 'feed':
      return `${value.toFixed(3)} mm a turn`;
    case 'dial':
      return `${value.toFixed(4)} of the ring’s travel`;
    case 'slack':
      return `${value.toFixed(3)} mm`;
    case 'speed':
      return `${value.toFixed(0)} rpm`;
    case 'twoDepths':
    case 'spring':
      return `${(value * 100).toFixed(1)} % of the depth`;
  }
}

/** What of the lathe a calibration is about. */
export function subjectOf(lathe: Lathe, c: Calibration): string {
  if (c.kind === 'feed') return positionsLabel(lathe.feeds.controls, c.feedAt) || 'feed';
  if (c.kind === 'speed') return positionsLabel(lathe.spindle.controls, c.spindleAt);
  if (c.kind === 'twoDepths') return 'two cuts';
  return c.kind === 'spring' ? 'a trial cut' : dialNames[c.dial];
}

/** What of this lathe a kind of calibration can be about: keys and names. */
export function subjects(lathe: Lathe, kind: CalibrationKind): readonly (readonly [string, string])[] {
  if (kind === 'feed')
    return lathe.feeds.settings.map((s) => [
      positionsKey(s.at),
      positionsLabel(lathe.feeds.controls, s.at) || 'the feed',
    ]);
  if (kind === 'speed')
    return lathe.spindle.settings
      .filter((s) => s.kind !== 'stepless')
      .map((s) => [positionsKey(s.at), positionsLabel(lathe.spindle.controls, s.at)]);
  if (kind === 'spring') return [['', 'a trial cut']];
  if (kind === 'twoDepths') return [['', 'two cuts']];
  return (Object.keys(dialNames) as DialName[])
    .filter((name) => dialNamed(lathe, name))
    .map((name) => [name, dialNames[name]]);
}
