type Json = Record<string, unknown>;

const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** From the first description, which knew speeds, feeds, dials and one chuck, to the whole walk round the lathe. */
function from1(old: Json): Json {
  const { motorKw, driveEfficiency, spindle, feeds, slides, chuck, nose, spindleBoreMm, quillTravelMm, ...rest } = old;
  const { swingOverBedMm, swingOverCrossSlideMm, betweenCentresMm, usualDepthMm, deepestCutMm, ...head } = rest;
  const { leadscrewLead, ...power } = isObject(feeds) ? feeds : {};
  const { jawsGripUpToMm, ...body } = isObject(chuck) ? chuck : {};
  return {
    ...head,
    schema: 2,
    revision: 1,
    drive: { motorKw, efficiency: driveEfficiency },
    spindle: {
      ...(isObject(spindle) ? spindle : {}),
      forbidden: [],
      nose: { kind: nose, size: '', locked: false },
      boreMm: spindleBoreMm,
      taper: '',
    },
    feeds: { ...power, crossShare: null },
    threads: { leadscrewLead, controls: [], settings: [], gears: [], dial: null, tumbler: false },
    slides: {
      ...(isObject(slides) ? slides : {}),
      compoundZero: 'crossSlide',
      readout: null,
      stops: { carriage: false, crossSlide: false },
    },
    tailstock: { quillTravelMm, taper: '', setOverMm: 0, dial: null },
    taperAttachment: null,
    sizes: { swingOverBedMm, swingOverCrossSlideMm, swingInGapMm: null, betweenCentresMm },
    toolPost: { kind: 'fourWay', holders: [] },
    holding: {
      chucks: [
        { ...body, id: 'chuck', kind: 'threeJaw', jaws: [{ name: 'outside', fromMm: 0, toMm: jawsGripUpToMm }] },
      ],
      collets: [],
      faceplate: null,
      drivers: [],
      centres: [],
      rests: [],
    },
    rigidity: { usualDepthMm, deepestCutMm },
    changeMin: { tool: 1, chuck: 10, setOver: 15, compound: 2 },
    inForce: {},
  };
}

/**
 * A lathe's description of any older version in the present one. What is no such description is passed through, for the
 * schema to refuse.
 */
export function upgradeLathe(document: unknown): unknown {
  return isObject(document) && document.schema === 1 ? from1(document) : document;
}
