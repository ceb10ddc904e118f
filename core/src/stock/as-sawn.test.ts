import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { resolveDrawing } from '../part/index.ts';
import { drawingOf, feature } from '../testing/shop.ts';
import { choiceAsSawn } from './as-sawn.ts';
import { blankFor } from './blank.ts';
import { usualHold } from './schema.ts';

const { part } = resolveDrawing(drawingOf([feature(1, 24, 40), feature(2, 18, 20)]));
const JAWS_MM = 45;
const lengthOf = (choice: typeof usualHold) => blankFor(part, 25, choice, JAWS_MM).lengthMm;

describe('a blank that is sawn already', () => {
  it('is gripped so much longer when less is wanted, and faced off where it is held by the part', () => {
    const longer = choiceAsSawn(part, 25, usualHold, JAWS_MM, lengthOf(usualHold) + 4);
    expect(longer).toMatchObject({ ok: true, choice: { gripMm: 23, faceHeadMm: usualHold.faceHeadMm } });
    const onPart = { ...usualHold, gripOn: 'part' } as const;
    expect(choiceAsSawn(part, 25, onPart, JAWS_MM, 66)).toMatchObject({
      ok: true,
      choice: { faceHeadMm: 5, gripMm: 0 },
    });
  });
  it('takes air first, then grip, then facing when more is wanted, and says how much is missing', () => {
    const shorter = choiceAsSawn(part, 25, usualHold, JAWS_MM, lengthOf(usualHold) - 5);
    // clearance down to 2, the rest from the grip
    expect(shorter).toMatchObject({ ok: true, choice: { clearanceMm: 2, gripMm: 17 } });
    expect(choiceAsSawn(part, 25, usualHold, JAWS_MM, 60)).toMatchObject({
      ok: false,
      missingMm: lengthOf(usualHold) - 60,
    });
  });
  it('always adds up to the length it has', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('spare', 'part'),
        fc.integer({ min: 0, max: 60 }),
        fc.double({ min: 40, max: 160, noNaN: true }),
        (gripOn, gripMm, sawn) => {
          const sawnMm = Number(sawn.toFixed(2));
          const fitted = choiceAsSawn(part, 25, { ...usualHold, gripOn, gripMm } as typeof usualHold, JAWS_MM, sawnMm);
          if (fitted.ok) expect(lengthOf(fitted.choice)).toBeCloseTo(sawnMm, 6);
          else expect(sawnMm).toBeLessThan(lengthOf({ ...usualHold, gripOn, gripMm } as typeof usualHold));
        },
      ),
    );
  });
});
