import type { BarVerdict, Holder, Insert, Misfit } from '@whelk/core/tool';

export const formNames: Record<Insert['form'], string> = {
  parallelogram: 'parallelogram',
  rhombus: 'rhombus',
  hexagon: 'hexagon',
  rectangle: 'rectangle',
  octagon: 'octagon',
  pentagon: 'pentagon',
  round: 'round',
  square: 'square',
  triangle: 'triangle',
  trigon: 'trigon',
};
export const holeNames: Record<Insert['hole'], string> = {
  none: 'no hole',
  cylindrical: 'plain hole',
  countersunk40: 'countersunk 40–60°',
  countersunk70: 'countersunk 70–90°',
};
export const breakerNames = ['no chip breaker', 'chip breaker on one face', 'chip breaker on both faces'] as const;
export const edgeNames: Record<NonNullable<Insert['edge']>, string> = {
  F: 'sharp edge',
  E: 'rounded edge',
  T: 'chamfered edge',
  S: 'chamfered and rounded edge',
  K: 'double chamfer',
  P: 'double chamfer, rounded',
};
export const clampingNames: Record<Holder['clamping'], string> = {
  topClamp: 'clamp from above',
  topAndHole: 'clamp from above and pin in the hole',
  lever: 'lever or pin in the hole',
  screw: 'screw through the hole',
};
export const bodyNames: Record<NonNullable<Holder['body']>, string> = {
  steel: 'steel',
  carbide: 'carbide',
  heavyMetal: 'tungsten alloy',
};

/** Why an insert does not go into a holder, in a few words. */
export function misfitText(misfit: Misfit): string {
  const { value, limit } = misfit;
  switch (misfit.code) {
    case 'fit.shape':
      return `shape ${value}, the seat is for ${limit}`;
    case 'fit.clearance':
      return `clearance ${value}, the seat is for ${limit}`;
    case 'fit.size':
      return `size ${value}, the seat is for ${limit}`;
    case 'fit.hole':
      return `${holeNames[value as Insert['hole']]}, the holder has a ${clampingNames[limit as Holder['clamping']]}`;
    case 'fit.thickness':
      return `${value} mm thick, the seat is made for ${limit} mm`;
    case 'fit.hand':
      return `${value === 'R' ? 'right' : 'left'}-hand, the holder is ${limit === 'R' ? 'right' : 'left'}-hand`;
  }
}

export const barVerdictNames: Record<BarVerdict, string> = {
  good: '✓ goes in, out, and stands stiff',
  springs: '~ springs: longer than it bears',
  cannotWithdraw: '✕ cannot be drawn off the far wall',
  tooShort: '✕ too short',
  tooThick: '✕ does not enter',
};
