import { describe, expect, it } from 'vitest';
import { SCHOOLS, type School } from '../cutting/index.ts';
import { materialById } from '../material/index.ts';
import { feature, metricLathe, planInput, planRoute, tools } from '../testing/shop.ts';
import type { Tool, TurningTool } from '../tool/index.ts';
import { collectWorking } from '../working/index.ts';
import type { Operation, OperationKind, OperationOf } from './operation/kinds.ts';
import type { Plan } from './plan.ts';

const steel = materialById('medium-carbon-steel')!;
const planOf = (more: Parameters<typeof planInput>[2] = {}, lengthMm = 40): Plan =>
  planRoute(
    planInput(
      [feature(1, 40, lengthMm), feature(2, 28, 50, 'h7', { edges: { left: '', right: '1x45 ±0.1' } })],
      45,
      more,
    ),
  );
const operation = (plan: Plan, id: string): Operation => plan.operations.find((o) => o.id === id)!;
/** The operation of a kind that comes first. */
const firstOf = <Kind extends OperationKind>(plan: Plan, kind: Kind) =>
  plan.operations.find((o): o is OperationOf<Kind> => o.kind === kind)!;
/** The lathe's fixed speeds: what an ideal comes down to. */
const nearestNotAbove = (ideal: number): number =>
  [45, 70, 100, 155, 230, 335, 500, 750, 1100, 1600].findLast((rpm) => rpm <= ideal)!;

describe('work by hand', () => {
  const plan = planOf();
  it('faces from the rim at the full cutting speed, in a minute and the time of half the diameter', () => {
    const face = firstOf(plan, 'face');
    const ideal = (1000 * steel.speeds.hss.speedMPerMin) / (Math.PI * 45);
    expect(face.setting).toMatchObject({ idealRpm: expect.closeTo(ideal, 9), rpm: nearestNotAbove(ideal) });
    expect(face.setting!.cuttingSpeedMPerMin).toBeCloseTo((Math.PI * 45 * face.setting!.rpm) / 1000, 9);
    expect(face.minutes).toBeCloseTo(1 + 22.5 / (0.1 * face.setting!.rpm), 9);
    expect([face.zFromMm, face.zToMm, face.offMm]).toEqual([90, 91, 1]);
    expect(face.caution).toBe('lockCarriage');
  });
  it('squares the shoulder at the outer diameter’s speed, fed outwards', () => {
    const shoulder = firstOf(plan, 'shoulder');
    const ideal = (1000 * steel.speeds.hss.speedMPerMin) / (Math.PI * shoulder.toDiameterMm);
    expect(shoulder.setting!.idealRpm).toBeCloseTo(ideal, 9);
    expect(shoulder).toMatchObject({ id: 'f2-shoulder', fromDiameterMm: expect.closeTo(28, 1) });
    expect(shoulder.toDiameterMm).toBeGreaterThanOrEqual(40);
    expect([shoulder.zFromMm, shoulder.zToMm, shoulder.caution]).toEqual([40, 40, 'feedOutwards']);
  });
  it('chamfers at half the speed, with the drawing’s limits', () => {
    const chamfer = operation(plan, 'f2-chamfer');
    const ideal = (1000 * steel.speeds.hss.speedMPerMin * 0.5) / (Math.PI * 28);
    expect(chamfer.setting).toMatchObject({ idealRpm: expect.closeTo(ideal, 6), feedMmPerRev: 0.05 });
    expect(chamfer).toMatchObject({
      zFromMm: 89,
      zToMm: 90,
      ...{ lengthMm: 1, angleDeg: 45, depthMm: 1 },
      limits: { upperMm: expect.closeTo(1.1), lowerMm: expect.closeTo(0.9) },
    });
  });
  it('touches off on six millimetres at the tail end, and again when the finishing tool comes', () => {
    const first = operation(plan, 'touchOff');
    expect([first.zFromMm, first.zToMm]).toEqual([84, 90]);
    expect(first.targetMm).toBeUndefined();
    const again = operation(plan, 'touchOff-finisher');
    const lastRoughed = plan.operations.filter((o) => o.kind === 'rough').at(-1)!.targetMm!;
    expect(again).toMatchObject({ kind: 'touchOff', targetMm: lastRoughed, zFromMm: 84, zToMm: 90 });
  });
  it('leaves out what no habit asks for: a blank faced already', () => {
    expect(planOf({ allow: { faceTailMm: 0 } }).operations.map((o) => o.kind)).not.toContain('face');
  });
  it('starts gently on a screwed nose, and speaks of the key on the others', () => {
    const screwed = {
      ...metricLathe,
      spindle: { ...metricLathe.spindle, nose: { kind: 'screwed' as const, size: '', locked: false } },
    };
    expect(operation(planOf({ lathe: screwed }), 'mount').caution).toBe('gentleStart');
    expect(operation(plan, 'mount').caution).toBe('keyOut');
  });
});

