import { calculate, calculationNamed } from '../../src/calc/index.ts';
import { chanceOf } from '../../src/simulate/index.ts';
import { boreStep, drawer, holeGauges } from '../../src/testing/drawer.ts';
import { jobOf, shopWith, twoChucks } from '../../src/testing/jobs.ts';
import { feature, mm } from '../../src/testing/shop.ts';
import { type Answer, follow } from './asking.ts';
import { PretendedConeCut } from './cone-world.ts';

/** One line of the judge's cones: 1 in so much, its size and limits at the large end, and how much it springs. */
export interface ConeRow {
  readonly side: 'outside' | 'inside';
  readonly ratio: number;
  readonly largeMm: number;
  readonly lengthMm: number;
  /** half of the limits' width, mm */
  readonly withinMm: number;
  readonly springShare: number;
}
export const CONE_ROWS: readonly ConeRow[] = [
  { side: 'outside', ratio: 20, largeMm: 24, lengthMm: 75, withinMm: 0.1, springShare: 0.04 },
  { side: 'outside', ratio: 50, largeMm: 16, lengthMm: 60, withinMm: 0.05, springShare: 0.08 },
  { side: 'outside', ratio: 3, largeMm: 24, lengthMm: 20, withinMm: 0.1, springShare: 0.04 },
  { side: 'inside', ratio: 10, largeMm: 26, lengthMm: 40, withinMm: 0.1, springShare: 0.08 },
];
const LINE_MM = 0.02;
const LINES = 100;
const GAUGE_MM = 0.004;
const TRAVEL_MM = 50;
const EYE_RAD = (Math.PI / 180) * 0.15;
/** The bar over the cone's large end, mm on the diameter. */
const BAR_OVER_MM = { outside: 6, inside: 14 } as const;
const begin = calculationNamed('run.begin')!;
const GAUGE = holeGauges.find((i) => i.kind === 'micrometer')!.id;

/** The run that is told for a row. */
export function coneRun({ side, ratio, largeMm, lengthMm, withinMm }: ConeRow): object {
  const empty = { text: '', unit: 'mm' as const };
  const cone = { kind: 'taper' as never, taper: `1:${ratio}`, end: empty };
  const limits = `±${withinMm}`;
  const job =
    side === 'outside'
      ? jobOf([feature(1, largeMm + 4, 20), { ...feature(2, largeMm, lengthMm, limits), ...cone }])
      : jobOf([feature(1, largeMm + 12, lengthMm + 10)], 1, {
          bores: {
            left: [],
            right: [
              { ...boreStep('cone', largeMm, lengthMm, { limits, kind: 'taper' }), taper: `1:${ratio}`, end: empty },
              boreStep('core', Math.floor(largeMm - lengthMm / ratio - 2), '', { limits: '±0.3', kind: 'bored' }),
            ],
          },
        });
  const bar = mm(largeMm + BAR_OVER_MM[side]).text;
  const shop = { ...shopWith(bar, '900', twoChucks, 'medium-carbon-steel'), tools: drawer, instruments: holeGauges };
  const answer = calculate(begin, { job, shop });
  if (!answer.ok) throw new Error(JSON.stringify(answer.problems));
  return (answer.result as { run: object }).run;
}

export interface TurnedCone {
  readonly finished: boolean;
  /** at the large end, where it is drawn, and of the whole slope what it is off, mm on the diameter over its length */
  readonly sizeMm: number;
  readonly slopeOffMm: number;
  readonly corrections: number;
  readonly measurements: number;
}

