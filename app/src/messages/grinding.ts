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
  roundNose: 'full round nose',
  thread60: 'threading tool, 60°',
};

/** What a bit is ground to where its form is a certain one, mm. */
export interface SizedBit {
  readonly radiusMm?: number;
  readonly widthMm?: number;
}

/** The sheet for the grinder, in words and angles. @param sized of a form, or a blade for one groove */
export function grindingSheetOf(material: Material, shape: BitShape, sized: SizedBit = {}): GrindingSheet {
  const angles = grindingAngles(material, shape);
  const deg = (value: number) => `${value}°`;
  const noseMm = sized.radiusMm ?? angles.noseMm;
  const widthMm = sized.widthMm ?? (shape === 'roundNose' ? 2 * noseMm : undefined);
  const { sideEdgeDeg, endEdgeDeg } = angles;
  const round = shape === 'roundNose';
  return {
    angles,
    ...(round ? { fullRound: true } : {}),
    title: `${bitShapeNames[shape][0]!.toUpperCase()}${bitShapeNames[shape].slice(1)}`,
    underTitle: `High-speed steel, for ${material.name.toLowerCase()}`,
    names: { top: 'From above', side: 'Across: rake / clearance', front: 'Along: rake / clearance' },
    rows: [
      ['Side rake', deg(angles.sideRakeDeg)],
      ['Back rake', deg(angles.backRakeDeg)],
      ['Side clearance', deg(angles.sideClearanceDeg)],
      ['End clearance', deg(angles.endClearanceDeg)],
      ...(round
        ? []
        : ([
            ['Side edge to the axis', deg(sideEdgeDeg)],
            ['End edge', deg(endEdgeDeg)],
          ] as const)),
      ['Nose', noseMm > 0 ? `${round ? 'half a circle, R' : ''}${Number(noseMm.toFixed(2))} mm` : 'sharp, stoned'],
      ...(widthMm === undefined ? [] : ([['Width', `${Number(widthMm.toFixed(2))} mm`]] as const)),
    ],
    order: [
      'Lay out with blue and scriber. Eyes, mask, rest close.',
      'Side edge with its clearance, cooling often.',
      'End edge with its clearance.',
      angles.sideRakeDeg + angles.backRakeDeg > 0 ? 'Top: the rake.' : 'Top: flat, no rake; only stone it.',
      noseMm > 0
        ? round
          ? 'Nose by turning the wrist, to a gauge of its radius.'
          : 'Nose, by turning the wrist.'
        : 'Leave the point; gauge the angle.',
      'Gauge, then stone every edge.',
    ],
  };
}