describe('the centre hole', () => {
  const drill = (n: number, sizeMm: number): Tool => ({
    ...{ kind: 'centre drill', name: 'centre drill', material: 'hss', sizeMm },
    id: tools[n]!.id.replace(/..$/, `9${n}`),
  });
  const withDrills = (...sizes: number[]) =>
    planOf({ tools: [...tools.slice(0, 4), ...sizes.map((s, i) => drill(i, s))] }, 300);
  it('takes the largest drill owned that is not larger than wanted, at half the speed of its mouth', () => {
    const centre = operation(withDrills(1.6, 2.5, 2, 6.3), 'centre');
    expect(centre).toMatchObject({ pilotMm: 2.5, mouthMm: 5.3 });
    const ideal = (1000 * steel.speeds.hss.speedMPerMin * 0.5) / (Math.PI * 5.3);
    expect(centre.setting!.idealRpm).toBeCloseTo(ideal, 6);
    expect(centre.caution).toBe('centreOil');
  });
  it('is drilled at the speed the shop is used to: by the mouth, by the pilot, or as the work is turned', () => {
    const ideal = (centreSpeed: 'mouth' | 'pilot' | 'asTurned') =>
      operation(planOf({ centreSpeed }, 300), 'centre').setting!.idealRpm;
    const { pilotMm, mouthMm } = firstOf(planOf({}, 300), 'centre');
    const speed = 1000 * steel.speeds.hss.speedMPerMin;
    expect(ideal('mouth')).toBeCloseTo((speed * 0.5) / (Math.PI * mouthMm), 6);
    expect(ideal('pilot')).toBeCloseTo((speed * 0.5) / (Math.PI * pilotMm), 6);
    expect(ideal('asTurned')).toBeCloseTo(speed / (Math.PI * 45), 6);
  });
  it('grows with the load: a heavy cut on a plain centre wants more than the diameter asks', () => {
    const drills = [...tools.slice(0, 4), ...[2, 2.5, 4, 6.3].map((size, i) => drill(i, size))];
    const pilot = (kind: 'plain' | 'live', usualDepthMm: number) => {
      const centres = [{ name: 'it', kind }];
      const lathe = {
        ...metricLathe,
        holding: { ...metricLathe.holding, centres },
        rigidity: { ...metricLathe.rigidity, usualDepthMm },
      };
      return firstOf(planOf({ lathe, tools: drills }, 300), 'centre').pilotMm;
    };
    expect(pilot('plain', 2)).toBeGreaterThan(pilot('live', 2));
    expect(pilot('plain', 2)).toBeGreaterThanOrEqual(pilot('plain', 0.5));
  });
  it('is told by the standard’s size when the shop owns none', () => {
    const { steps, record } = collectWorking();
    const input = planInput([feature(1, 40, 300), feature(2, 28, 50, 'h7')], 45, { tools: tools.slice(0, 4) });
    const plan = planRoute(input, (id) => (id === 'centre' ? record : undefined));
    const wanted = steps.find((s) => s.code === 'hold.centre')!.values;
    expect(wanted.pilotMm).toBe(wanted.wantedMm);
    expect(wanted.endDiameterMm).toBe(28);
    expect(operation(plan, 'centre').toolId).toBeUndefined();
  });
});

describe('feeds of the schools', () => {
  it('rough at the usual feed or what the nose bears, machine first by the nose alone', () => {
    const feedsBySchool = (noseRadiusMm: number) => {
      const tool = tools.map((t) => (t.kind === 'rougher' ? { ...t, noseRadiusMm } : t));
      const of = (school: School) => planOf({ tools: tool, material: materialById('acetal')!, school });
      return Object.fromEntries(SCHOOLS.map((s) => [s, operation(of(s), 'f2-rough').setting!.feedMmPerRev]));
    };
    // marked feeds are 0.05 … 0.4; 0.6 of the nose is 0.48, then 0.12
    expect(feedsBySchool(0.8)).toMatchObject({ shopRule: 0.2, conditions: 0.2, machineFirst: 0.4 });
    expect(Math.max(...Object.values(feedsBySchool(0.2)))).toBe(0.1);
  });
  it('finish as fine as the surface asks, below a ground flat as coarse as four fifths of it', () => {
    const finishFeed = (more: Partial<TurningTool>, ra?: string) => {
      const own = tools.map((t) => (t.kind === 'finisher' ? { ...t, ...more } : t));
      const features = [feature(1, 40, 40), feature(2, 28, 50, 'h7', ra ? { finish: ra } : {})];
      const plan = planRoute(planInput(features, 45, { tools: own, school: 'machineFirst' }));
      return operation(plan, 'f2-finish').setting!.feedMmPerRev;
    };
    // Ra 0.4 with a nose of 0.8: 0.0999 a turn, so the feed of 0.05
    expect(finishFeed({ noseRadiusMm: 0.8 }, 'Ra 0.4')).toBe(0.05);
    expect(finishFeed({ noseRadiusMm: 0.8 }, 'Ra 3.2')).toBe(0.2);
    expect(finishFeed({ noseRadiusMm: 0.2, flatMm: 3 }, 'Ra 0.4')).toBe(0.4);
  });
});
