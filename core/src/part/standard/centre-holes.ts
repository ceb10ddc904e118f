// source: ISO 6411: pilot and mouth diameters of types A (60°, ISO 866), R (ISO 2541) and of the 60° cone of B (ISO 2540); mm
// guardedMm: mouth of type B with its protecting chamfer, which begins with 1 mm, as type R does; provenance: recalled
// pilotLengthMm: length of the pilot of an ISO 866 drill, recalled; bodyMm: its body, recalled
// shaftUpToMm: usual choice by the work's diameter, shop practice
export const centreHoleRows = [
  { pilotMm: 0.5, pilotLengthMm: 0.8, bodyMm: 3.15, mouthMm: 1.06, guardedMm: undefined, shaftUpToMm: 2 },
  { pilotMm: 0.63, pilotLengthMm: 0.9, bodyMm: 3.15, mouthMm: 1.32, guardedMm: undefined, shaftUpToMm: 2.5 },
  { pilotMm: 0.8, pilotLengthMm: 1.1, bodyMm: 3.15, mouthMm: 1.7, guardedMm: undefined, shaftUpToMm: 3.5 },
  { pilotMm: 1, pilotLengthMm: 1.3, bodyMm: 3.15, mouthMm: 2.12, guardedMm: 3.15, shaftUpToMm: 8 },
  { pilotMm: 1.25, pilotLengthMm: 1.6, bodyMm: 3.15, mouthMm: 2.65, guardedMm: 4, shaftUpToMm: 10 },
  { pilotMm: 1.6, pilotLengthMm: 2, bodyMm: 4, mouthMm: 3.35, guardedMm: 5, shaftUpToMm: 12 },
  { pilotMm: 2, pilotLengthMm: 2.5, bodyMm: 5, mouthMm: 4.25, guardedMm: 6.3, shaftUpToMm: 18 },
  { pilotMm: 2.5, pilotLengthMm: 3.1, bodyMm: 6.3, mouthMm: 5.3, guardedMm: 8, shaftUpToMm: 30 },
  { pilotMm: 3.15, pilotLengthMm: 3.9, bodyMm: 8, mouthMm: 6.7, guardedMm: 10, shaftUpToMm: 50 },
  { pilotMm: 4, pilotLengthMm: 5, bodyMm: 10, mouthMm: 8.5, guardedMm: 12.5, shaftUpToMm: 80 },
  { pilotMm: 5, pilotLengthMm: 6.3, bodyMm: 12.5, mouthMm: 10.6, guardedMm: 16, shaftUpToMm: 120 },
  { pilotMm: 6.3, pilotLengthMm: 8, bodyMm: 16, mouthMm: 13.2, guardedMm: 18, shaftUpToMm: 200 },
  { pilotMm: 8, pilotLengthMm: 10.1, bodyMm: 20, mouthMm: 17, guardedMm: 22.4, shaftUpToMm: 320 },
  { pilotMm: 10, pilotLengthMm: 12.8, bodyMm: 25, mouthMm: 21.2, guardedMm: 28, shaftUpToMm: 500 },
] as const;
