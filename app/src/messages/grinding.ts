import type { Material } from '@whelk/core/material';
import type { GrindingSheet } from '@whelk/core/picture';
import { type BitShape, grindingAngles } from '@whelk/core/tool';

export const bitShapeNames: Record<BitShape, string> = {
  rougher: 'rougher',
  finisher: 'finisher',
  facing: 'facing tool',
  chamfer: 'chamfering tool, 45°',
  parting: 'parting blade',
  boring: 'boring tool',
  thread60: 'threading tool, 60°',
};

/** The sheet for the grinder, in words and angles. */
export function grindingSheetOf(material: Material, shape: BitShape): GrindingSheet {
  const angles = grindingAngles(material, shape);
  const deg = (value: number) => `${value}°`;
  return {
    angles,
    title: `${bitShapeNames[shape][0]!.toUpperCase()}${bitShapeNames[shape].slice(1)}`,
    underTitle: `High-speed steel, for ${material.name.toLowerCase()}`,
    names: { top: 'From above', side: 'Across: rake / clearance', front: 'Along: rake / clearance' },
    rows: [
      ['Side rake', deg(angles.sideRakeDeg)],
      ['Back rake', deg(angles.backRakeDeg)],
      ['Side clearance', deg(angles.sideClearanceDeg)],
      ['End clearance', deg(angles.endClearanceDeg)],
      ['Side edge to the axis', deg(angles.sideEdgeDeg)],
      ['End edge', deg(angles.endEdgeDeg)],
      ['Nose', angles.noseMm > 0 ? `${angles.noseMm} mm` : 'sharp, stoned'],
    ],
    order: [
      'Lay out with blue and scriber. Eyes, mask, rest close.',
      'Side edge with its clearance, cooling often.',
      'End edge with its clearance.',
      angles.sideRakeDeg + angles.backRakeDeg > 0 ? 'Top: the rake.' : 'Top: flat, no rake; only stone it.',
      angles.noseMm > 0 ? 'Nose, by turning the wrist.' : 'Leave the point; gauge the angle.',
      'Gauge, then stone every edge.',
    ],
  };
}
