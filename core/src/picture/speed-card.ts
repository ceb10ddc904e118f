import { chooseSpeed, rpmFor, type SpeedPolicy, speedTable, switchRpm, usualPolicy } from '../cutting/index.ts';
import { chuckOf, fixedSpeeds, type Lathe } from '../lathe/index.ts';
import { inchFraction } from '../quantity/index.ts';
import type { Picture, Shape } from './picture.ts';

/** A material on the card with the cutting speed it is turned at. */
export interface CardMaterial {
  readonly name: string;
  readonly speedMPerMin: number;
}
export interface SpeedCard {
  readonly lathe: Lathe;
  readonly materials: readonly CardMaterial[];
  /** words over and under the table, already worded */
  readonly title: string;
  readonly underTitle: string;
  readonly foot: string;
  readonly policy?: SpeedPolicy;
}

/** A4, landscape, mm. */
const PAGE = { width: 297, height: 210, margin: 10 };
const HEAD = 30;
const FOOT = 9;
/** Diameters down the side where a stepless lathe has no levers to list. */
const DIAMETERS_MM = [4, 6, 8, 10, 12, 16, 20, 25, 32, 40, 50, 63, 80, 100];
/** Narrowest a letter is drawn, as a share of its height: what fits is worked out with it. */
const LETTER = 0.56;

interface Cell {
  readonly big: string;
  readonly small: string;
}
/** A row of the card: its head, and a cell for each material. */
export interface CardRow extends Cell {
  readonly cells: readonly Cell[];
}

const wholeMm = (mm: number): string => (mm < 10 ? String(Math.round(mm * 2) / 2) : String(Math.round(mm)));
const inches = (mm: number): string => inchFraction(mm, mm < 25.4 ? 16 : 8);

/** Diameters for which a speed is the one to set: from where a faster one is taken to where a slower one is. */
function rangeOf(material: CardMaterial, takenFrom: number, fasterFrom: number | undefined, largestMm: number): Cell {
  const toMm = rpmFor(material.speedMPerMin, takenFrom);
  const fromMm = fasterFrom === undefined ? 0 : rpmFor(material.speedMPerMin, fasterFrom);
  if (fromMm >= largestMm) return { big: '–', small: '' };
  if (fromMm === 0) return { big: `to ${wholeMm(toMm)}`, small: `to ${inches(toMm)} in` };
  if (toMm >= largestMm) return { big: `over ${wholeMm(fromMm)}`, small: `over ${inches(fromMm)} in` };
  return { big: `${wholeMm(fromMm)}–${wholeMm(toMm)}`, small: `${inches(fromMm)} – ${inches(toMm)} in` };
}

function leverRows(lathe: Lathe, materials: readonly CardMaterial[], policy = usualPolicy): CardRow[] {
  const most = chuckOf(lathe).maxRpm;
  const speeds = fixedSpeeds(lathe).filter((s) => s.rpm <= most);
  // ideal from which each speed is taken
  const from = speeds.map((s, i) =>
    i === 0 ? s.rpm / (1 + policy.aboveShare) : switchRpm(speeds[i - 1]!.rpm, s.rpm, policy),
  );
  return speeds
    .map((s, i) => ({
      // the marks alone, as large as they go: their levers are named over the column
      big: lathe.spindle.controls.map((c) => s.setting.at[c.id] ?? '').join(' · '),
      small: `${s.rpm} rpm`,
      cells: materials.map((m) => rangeOf(m, from[i]!, from[i + 1], lathe.sizes.swingOverCrossSlideMm)),
    }))
    .toReversed();
}

function diameterRows(lathe: Lathe, materials: readonly CardMaterial[], policy?: SpeedPolicy): CardRow[] {
  const table = speedTable(lathe, chuckOf(lathe).maxRpm);
  const cell = (m: CardMaterial, diameterMm: number): Cell => {
    const chosen = chooseSpeed(table, rpmFor(m.speedMPerMin, diameterMm), undefined, policy);
    return chosen ? { big: String(chosen.speed.rpm), small: chosen.speed.label } : { big: '–', small: '' };
  };
  return DIAMETERS_MM.filter((d) => d <= lathe.sizes.swingOverCrossSlideMm).map((d) => ({
    big: `Ø${d}`,
    small: `${inches(d)} in`,
    cells: materials.map((m) => cell(m, d)),
  }));
}

