// source: ISO 2768-1, linear dimensions; ± in mm by nominal "over … up to and including" mm; null: state it on the drawing
// provenance: recalled
export const generalRows = [
  { upToMm: 3, f: 0.05, m: 0.1, c: 0.2, v: null },
  { upToMm: 6, f: 0.05, m: 0.1, c: 0.3, v: 0.5 },
  { upToMm: 30, f: 0.1, m: 0.2, c: 0.5, v: 1 },
  { upToMm: 120, f: 0.15, m: 0.3, c: 0.8, v: 1.5 },
  { upToMm: 400, f: 0.2, m: 0.5, c: 1.2, v: 2.5 },
  { upToMm: 1000, f: 0.3, m: 0.8, c: 2, v: 4 },
  { upToMm: 2000, f: 0.5, m: 1.2, c: 3, v: 6 },
  { upToMm: 4000, f: null, m: 2, c: 4, v: 8 },
] as const;

// source: ISO 2768-1, broken edges (external radii and chamfer heights); ± in mm by nominal, from 0.5 mm; provenance: recalled
export const generalEdgeRows = [
  { upToMm: 3, f: 0.2, m: 0.2, c: 0.4, v: 0.4 },
  { upToMm: 6, f: 0.5, m: 0.5, c: 1, v: 1 },
  { upToMm: Number.POSITIVE_INFINITY, f: 1, m: 1, c: 2, v: 2 },
] as const;
