import type { GROOVE_SHAPES } from '@whelk/core/part';
import type { ShownDetail } from './shown.ts';

const shapeNames: Record<(typeof GROOVE_SHAPES)[number], string> = {
  square: 'square',
  round: 'round',
  vee: 'vee',
  angled: 'leaning walls',
};

export const groove: ShownDetail<'groove'> = {
  name: 'Groove',
  words: ({ width }) => `Groove${width.text.trim() ? ` ${width.text.trim()} ${width.unit}` : ''}`,
  lines: ({ shape, by }, unit) => [
    { key: 'at', label: `At, ${unit}`, hint: '0' },
    { key: 'width', label: `Width, ${unit}`, hint: shape === 'round' || shape === 'vee' ? 'follows' : undefined },
    { key: 'floor', label: by === 'floor' ? `Floor Ø, ${unit}` : `Depth, ${unit}` },
    { key: 'floorLimits', label: 'its limits', hint: 'none' },
    ...(shape === 'vee' ? [{ key: 'angle', label: 'Angle, °', hint: '60' }] : []),
    ...(shape === 'angled' ? [{ key: 'angle', label: 'Lean, °', hint: '15' }] : []),
  ],
  choices: [
    {
      ...{ key: 'to', label: 'Place of' },
      options: [
        ['edge', 'near edge'],
        ['centre', 'centre'],
      ],
    },
    { key: 'shape', label: 'Shape', options: Object.entries(shapeNames) },
    {
      ...{ key: 'by', label: 'By' },
      options: [
        ['floor', 'floor Ø'],
        ['depth', 'depth'],
      ],
    },
  ],
};
