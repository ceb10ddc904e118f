import { describe, expect, it } from 'vitest';
import { drawer } from '../testing/drawer.ts';
import { TOOL_KINDS, type Tool } from '../tool/index.ts';
import { toolPicture } from './tool-picture.ts';

const id = (n: number) => `00000000-0000-4000-8000-00080000000${n}`;
const more: readonly Tool[] = [
  { id: id(1), name: 'round', kind: 'form', material: 'hss', radiusMm: 3, curve: 'round', widthMm: 6 },
  { id: id(2), name: 'hollow', kind: 'form', material: 'hss', radiusMm: 2, curve: 'hollow', widthMm: 8 },
  { id: id(4), name: 'pointed', kind: 'vee', material: 'hss', angleDeg: 60, tipMm: 0.1, deepestMm: 5 },
  { id: id(5), name: 'face blade', kind: 'face blade', material: 'hss', widthMm: 3, deepestMm: 8, leastOuterMm: 25 },
  ...(
    [
      { id: id(6), name: 'thread', kind: 'threading', angleDeg: 60, tipMm: 0.2, deepestMm: 2, widthMm: 5 },
      {
        ...({ id: id(7), name: 'inside thread', kind: 'inside threading', angleDeg: 30, tipMm: 1.6 } as const),
        deepestMm: 3,
        ...{ widthMm: 5, leastBoreMm: 18, reachMm: 60 },
      },
      { id: id(8), name: 'tap', kind: 'tap', designation: 'M6', hand: 'right', leadsOver: 4 },
      { id: id(9), name: 'die', kind: 'die', designation: 'what is no thread', hand: 'right' },
    ] as const
  ).map((t): Tool => ({ ...t, material: 'hss' })),
  { id: id(3), name: 'knurls', kind: 'knurling', material: 'hss', pattern: 'diamond', pitchMm: 1, widthMm: 10 },
];

describe('a tool as it is drawn', () => {
  const tools = [...drawer, ...more];
  it('of every kind stays in its frame and fills it one way', () => {
    expect(new Set(tools.map((t) => t.kind))).toEqual(new Set(TOOL_KINDS));
    for (const tool of tools) {
      const { shapes } = toolPicture(tool, 120, 44);
      const points = shapes.flatMap((s) => (s.kind === 'polygon' ? s.points : []));
      const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
      const spans = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
      expect([tool.name, Math.min(...xs) >= 1.99 && Math.max(...xs) <= 118.01]).toEqual([tool.name, true]);
      expect([tool.name, Math.min(...ys) >= 1.99 && Math.max(...ys) <= 42.01]).toEqual([tool.name, true]);
      expect([tool.name, spans[0]! > 115.9 || spans[1]! > 39.9]).toEqual([tool.name, true]);
    }
  });
  it('keeps its proportions: a drill of twice the diameter has the same point', () => {
    const slope = (d: number) => {
      const drill = drawer.find((t) => t.kind === 'drill' && t.diameterMm === d)!;
      const [tip, rim] = (toolPicture(drill, 400, 400).shapes[1] as unknown as { points: [number, number][] }).points;
      return (tip![1] - rim![1]) / (rim![0] - tip![0]);
    };
    expect(slope(10)).toBeCloseTo(Math.tan((59 * Math.PI) / 180), 6);
    expect(slope(22)).toBeCloseTo(slope(10), 9);
  });
});
