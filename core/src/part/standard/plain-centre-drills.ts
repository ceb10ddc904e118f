// source: ASME B94.11M, combined drills and countersinks, plain type: size, pilot and body in sixty-fourths of an inch (00: 0.025 in);
// provenance: recalled; checked against two published sizes in the tests of hold/centre-hole.ts
export const plainCentreDrills = [
  { size: '00', pilot64: 1.6, body64: 5 },
  { size: '0', pilot64: 2, body64: 8 },
  { size: '1', pilot64: 3, body64: 8 },
  { size: '2', pilot64: 5, body64: 12 },
  { size: '3', pilot64: 7, body64: 16 },
  { size: '4', pilot64: 8, body64: 20 },
  { size: '5', pilot64: 12, body64: 28 },
  { size: '6', pilot64: 14, body64: 32 },
  { size: '7', pilot64: 16, body64: 40 },
  { size: '8', pilot64: 20, body64: 48 },
] as const;
