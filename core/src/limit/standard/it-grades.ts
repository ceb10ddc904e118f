// source: ISO 286-1, standard tolerance grades; columns IT5…IT13 in µm by nominal range "over … up to and including" in mm
// provenance: recalled, checked against the formula i = 0.45·∛D + 0.001·D in iso286.test.ts
export const IT_GRADES = [5, 6, 7, 8, 9, 10, 11, 12, 13] as const;
export const itRows = [
  { upToMm: 3, um: [4, 6, 10, 14, 25, 40, 60, 100, 140] },
  { upToMm: 6, um: [5, 8, 12, 18, 30, 48, 75, 120, 180] },
  { upToMm: 10, um: [6, 9, 15, 22, 36, 58, 90, 150, 220] },
  { upToMm: 18, um: [8, 11, 18, 27, 43, 70, 110, 180, 270] },
  { upToMm: 30, um: [9, 13, 21, 33, 52, 84, 130, 210, 330] },
  { upToMm: 50, um: [11, 16, 25, 39, 62, 100, 160, 250, 390] },
  { upToMm: 80, um: [13, 19, 30, 46, 74, 120, 190, 300, 460] },
  { upToMm: 120, um: [15, 22, 35, 54, 87, 140, 220, 350, 540] },
  { upToMm: 180, um: [18, 25, 40, 63, 100, 160, 250, 400, 630] },
  { upToMm: 250, um: [20, 29, 46, 72, 115, 185, 290, 460, 720] },
  { upToMm: 315, um: [23, 32, 52, 81, 130, 210, 320, 520, 810] },
  { upToMm: 400, um: [25, 36, 57, 89, 140, 230, 360, 570, 890] },
  { upToMm: 500, um: [27, 40, 63, 97, 155, 250, 400, 630, 970] },
] as const;
