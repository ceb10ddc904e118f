import type { ShownDetail } from './shown.ts';

export const thread: ShownDetail<'thread'> = {
  name: 'Thread',
  words: ({ designation, hand }) => `Thread ${designation.trim()}${hand === 'left' ? ' LH' : ''}`.trim(),
  lines: (_, unit) => [
    { key: 'designation', label: 'Thread', hint: 'M24x2' },
    { key: 'length', label: `Length, ${unit}`, hint: 'all' },
    { key: 'class', label: 'Class', hint: '6g' },
  ],
  choices: [
    {
      ...{ key: 'hand', label: 'Hand' },
      options: [
        ['right', 'right'],
        ['left', 'left'],
      ],
    },
  ],
};
