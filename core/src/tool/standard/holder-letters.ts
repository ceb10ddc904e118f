// source: ISO 5608 (external holders), ISO 6261 (boring bars); lengths in mm, angles in degrees; provenance: recalled, no page seen

/** How the insert is held. */
export const clampings = { C: 'topClamp', M: 'topAndHole', P: 'lever', S: 'screw' } as const;

/** Style: setting angle of the major edge, and whether its head stands beside the shank. */
export const holderStyles = {
  A: { settingDeg: 90, cuts: 'side', offset: false },
  B: { settingDeg: 75, cuts: 'side', offset: false },
  C: { settingDeg: 90, cuts: 'end', offset: false },
  D: { settingDeg: 45, cuts: 'side', offset: false },
  E: { settingDeg: 60, cuts: 'side', offset: false },
  F: { settingDeg: 90, cuts: 'end', offset: true },
  G: { settingDeg: 90, cuts: 'side', offset: true },
  H: { settingDeg: 107.5, cuts: 'side', offset: true },
  J: { settingDeg: 93, cuts: 'side', offset: true },
  K: { settingDeg: 75, cuts: 'end', offset: true },
  L: { settingDeg: 95, cuts: 'both', offset: true },
  M: { settingDeg: 50, cuts: 'side', offset: false },
  N: { settingDeg: 63, cuts: 'side', offset: false },
  P: { settingDeg: 117.5, cuts: 'side', offset: true },
  R: { settingDeg: 75, cuts: 'side', offset: true },
  S: { settingDeg: 45, cuts: 'side', offset: true },
  T: { settingDeg: 60, cuts: 'side', offset: true },
  U: { settingDeg: 93, cuts: 'end', offset: true },
  V: { settingDeg: 72.5, cuts: 'side', offset: false },
  W: { settingDeg: 60, cuts: 'end', offset: true },
  Y: { settingDeg: 85, cuts: 'end', offset: true },
} as const;

/** Boring bars: their styles with the setting angle; Q only stands here. */
export const barStyles = { F: 90, K: 75, L: 95, P: 117.5, Q: 107.5, S: 45, U: 93, W: 60, Y: 85 } as const;

/** What a boring bar is made of. `stiffDiameters`: overhang that such bars usually bear. */
export const barKinds = {
  S: { body: 'steel', coolant: false, damped: false },
  A: { body: 'steel', coolant: true, damped: false },
  B: { body: 'steel', coolant: false, damped: true },
  D: { body: 'steel', coolant: true, damped: true },
  C: { body: 'carbide', coolant: false, damped: false },
  E: { body: 'carbide', coolant: true, damped: false },
  F: { body: 'carbide', coolant: false, damped: true },
  G: { body: 'carbide', coolant: true, damped: true },
  H: { body: 'heavyMetal', coolant: false, damped: false },
  J: { body: 'heavyMetal', coolant: true, damped: false },
} as const;

/** Overall length by its letter; X is another one. */
export const toolLengthsMm = {
  A: 32,
  B: 40,
  C: 50,
  D: 60,
  E: 70,
  F: 80,
  G: 90,
  H: 100,
  J: 110,
  K: 125,
  L: 140,
  M: 150,
  N: 160,
  P: 170,
  Q: 180,
  R: 200,
  S: 250,
  T: 300,
  U: 350,
  V: 400,
  W: 450,
  Y: 500,
} as const;

/** Overall length of outside holders in inches by its letter. */
export const inchShankLengthsIn = { A: 4, B: 4.5, C: 5, D: 6, E: 7, F: 8, G: 5.5, H: 5.625 } as const;
/** Overall length of boring bars in inches by its letter: whole inches next to the metric ones. */
export const inchLengthsIn = { H: 4, K: 5, M: 6, Q: 7, R: 8, S: 10, T: 12, U: 14, V: 16, W: 18 } as const;
