// source: ISO 6411 type A (60°) and ISO 866; pilot and mouth diameters in mm; provenance: recalled
// shaftUpToMm: usual choice by the work's diameter, shop practice
export const centreHoleRows = [
  { pilotMm: 1, mouthMm: 2.12, shaftUpToMm: 8 },
  { pilotMm: 1.6, mouthMm: 3.35, shaftUpToMm: 12 },
  { pilotMm: 2, mouthMm: 4.25, shaftUpToMm: 18 },
  { pilotMm: 2.5, mouthMm: 5.3, shaftUpToMm: 30 },
  { pilotMm: 3.15, mouthMm: 6.7, shaftUpToMm: 50 },
  { pilotMm: 4, mouthMm: 8.5, shaftUpToMm: 80 },
  { pilotMm: 5, mouthMm: 10.6, shaftUpToMm: 120 },
  { pilotMm: 6.3, mouthMm: 13.2, shaftUpToMm: 200 },
  { pilotMm: 8, mouthMm: 17, shaftUpToMm: 320 },
  { pilotMm: 10, mouthMm: 21.2, shaftUpToMm: 500 },
] as const;
