import { describe, expect, it } from 'vitest';
import { checkLathe } from './checks.ts';
import { chuckOf, chuckReachMm } from './chucks.ts';
import { latheSchema, storedLatheSchema } from './schema.ts';
import { feedsOf, fixedSpeeds, torqueNm } from './settings.ts';

/** As the first version of the application wrote it. */
const first = JSON.parse(
  `{"schema": 1, "id": "00000000-0000-4000-8000-000000000031", "name": "the Grey", "note": "Old belt-driven lathe by the door. Dials cannot be set to nothing: note the number.", "unit": "in", "swingOverBedMm": 228.6, "swingOverCrossSlideMm": 139.7, "betweenCentresMm": 609.6, "spindleBoreMm": 19.05, "nose": "screwed", "motorKw": 0.37, "driveEfficiency": 0.75, "spindle": {"controls": [{"id": "belt", "name": "Belt", "kind": "belt", "positions": ["1", "2", "3"], "changeMin": 1, "stopFirst": true}, {"id": "backGear", "name": "back gear", "kind": "lever", "positions": ["in", "out"], "changeMin": 0.5, "stopFirst": true}], "settings": [{"kind": "fixed", "at": {"belt": "1", "backGear": "in"}, "rpm": 38}, {"kind": "fixed", "at": {"belt": "2", "backGear": "in"}, "rpm": 62}, {"kind": "fixed", "at": {"belt": "3", "backGear": "in"}, "rpm": 102}, {"kind": "fixed", "at": {"belt": "1", "backGear": "out"}, "rpm": 230}, {"kind": "fixed", "at": {"belt": "2", "backGear": "out"}, "rpm": 375}, {"kind": "fixed", "at": {"belt": "3", "backGear": "out"}, "rpm": 615}]}, "feeds": {"controls": [{"id": "train", "name": "Train", "kind": "changeGears", "positions": ["finest", "fine", "medium", "coarse"], "changeMin": 10, "stopFirst": true}], "leadscrewLead": {"text": "1/8", "unit": "in"}, "settings": [{"kind": "gears", "at": {"train": "finest"}, "pairs": [[20, 80], [20, 75], [20, 65]]}, {"kind": "gears", "at": {"train": "fine"}, "pairs": [[20, 80], [20, 75], [25, 50]]}, {"kind": "gears", "at": {"train": "medium"}, "pairs": [[20, 80], [20, 75]]}, {"kind": "gears", "at": {"train": "coarse"}, "pairs": [[20, 65], [25, 80]]}]}, "slides": {"crossSlide": {"means": "dial", "unit": "in", "travelPerTurn": "0.100", "divisions": 100, "kind": "radius", "clockwiseMoves": "in", "numbersRise": "clockwise", "resettable": false, "slackMm": 0.2, "travelMm": 120}, "carriage": {"means": "dial", "unit": "in", "travelPerTurn": "0.125", "divisions": 125, "kind": "radius", "clockwiseMoves": "in", "numbersRise": "clockwise", "resettable": false, "slackMm": 0.3, "travelMm": 560}, "compound": {"means": "dial", "unit": "in", "travelPerTurn": "0.100", "divisions": 100, "kind": "radius", "clockwiseMoves": "in", "numbersRise": "clockwise", "resettable": false, "slackMm": 0.2, "travelMm": 60}}, "chuck": {"name": "three-jaw 5 in", "maxRpm": 1500, "forceN": 9000, "jawsGripUpToMm": 110, "jawLengthMm": 35, "runoutMm": 0.1}, "quillTravelMm": 60, "usualDepthMm": 1, "deepestCutMm": 1.8}`,
);

describe('a lathe of the first schema version', () => {
  const lathe = storedLatheSchema.parse(first);
  it('is read with all that it said', () => {
    expect(lathe).toMatchObject({
      schema: 2,
      name: 'the Grey',
      drive: { motorKw: 0.37, efficiency: 0.75 },
      spindle: { boreMm: 19.05, nose: { kind: 'screwed', locked: false } },
      threads: { leadscrewLead: { text: '1/8', unit: 'in' } },
      tailstock: { quillTravelMm: 60 },
      sizes: { swingOverBedMm: 228.6, betweenCentresMm: 609.6 },
      rigidity: { usualDepthMm: 1, deepestCutMm: 1.8 },
    });
    expect(fixedSpeeds(lathe).map((s) => s.rpm)).toEqual([38, 62, 102, 230, 375, 615]);
    expect(feedsOf(lathe).map((f) => f.mmPerRev.toFixed(3))).toEqual(['0.065', '0.106', '0.212', '0.305']);
    expect([chuckOf(lathe).forceN, chuckReachMm(chuckOf(lathe))]).toEqual([9000, 110]);
    expect(torqueNm(lathe, fixedSpeeds(lathe)[0]!.setting, 38)).toBeCloseTo((9549.3 * 0.37 * 0.75) / 38, 9);
    expect(checkLathe(lathe)).toEqual([]);
  });
  it('is not changed when it is of the present version, and refused when it is newer', () => {
    expect(storedLatheSchema.parse(lathe)).toEqual(lathe);
    expect(latheSchema.safeParse(first).success).toBe(false);
    expect(storedLatheSchema.safeParse({ ...lathe, schema: 3 }).success).toBe(false);
    expect(storedLatheSchema.safeParse('lathe').success).toBe(false);
  });
});
