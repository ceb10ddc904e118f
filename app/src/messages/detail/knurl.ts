import type { ShownDetail } from './shown.ts';

export const knurl: ShownDetail<'knurl'> = {
  name: 'Knurl',
  words: ({ pitch }) => `Knurl${pitch.text.trim() ? ` ${pitch.text.trim()} ${pitch.unit}` : ''}`,
  lines: (_, unit) => [
    { key: 'pitch', label: `Pitch, ${unit}` },
    { key: 'at', label: `At, ${unit}`, hint: '0' },
    { key: 'length', label: `Length, ${unit}`, hint: 'all' },
  ],
  choices: [
    {
      ...{ key: 'pattern', label: 'Pattern' },
      options: [
        ['crossed', 'crossed'],
        ['straight', 'straight'],
      ],
    },
  ],
};
