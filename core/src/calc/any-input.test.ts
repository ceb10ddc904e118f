import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { jobOf, shopWith } from '../testing/jobs.ts';
import { drawingOf, feature, instruments, metricLathe, tools } from '../testing/shop.ts';
import { calculate, calculationNamed, catalogue } from './catalogue.ts';

/** A good input for each calculation; a new one without an example here fails the first test. */
const dial = metricLathe.slides.crossSlide;
const drawing = drawingOf([feature(1, 24, 20), feature(2, 18, 30, 'h7')]);
const held = {
  ...{ drawing, lathe: metricLathe, tools, instruments },
  bar: shopWith('25').bars[0],
  setups: [
    {
      ...{ id: '00000000-0000-4000-8000-000000000001', tail: 'right', support: 'auto' },
      grip: { kind: 'jaws', on: 'spare', mm: 0 },
    },
    {
      ...{ id: '00000000-0000-4000-8000-000000000002', tail: 'left', support: 'none' },
      grip: { kind: 'jaws', mm: 0 },
    },
  ],
};
const cut = {
  lathe: metricLathe,
  materialId: 'gunmetal',
  tool: { material: 'coated', noseRadiusMm: 0.4, kappaDeg: 95, edgeRadiusMm: 0.03, deepestMm: 3 },
  diameterMm: 30,
  overhangMm: 70,
  bendAllowedMm: 0.05,
};
const { materials: _none, ...shop } = shopWith('25', '900', metricLathe);
const job = jobOf([feature(1, 24, 20), feature(2, 18, 30, 'h9')]);
const onIt = { ...job, hold: { ...job.hold, latheId: metricLathe.id } };
const begun = calculate(calculationNamed('run.begin')!, { job: onIt, shop });
const event = {
  ...{ schema: 2, id: '00000000-0000-4000-8000-000000000201', runId: '00000000-0000-4000-8000-000000000202' },
  ...{ piece: 1, device: '00000000-0000-4000-8000-000000000203', seq: 1, parents: [], at: '2026-01-12T09:00:00.000Z' },
};
const cone = [0, 25, 50].map((zMm) => ({ zMm, diameterMm: 30 - zMm / 20, uncertaintyMm: 0.004 }));
const good: Record<string, Record<string, unknown>> = {
  'job.plan': { job: onIt, shop },
  'route.simulate': { job: onIt, shop },
  'thread.sheet': { designation: 'Tr 24x5 LH', side: 'outside' },
  'thread.identify': { diameterMm: 12.5, pitchCount: 12, overMm: 25.4 },
  'threading.passes': { depthMm: 1.5, flanksDeg: [30, 30], tipMm: 0.2, compoundDeg: 29.5, firstMm: 0.25, lastMm: 0.03 },
  'threading.runOut': { grooveMm: 6, toolMm: 3, leadMm: 2, rpm: 60 },
  'thread.limits': { designation: 'M20x1.5', class: '6g' },
  'threading.halfNuts': { leadscrew: { perInch: '8' }, pitch: { mm: '1.5' }, wheel: { teeth: 32, marks: 8 } },
  'threading.changeGears': {
    ...{ leadscrew: { perInch: '8' }, pitch: { mm: '2' }, gears: [20, 25, 40, 50, 127], pairs: 2, studTeeth: 0 },
  },
  'threading.infeed': {
    ...{ blankMm: 20, pitchDiameterMm: 18.7, pitchMm: 2, includedDeg: 60, tip: { kind: 'flat', flatMm: 0.25 } },
    ...{ compoundDeg: 29.5, passes: 8 },
  },
  'thread.overWires': { pitchMm: 2, leadMm: 2, includedDeg: 60, pitchDiameterMm: 18.7, wireMm: 1.15 },
  'length.read': { text: '1 3/8', unit: 'in' },
  'limit.shaft': { nominalMm: 28, letter: 'h', grade: 7 },
  'limit.hole': { nominalMm: 28, letter: 'S', grade: 7 },
  'limit.fit': { hole: { upperMm: 28.021, lowerMm: 28 }, shaft: { upperMm: 27.98, lowerMm: 27.967 } },
  'limit.mate': { measuredMm: 25.01, leastMm: 0.02, mostMm: 0.05, of: 'outside' },
  'limit.decimals': { text: '1.250', table: { unit: 'in', fraction: '1/64', places: ['', '.1', '.01', '.005', ''] } },
  'worn.nominal': { readMm: 24.87, of: 'outside', wear: 'worn' },
  'worn.holeCircle': { spanMm: 55, of: 'outsides', holeMm: 6, count: 4, way: 'opposite' },
  'part.taper': { startMm: 30, lengthMm: 100, taper: '1:20' },
  'taper.say': { taper: 'Morse 3' },
  'taper.grade': { grade: 7, lengthMm: 80 },
  'taper.zone': { taper: '1:20', lengthMm: 80, zoneMm: 0.04 },
  'taper.stations': { stations: cone },
  'tapering.ways': { lathe: metricLathe, taper: '1:20', lengthMm: 60 },
  'tapering.setOver': { taper: '1:50', wholeMm: 300, headDepthMm: 4, tailDepthMm: 4 },
  'tapering.byIndicator': { taper: '7:24', travelMm: 50 },
  'tapering.toolHeight': { taper: '1:10', sizedMm: 30, lengthMm: 50, heightMm: 0.3 },
  'tapering.standOff': { taper: 'MT2', standOffMm: 1 },
  'tapering.rollers': { rollerMm: 6, lowMm: 32.2, highMm: 34.2, blocksMm: 40 },
  'tapering.balls': { smallMm: 12, largeMm: 16, smallDownMm: 60, largeDownMm: 5 },
  'tapering.correct': {
    ...{ taper: '1:20', stations: cone, toleranceDeg: 0.004 },
    set: { by: 'compound', travelMm: 60, setMm: 0.004 },
  },
  'tapering.places': { lengthMm: 110 },
  'part.ballLength': { diameterMm: 20, leftMm: 12, rightMm: 0 },
  'part.resolve': { drawing },
  'limit.read': { text: '±0.1', nominal: '28', unit: 'mm' },
  'limit.general': { nominalMm: 28, generalClass: 'm' },
  'gauge.decide': { readingsMm: [10, 10.001], uncertaintyMm: 0.004, upperMm: 10.02, lowerMm: 9.98 },
  'cutting.rpm': { speedMPerMin: 30, diameterMm: 20 },
  'cutting.speed': { rpm: 500, diameterMm: 20 },
  'cutting.correctedSpeed': { materialId: 'brass', toolMaterial: 'hss', feedMmPerRev: 0.2, depthMm: 1, lifeMin: 60 },
  'cutting.force': { materialId: 'brass', toolMaterial: 'hss', feedMmPerRev: 0.2, depthMm: 1, speedMPerMin: 60 },
  'cutting.time': { lengthMm: 100, feedMmPerRev: 0.2, rpm: 500, passes: 3, handlingMin: 0.4 },
  'cutting.facingTime': { outsideMm: 100, feedMmPerRev: 0.1, speedMPerMin: 100, mostRpm: 1000 },
  'cutting.power': { kc11NPerMm2: 2000, mc: 0.25, depthMm: 2, feedMmPerRev: 0.2, speedMPerMin: 60 },
  'cutting.removal': { depthMm: 1, feedMmPerRev: 0.2, rpm: 500, diameterMm: 40 },
  'cutting.taylor': { speedMPerMin: 200, lifeMin: 15, exponent: 0.25, wantedLifeMin: 60 },
  'mechanics.steppedDeflection': {
    ...{ held: 'chuck', forceN: 50, toolFromChuckMm: 70, modulusGPa: 207 },
    lengths: [
      { lengthMm: 40, diameterMm: 20, insideMm: 12 },
      { lengthMm: 40, diameterMm: 16 },
    ],
  },
  'mechanics.longestOverhang': { held: 'chuck', diameterMm: 20, modulusGPa: 207, forceN: 200, errorMm: 0.02 },
  'mechanics.ringLobes': { outsideMm: 105, insideMm: 95, lengthMm: 20, jawForceN: 3000, modulusGPa: 206 },
  'mechanics.tipping': {
    ...{ cuttingForceN: 400, radialForceN: 300, cutDiameterMm: 40, gripDiameterMm: 40 },
    ...{ gripMm: 30, toolFromJawsMm: 60, jawForceN: 18_000 },
  },
  'mechanics.measuredWarm': {
    readMm: 100,
    work: { expansionPerK: 2.34e-5, temperatureDegC: 32 },
    gauge: { expansionPerK: 1.15e-5, temperatureDegC: 24 },
  },
  'worn.unevenCircle': { spansMm: [36, 46, 56], of: 'outsides', holeMm: 6 },
  'worn.arcRadius': { chordMm: 40, heightMm: 5 },
  'worn.dovetail': { of: 'outside', measuredMm: 62, rollerMm: 8, heightMm: 10 },
  'hold.plainCentreDrill': { size: '3' },
  'cutting.roughness': { feedMmPerRev: 0.1, noseRadiusMm: 0.4 },
  'cutting.feedForRoughness': { raUm: 1.6, noseRadiusMm: 0.4 },
  'material.get': { materialId: 'gunmetal' },
  'cutting.operation': { operation: 'reaming', materialId: 'gunmetal', toolMaterial: 'hss', diameterMm: 12 },
  'cutting.map': { ...cut, school: 'shopRule', deepestMm: 3, coarsestMmPerRev: 0.4, count: 12 },
  'cutting.decide': {
    ...cut,
    depthMm: 1,
    feedMmPerRev: 0.2,
    lengthMm: 60,
    standing: { lever: '5' },
  },
  'cutting.edgeLife': {
    materialId: 'brass',
    toolMaterial: 'uncoated',
    feedMmPerRev: 0.2,
    depthMm: 1,
    speedMPerMin: 150,
  },
  'cutting.drill': { materialId: 'brass', diameterMm: 8, feedMmPerRev: 0.15 },
  'cutting.plunge': { materialId: 'brass', widthMm: 3, feedMmPerRev: 0.05 },
  'cutting.chip': {
    materialId: 'low-carbon-steel',
    depthMm: 1,
    feedMmPerRev: 0.1,
    kappaDeg: 90,
    noseRadiusMm: 0.4,
    edgeRadiusMm: 0.02,
  },
  'tool.grindingAngles': { materialId: 'brass', shape: 'rougher' },
  'trouble.advise': { symptom: 'chatter', conditions: { operation: 'turning', overhangDiameters: 6 } },
  'lathe.speedCard': { lathe: metricLathe, materialIds: ['brass', 'low-carbon-steel'], toolMaterial: 'hss' },
  'lathe.check': { lathe: metricLathe },
  'lathe.calibrate': {
    lathe: metricLathe,
    calibration: {
      schema: 1,
      id: '00000000-0000-4000-8000-000000000090',
      latheId: metricLathe.id,
      at: '2026-01-12T09:00:00.000Z',
      note: '',
      kind: 'speed',
      spindleAt: { lever: '5' },
      rpms: [221, 223],
    },
  },
  'mechanics.deflection': {
    held: 'chuck',
    forceN: 50,
    diameterMm: 20,
    lengthMm: 80,
    toolFromChuckMm: 80,
    modulusGPa: 207,
  },
  'mechanics.grip': { cuttingForceN: 900, feedForceN: 300, cutDiameterMm: 30, gripDiameterMm: 30, jawForceN: 12_000 },
  'mechanics.lengthAt20': { lengthMm: 100, expansionPerK: 1.15e-5, temperatureDegC: 31 },
  'lathe.dialMove': { dial, fromNumber: '0.14', travelInMm: 2.7 },
  'lathe.chooseSpeed': { lathe: metricLathe, idealRpm: 400 },
  'hold.centreHole': { pilotMm: 2.5 },
  'hold.centreForLoad': { stockMm: 45, endMm: 30, massKg: 3, forceN: 300 },
  'hold.centreDepth': { pilotMm: 3.15, pilotLengthMm: 3.9, mouthMm: 6.7 },
  'hold.mouthRemedy': { measuredMm: 7.4, wantedMm: 6.7, allowanceMm: 1, endMm: 30 },
  'mechanics.warming': { massKg: 3, lengthMm: 244, expansionPerK: 1.15e-5, group: 'P', powerKw: 0.6 },
  'tool.insert': { code: 'DCMT 11 T3 04' },
  'tool.holder': { code: 'S16R-SCLCR 09' },
  'tool.fits': { insert: 'CCMT 09 T3 04', holder: 'S16R-SCLCR 09' },
  'tool.barsForBore': {
    bars: [{ id: 'a', shankMm: 12, leastBoreMm: 16, lengthMm: 150 }],
    ...{ boreMm: 22, depthMm: 40 },
  },
  'truing.eccentricity': { readingsMm: [0.4, 0.1, 0, 0.2] },
  'truing.round': { roundsMm: [[0.4, 0.1, 0, 0.2]], wantedMm: 0.03 },
  'truing.tilt': { nearMm: [0, 0, 0, 0], farMm: [0.1, 0, -0.1, 0], apartMm: 80 },
  'truing.casting': { allowanceMm: 3, skinMm: 1.5 },
  'truing.tailstockFromDiameters': { headMm: 30.02, tailMm: 30.06, apartMm: 150, wholeMm: 400 },
  'truing.tailstockFromBar': { headMm: 0, tailMm: 0.06, apartMm: 150, wholeMm: 400 },
  'truing.bedTwist': {
    ...{ headMm: 25, tailMm: 25.03, apartMm: 150, axisHighMm: 120, feetApartMm: 240, feetAtMm: 900 },
  },
  'stock.cleanUp': { wantedMm: 42, acrossMm: 45, bowMmPerM: 1, skinMm: 0, runoutMm: 0.1, outMm: 200 },
  'stock.nearestBar': { shape: 'round', system: 'in', needMm: 42.3, boreMostMm: 0 },
  'stock.mass': { shape: 'hexagon', acrossMm: 30, boreMm: 0, lengthMm: 200, densityKgPerM3: 7850 },
  'stock.cuttingList': {
    bars: [{ id: 'long', lengthMm: 1000, count: 2 }],
    blanks: [{ id: 'pin', lengthMm: 120, count: 9 }],
    kerfMm: 2,
  },
  'hold.blank': { drawing, stockMm: 25, jawLengthMm: 40 },
  'hold.facingToCentre': { endMm: 30, mouthMm: 6.7, offMm: 1, halfCentre: false },
  'hold.ways': { ...held },
  'hold.holdings': { ...held },
  'hold.gripPlaces': { ...held },
  'run.begin': { job: onIt, shop },
  'run.after': {
    run: begun.ok ? (begun.result as { run: unknown }).run : null,
    events: [{ ...event, kind: 'done', stepId: 'mount' }],
  },
  'route.plan': { drawing, materialId: 'brass', lathe: metricLathe, tools, instruments, stockMm: 25 },
};

