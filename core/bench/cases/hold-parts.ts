/** What a turner leaves on work of a few millimetres. */
export const small = { allow: { clearanceMm: 2, faceTailMm: 0.5, faceHeadMm: 0.5, kerfMm: 1 } };
export const part = { grip: { kind: 'jaws', mm: 0 } };
export const alone = { grip: { kind: 'jaws', on: 'spare', mm: 0 }, support: 'none' };
export const centred = { grip: { kind: 'jaws', on: 'spare', mm: 0 }, support: 'centre' };
export const collets = {
  chucks: [
    {
      ...{
        id: 'collets',
        name: 'collet chuck',
        kind: 'collet',
        maxRpm: 3000,
        forceN: 12_000,
        jawLengthMm: 25,
        runoutMm: 0.02,
      },
      jaws: [{ name: 'collet 10', fromMm: 9.5, toMm: 10 }],
    },
  ],
};
