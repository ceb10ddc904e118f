import { BARS_TURN_BY, type BoringBar, type Tool } from '@whelk/core/tool';
import { barTurnsNames } from '../messages/tools.ts';
import type { fieldReader } from '../ui/records/read-fields.ts';
import type { Column } from '../ui/records/record-view.ts';

type Texts = Readonly<Record<string, string>>;
type Turns = NonNullable<BoringBar['turns']>;

const isBar = (texts: Texts): boolean => texts.kind === 'boring bar';
const turns = (texts: Texts): boolean => isBar(texts) && BARS_TURN_BY.some((by) => by === texts.turnsBy);
const of = (tool: Tool): Partial<Turns> => (tool.kind === 'boring bar' && tool.turns) || {};

const field = (key: string, label: string, edit: (t: Partial<Turns>) => unknown, begins: string): Column<Tool> => ({
  ...{ key, label, show: () => '', edit: (tool: Tool) => String(edit(of(tool)) ?? begins), begins },
  ...{ onlyTyped: true, when: turns },
});
const choices = (column: Column<Tool>, names: readonly (readonly [string, string])[]): Column<Tool> => ({
  ...column,
  choices: names,
});

/** Fields of a boring bar that tell whether it turns itself, and of the screw that brings its cutter out. */
export const turningBarColumns: readonly Column<Tool>[] = [
  {
    ...choices(
      field('turnsBy', 'It is held', (t) => t.by, 'post'),
      [
        ['post', 'in the post, the work turns'],
        ...BARS_TURN_BY.map((by) => [by, `${barTurnsNames[by]}, the work stands`] as const),
      ],
    ),
    when: isBar,
  },
  field('mostBoreMm', 'Largest hole, mm', (t) => t.mostBoreMm, ''),
  {
    ...field('mostSpigotMm', 'Raw spigots up to, mm', (t) => t.mostSpigotMm, ''),
    when: (texts) => turns(texts) && texts.turnsBy === 'head',
  },
  choices(
    field('screwUnit', 'Its screw in', (t) => t.unit, 'mm'),
    (['mm', 'in'] as const).map((u) => [u, u] as const),
  ),
  field('screwTravel', 'Travel a turn', (t) => t.travelPerTurn, ''),
  field('screwDivisions', 'Lines a turn', (t) => t.divisions, ''),
  choices(
    field('screwKind', 'Its numbers count', (t) => t.kind, 'radius'),
    [
      ['radius', 'the radius'],
      ['diameter', 'the diameter'],
    ],
  ),
  choices(
    field('screwClockwise', 'Clockwise the cutter goes', (t) => t.clockwise, 'out'),
    (['out', 'in'] as const).map((way) => [way, way] as const),
  ),
  field('cutterDeg', 'Cutter to bar, °', (t) => t.angleDeg, '90'),
  field('screwSlackMm', 'Its slack, mm', (t) => t.slackMm, '0.05'),
];

/** How a bar turns as it is typed; nothing where it stands in the post. */
export function readTurns(texts: Texts, reader: ReturnType<typeof fieldReader>): { turns?: Turns } {
  if (!turns(texts)) return {};
  const travelPerTurn = (texts.screwTravel ?? '').trim().replace(',', '.');
  if (!/^\d{1,2}(\.\d{1,5})?$/.test(travelPerTurn) || Number(travelPerTurn) <= 0)
    reader.problems.screwTravel = { code: 'input.wrongType', path: [], limit: 'number such as 0.5' };
  const angleDeg = reader.degrees('cutterDeg', 20, 90);
  return {
    turns: {
      by: texts.turnsBy === 'head' ? 'head' : 'centres',
      mostBoreMm: reader.mm('mostBoreMm', 'positive', 2000),
      ...(texts.turnsBy === 'head' && (texts.mostSpigotMm ?? '').trim() !== ''
        ? { mostSpigotMm: reader.mm('mostSpigotMm', 'positive', 2000) }
        : {}),
      unit: texts.screwUnit === 'in' ? 'in' : 'mm',
      travelPerTurn,
      divisions: reader.number('screwDivisions', 1, 1000, true),
      kind: texts.screwKind === 'diameter' ? 'diameter' : 'radius',
      ...(angleDeg < 90 ? { angleDeg } : {}),
      slackMm: reader.mm('screwSlackMm', 'notNegative', 2),
      clockwise: texts.screwClockwise === 'in' ? 'in' : 'out',
    },
  };
}