describe('every calculation', () => {
  it('has a good example here, and its result is as its own schema says', () => {
    expect(Object.keys(good).sort()).toEqual(catalogue.map((c) => c.name).sort());
    for (const entry of catalogue) {
      const outcome = calculate(entry, good[entry.name]);
      expect([entry.name, outcome.ok]).toEqual([entry.name, true]);
      if (outcome.ok) expect([entry.name, entry.output.safeParse(outcome.result).success]).toEqual([entry.name, true]);
    }
  });
  it('gives the same result again, and leaves its input as it was', () => {
    for (const entry of catalogue) {
      const input = JSON.stringify(good[entry.name]);
      const first = JSON.stringify(calculate(entry, JSON.parse(input)));
      const kept = JSON.parse(input);
      expect(JSON.stringify(calculate(entry, kept))).toBe(first);
      expect(JSON.stringify(kept)).toBe(input);
    }
  });
  it('names each missing key, and refuses each unknown one', () => {
    for (const entry of catalogue) {
      const outcome = calculate(entry, { ...good[entry.name], surplus: 1 });
      expect([entry.name, outcome.ok]).toEqual([entry.name, false]);
      const nothing = calculate(entry, {});
      if (!nothing.ok) for (const p of nothing.problems) expect(p.path.length).toBeGreaterThan(0);
      expect([entry.name, nothing.ok]).toEqual([entry.name, false]);
    }
  });
  it('never throws and never answers a number that is none, whatever one value is', () => {
    const names = catalogue.map((c) => c.name);
    const odd = fc.oneof(
      fc.double(),
      fc.integer(),
      fc.string({ maxLength: 20 }),
      fc.constant(null),
      fc.constantFrom(0, -1, 1e-12, 1e12, 1e308, '1/0', '1e9'),
      fc.array(fc.double(), { maxLength: 3 }),
    );
    fc.assert(
      fc.property(fc.constantFrom(...names), fc.nat(20), odd, (name, which, value) => {
        const entry = catalogue.find((c) => c.name === name)!;
        const keys = Object.keys(good[name]!);
        const outcome = calculate(entry, { ...good[name], [keys[which % keys.length]!]: value });
        if (!outcome.ok) return outcome.problems.length > 0;
        return !/null|NaN/.test(
          JSON.stringify(outcome.result, (_k, v) => (typeof v === 'number' && Number.isNaN(v) ? 'NaN' : v)).replace(
            /"[^"]*":null/g,
            '',
          ),
        );
      }),
      { numRuns: 600 },
    );
  });
});
