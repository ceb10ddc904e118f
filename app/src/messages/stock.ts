import type { Bar, BarShape, BlankLine, Surface } from '@whelk/core/stock';

export const sectionNames: Record<BarShape, string> = {
  round: 'Round',
  hexagon: 'Hexagon',
  square: 'Square',
  tube: 'Tube',
  casting: 'Casting',
};
export const surfaceNames: Record<Surface, string> = {
  bright: 'Bright drawn',
  ground: 'Ground',
  turned: 'Turned or sawn clean',
  black: 'Black, rolled',
  cast: 'Cast',
};

/** A bar's section in a few words: `Ø45 mm`, `26 mm hexagon`, `Ø40 × Ø20 mm tube`. */
export function barText(bar: Pick<Bar, 'shape' | 'diameter' | 'bore' | 'allowance'>): string {
  const { diameter, bore, allowance, shape = 'round' } = bar;
  const unit = ` ${diameter.unit}`;
  if (shape === 'hexagon' || shape === 'square') return `${diameter.text}${unit} ${shape}`;
  const hole = bore ? ` × Ø${bore.text}` : '';
  return `Ø${diameter.text}${hole}${unit}${shape === 'round' ? '' : ` ${shape}`}${allowance ? `, ${allowance.text} on every surface` : ''}`;
}

/** What gives when a piece is shorter than wanted. */
export const givesText: Record<'grip' | 'clearance' | 'faceTail' | 'faceHead', string> = {
  grip: 'grip',
  clearance: 'the air before the jaws',
  faceTail: 'facing at the tail end',
  faceHead: 'facing at the other end',
};

export const blankLineText: Record<BlankLine['part'], string> = {
  finished: 'finished length',
  grip: 'grip in the jaws',
  clearance: 'clear of the jaws',
  faceTail: 'to face at the tail end',
  faceHead: 'to face at the other end',
  kerf: 'saw cut when cutting off',
  slot: 'parting slot, as wide as it becomes',
  spigotTail: 'spigot at the tail end',
  spigotHead: 'spigot at the other end',
};
