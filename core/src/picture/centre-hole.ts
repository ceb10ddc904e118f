import type { Picture, Shape } from './picture.ts';

/** A centre hole cut through: pilot and cone from the face on the right, with its mouth, pilot and depth as sizes. */
export function centreHolePicture(
  hole: { readonly pilotMm: number; readonly mouthMm: number; readonly totalMm: number; readonly coneMm: number },
  words: { readonly pilot: string; readonly mouth: string; readonly depth: string },
): Picture {
  const [width, height] = [330, 200];
  const axis = 92;
  const face = 230;
  const scale = Math.min(150 / hole.totalMm, 104 / hole.mouthMm);
  const x = (inMm: number) => face - inMm * scale;
  const y = (rMm: number) => axis - rMm * scale;
  const [pilot, mouth] = [hole.pilotMm / 2, hole.mouthMm / 2];
  // the drill's point is a short cone of 120°
  const tip = hole.totalMm;
  const shoulder = tip - pilot * 0.58;
  const upper: [number, number][] = [
    [face, y(mouth)],
    [x(hole.coneMm), y(pilot)],
    [x(shoulder), y(pilot)],
    [x(tip), axis],
  ];
  const lower = upper.map(([px, py]): [number, number] => [px, 2 * axis - py]);
  const body = 30;
  const shapes: Shape[] = [];
  for (const [half, edge] of [
    [upper, 14],
    [lower, 170],
  ] as const)
    shapes.push({
      kind: 'polygon',
      role: 'section',
      points: [[face, edge], ...half, [body, axis], [body, edge]],
    });
  shapes.push(
    { kind: 'polyline', role: 'outline', points: [...upper, ...lower.toReversed()] },
    {
      kind: 'polyline',
      role: 'outline',
      points: [
        [face, 14],
        [face, y(mouth)],
      ],
    },
    {
      kind: 'polyline',
      role: 'outline',
      points: [
        [face, 2 * axis - y(mouth)],
        [face, 170],
      ],
    },
    {
      kind: 'polyline',
      role: 'centreline',
      points: [
        [body - 14, axis],
        [face + 24, axis],
      ],
    },
    {
      kind: 'polyline',
      role: 'dimension',
      points: [
        [face + 14, y(mouth)],
        [face + 14, 2 * axis - y(mouth)],
      ],
    },
    { ...{ kind: 'text', role: 'label', text: words.mouth, anchor: 'start', size: 14 }, at: [face + 22, axis - 8] },
    {
      kind: 'polyline',
      role: 'dimension',
      points: [
        [x(tip), 184],
        [face, 184],
      ],
    },
    { ...{ kind: 'text', role: 'label', text: words.depth, anchor: 'start', size: 14 }, at: [face + 8, 190] },
    { ...{ kind: 'text', role: 'label', text: words.pilot, anchor: 'end', size: 14 }, at: [x(tip) - 6, axis - 8] },
  );
  return { width, height, unitsPerMm: scale, origin: [face, axis], shapes };
}
