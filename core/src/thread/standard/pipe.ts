// source: ISO 228-1 (G) and ISO 7-1 (R), parallel sizes of the gauge plane: major diameter, mm, and threads to the inch;
// provenance: recalled
export const pipeThreads = {
  '1/16': [7.723, 28],
  '1/8': [9.728, 28],
  '1/4': [13.157, 19],
  '3/8': [16.662, 19],
  '1/2': [20.955, 14],
  '5/8': [22.911, 14],
  '3/4': [26.441, 14],
  '7/8': [30.201, 14],
  '1': [33.249, 11],
  '1 1/4': [41.91, 11],
  '1 1/2': [47.803, 11],
  '2': [59.614, 11],
} as const satisfies Readonly<Record<string, readonly [number, number]>>;