/** Turns one cone as it is told, to the end. */
export function turnCone(row: ConeRow, run: object, seed: number): TurnedCone {
  const { side, ratio, lengthMm, springShare } = row;
  const { add, ask } = follow(run);
  const steps = (
    run as { steps: { id: string; kind: string; featureId?: string; targetMm?: number; fromMm?: number }[] }
  ).steps;
  const own = steps.find((s) => s.kind === 'taperSet')!.featureId!;
  // as it stands parallel before the cone: roughed to its largest, or bored right through
  const parallel =
    side === 'outside'
      ? steps.findLast((s) => s.kind === 'rough' && s.featureId === own && !s.id.includes('-step-'))!
      : steps.findLast((s) => s.kind === 'finish' && s.featureId !== own && s.featureId?.startsWith('core'))!;
  const chance = chanceOf(seed * 6007 + 11);
  const cone = new PretendedConeCut({
    ...{ seed, side, lengthMm, halfRad: Math.atan(1 / ratio / 2), offRad: chance.between(-EYE_RAD, EYE_RAD) },
    ...{
      startMm: parallel.targetMm! + chance.between(-0.03, 0.03),
      overMm: TRAVEL_MM,
      gain: chance.between(-0.05, 0.05),
    },
    ...{ lineMm: LINE_MM, springShare, shortMm: 0.003, touchMm: 0.015, placeMm: 0.3, handLines: 0.1 },
    ...{ gaugeMm: GAUGE_MM, clampedMm: 0.002 },
  });
  let [corrections, measurements] = [0, 0];
  const done = (finished: boolean): TurnedCone => ({
    ...{ finished, corrections, measurements },
    sizeMm: cone.diameterAt(side === 'outside' ? lengthMm : 0),
    slopeOffMm: (cone.perLength - 1 / ratio) * lengthMm,
  });
  for (let guard = 0; guard < 400; guard++) {
    const told: Answer = ask();
    if (told.over) return done(true);
    const { step } = told;
    const onCone = step.featureId === own;
    const doubt = told.asks[0];
    if (doubt && step.kind !== 'touchOff') {
      add({ kind: 'confirmed', readingId: doubt.eventId });
      continue;
    }
    if (doubt) throw new Error(`touched as it was told at ${step.id}, and asked about`);
    if (step.kind === 'touchOff') {
      const here = onCone && step.id.endsWith('-touchOff');
      if (here) cone.touch();
      add({
        ...{
          kind: 'touchedOff',
          stepId: step.id,
          approach: 'in',
          crossNumber: '0.00',
          endNumber: '0',
        },
        diameter: {
          text: (here ? touchedMm(cone) : (step.targetMm ?? row.largeMm + BAR_OVER_MM[side] - 1)).toFixed(3),
          unit: 'mm',
        },
      });
      continue;
    }
    if (step.kind === 'measure' && !told.measured) {
      if (!onCone) {
        const { lowerMm, upperMm } = step.limits;
        const mm = step.last ? (lowerMm + upperMm) / 2 : step.targetMm;
        add({
          ...{ kind: 'reading', stepId: step.id, instrumentId: 'unlisted', place: 'middle', lookedAgain: true },
          raw: { text: mm.toFixed(3), unit: 'mm' },
        });
        continue;
      }
      measurements++;
      for (const stationMm of step.stationsMm)
        add({
          ...{ kind: 'reading', stepId: step.id, instrumentId: GAUGE, place: 'there', stationMm },
          raw: { text: cone.read(stationMm).toFixed(3), unit: 'mm' },
        });
      continue;
    }
    const found = told.measured?.cone;
    if (found?.moveMm !== undefined && found.room && !step.last) {
      corrections++;
      cone.move(found.moveMm);
      cone.touchCone();
      add({ kind: 'taperMoved', stepId: step.id, moveMm: found.moveMm, crossNumber: '0.00' });
      continue;
    }
    if (step.kind === 'rough' && onCone && step.id.includes('-step-'))
      cone.step(step.targetMm + chance.between(-0.03, 0.03), step.zEndMm - step.zStopMm);
    const [act] = told.acts;
    if (!act || act.code === 'gone') return done(false);
    if (told.move?.kind === 'move' && onCone && /^taper/.test(step.kind)) {
      const { fullTurns, rest, outTurns } = told.move;
      cone.wind(fullTurns * LINES + Number(rest) / LINE_MM - outTurns * LINES);
      cone.pass();
    }
    add(act.code === 'byHand' ? told.acts.at(-1).body : act.body);
  }
  return done(false);
}
const touchedMm = (cone: PretendedConeCut): number => cone.read(0);

export interface CountedCones {
  readonly count: number;
  readonly finished: number;
  readonly inside: number;
  readonly spoiled: number;
  readonly corrections: number;
  readonly measurements: number;
  /** of the slope what nineteen in twenty are within, mm on the diameter over the length */
  readonly slopeMm: number;
}
/** Many of a row. */
export function turnCones(row: ConeRow, count: number): CountedCones {
  const run = coneRun(row);
  const made = Array.from({ length: count }, (_, i) => turnCone(row, run, i + 1));
  const off = (one: TurnedCone): number => (row.side === 'outside' ? 1 : -1) * (one.sizeMm - row.largeMm);
  const slopes = made.map((one) => Math.abs(one.slopeOffMm)).toSorted((a, b) => a - b);
  return {
    count,
    finished: made.filter((one) => one.finished).length,
    inside: made.filter((one) => Math.abs(off(one)) <= row.withinMm + GAUGE_MM).length,
    spoiled: made.filter((one) => off(one) < -row.withinMm - 1e-6).length,
    corrections: made.reduce((sum, one) => sum + one.corrections, 0) / count,
    measurements: made.reduce((sum, one) => sum + one.measurements, 0) / count,
    slopeMm: slopes[Math.floor(0.95 * count)]!,
  };
}