/**
 * What stands on a lathe's card: levers against the diameters that each is right for; for a stepless lathe diameters against
 * rpm. Both units.
 * @param policy how the shop chooses among the speeds there are, so that card and plan say the same
 * @source the setting that chooseSpeed takes: D from 1000·v/(π·where the next faster is taken) to 1000·v/(π·where this one is)
 */
export function speedCardRows(lathe: Lathe, materials: readonly CardMaterial[], policy?: SpeedPolicy): CardRow[] {
  return fixedSpeeds(lathe).length > 0 ? leverRows(lathe, materials, policy) : diameterRows(lathe, materials, policy);
}

/** Largest size, mm, at which a text fits a width. */
const fit = (text: string, widthMm: number, mostMm: number): number =>
  Math.min(mostMm, widthMm / Math.max(1, text.length * LETTER));

/**
 * The speed card for the wall: every lever position against the diameters it is right for, one column a material, both
 * units. For a stepless lathe the rows are diameters and the cells rpm.
 * @param card at least one material; four or five stay readable from across the shop
 * @returns a picture in millimetres of A4 landscape
 */
export function speedCardPicture(card: SpeedCard): Picture {
  const rows = speedCardRows(card.lathe, card.materials, card.policy);
  const { width, height, margin } = PAGE;
  const left = 62;
  const column = (width - 2 * margin - left) / Math.max(1, card.materials.length);
  const rowTall = Math.min(20, (height - 2 * margin - HEAD - FOOT) / Math.max(1, rows.length));
  const levers =
    fixedSpeeds(card.lathe).length > 0 ? card.lathe.spindle.controls.map((c) => c.name).join(' · ') : 'Ø, mm';
  const x = (i: number) => margin + left + i * column;
  const top = margin + HEAD;
  const text = (at: readonly [number, number], words: string, size: number, bold = false): Shape => ({
    kind: 'text',
    role: bold ? 'selectedLabel' : 'label',
    at,
    text: words,
    anchor: at[0] === margin + 1 || at[0] === margin ? 'start' : 'middle',
    size,
  });
  const line = (y: number, role: 'outline' | 'dimension'): Shape => ({
    kind: 'polyline',
    role,
    points: [
      [margin, y],
      [width - margin, y],
    ],
  });
  const shapes: Shape[] = [
    text([margin, margin + 10], card.title, 11, true),
    text([margin, margin + 17], card.underTitle, 4.6),
    ...card.materials.flatMap((m, i): Shape[] => [
      text([x(i) + column / 2, top - 6.5], m.name, fit(m.name, column - 3, 6), true),
      text([x(i) + column / 2, top - 1.5], `${Math.round(m.speedMPerMin)} m/min`, 4),
    ]),
    text([margin + 1, top - 3], levers, fit(levers, left - 4, 6), true),
    line(top, 'outline'),
  ];
  // big figures that all have the same size, so that no row seems to shout
  const big = Math.min(rowTall * 0.58, ...rows.flatMap((r) => r.cells.map((c) => fit(c.big, column - 4, 12))));
  const label = Math.min(rowTall * 0.5, ...rows.map((r) => fit(r.big, left - 3, 11)));
  const small = Math.min(rowTall * 0.27, 4.6);
  for (const [i, row] of rows.entries()) {
    const y = top + i * rowTall;
    shapes.push(
      text([margin + 1, y + rowTall * 0.52], row.big, label, true),
      text([margin + 1, y + rowTall * 0.88], row.small, small),
      ...row.cells.flatMap((cell, k): Shape[] => [
        text([x(k) + column / 2, y + rowTall * 0.58], cell.big, big, true),
        text([x(k) + column / 2, y + rowTall * 0.9], cell.small, Math.min(small, fit(cell.small, column - 3, small))),
      ]),
      line(y + rowTall, 'dimension'),
    );
  }
  shapes.push(text([margin, height - margin], card.foot, Math.min(4, fit(card.foot, width - 2 * margin, 4))));
  return { width, height, unitsPerMm: 1, origin: [margin, top], shapes };
}
