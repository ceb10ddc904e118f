import type { Drawing } from './drawing.ts';

/** What of a drawing can be made to fit a mate: a diameter, or a thread by its pitch diameter. */
export interface Fittable {
  readonly id: string;
  readonly label: string;
  readonly inside: boolean;
  readonly thread: boolean;
  /** whether its size is drawn yet */
  readonly sized: boolean;
}

/** All that can be made to fit a mate, lengths in their order, each before its threads, as they are named on the drawing. */
export function fittables({ features, bores }: Drawing): readonly Fittable[] {
  return [
    ...features.map((f) => ({ f, inside: false })),
    ...[...bores.left, ...bores.right].map((f) => ({ f, inside: true })),
  ].flatMap(({ f, inside }) => {
    const name = f.name.trim() ? `${f.name.trim()}, ` : '';
    const diameter = f.diameter.text.trim();
    return [
      {
        id: f.id,
        label: `${name}Ø${diameter} ${f.limits.trim()}`.trim(),
        inside,
        thread: false,
        sized: diameter !== '',
      },
      ...f.details.flatMap((d): Fittable[] => {
        if (d.kind !== 'thread') return [];
        const label = `${name}${d.designation.trim()}${d.hand === 'left' ? ' LH' : ''} ${d.class.trim()}`.trim();
        return [{ id: d.id, label, inside, thread: true, sized: d.designation.trim() !== '' }];
      }),
    ];
  });
}
