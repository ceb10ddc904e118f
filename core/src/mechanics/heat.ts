import type { Recorder } from '../working/index.ts';

/** Length at 20 °C of something measured warm, mm. @source L20 = L/(1 + α·Δt) @example lengthAt20Mm(250, 1.87e-5, 26.5) // 249.9696 */
export function lengthAt20Mm(lengthMm: number, expansionPerK: number, temperatureDegC: number): number {
  return lengthMm / (1 + expansionPerK * (temperatureDegC - 20));
}

/** What was warm or cold when something was measured: it, or the gauge. */
export interface Warmth {
  readonly expansionPerK: number;
  readonly temperatureDegC: number;
}
/**
 * Size at 20 °C of warm work that was measured with a gauge that was warm as well, mm: what the gauge's own scale grew by is read too
 * little.
 * @source L20 = read·(1 + α_g·Δt_g)/(1 + α_w·Δt_w)
 * @example measuredWarmMm(100, { expansionPerK: 2.34e-5, temperatureDegC: 32 }, { expansionPerK: 1.15e-5, temperatureDegC: 24 }).toFixed(4) // '99.9765'
 */
export function measuredWarmMm(readMm: number, work: Warmth, gauge: Warmth): number {
  const grown = ({ expansionPerK, temperatureDegC }: Warmth): number => 1 + expansionPerK * (temperatureDegC - 20);
  return (readMm * grown(gauge)) / grown(work);
}

/** Specific heat of what is turned, J/(kg·K), by ISO 513 group; provenance: recalled, middle of each group. */
const SPECIFIC_HEAT = { P: 470, M: 500, K: 500, N: 700, S: 500, H: 460, O: 1400 } as const;
/** Share of the cutting power that goes into the work at usual speeds; the chip carries most. provenance: recalled, 0.05 to 0.2 */
const INTO_WORK = 0.1;

/** What a cut's heat does to work on a tail centre. */
export interface Warming {
  readonly risesKPerMin: number;
  readonly growsMmPerMin: number;
  /** minutes of cutting after which the centre binds by so much that it is to be eased */
  readonly easeAfterMin: number;
}

/**
 * How fast work warms and grows, and when a plain tail centre is to be eased. Nothing is taken off for what air and coolant carry away:
 * it is told a little early.
 * @param powerKw cutting power @param easeMm growth that a tail centre bears before it is eased
 * @source ΔT/t = share·P/(m·c), ΔL = α·L·ΔT
 */
export function warmingOf(
  work: {
    readonly massKg: number;
    readonly lengthMm: number;
    readonly expansionPerK: number;
    readonly group: keyof typeof SPECIFIC_HEAT;
  },
  powerKw: number,
  easeMm: number,
  record?: Recorder,
): Warming {
  const heat = SPECIFIC_HEAT[work.group];
  const risesKPerMin = (INTO_WORK * powerKw * 60_000) / (work.massKg * heat);
  const growsMmPerMin = work.expansionPerK * work.lengthMm * risesKPerMin;
  const easeAfterMin = easeMm / growsMmPerMin;
  record?.({
    code: 'mechanics.warming',
    values: {
      powerKw,
      massKg: work.massKg,
      heat,
      risesKPerMin,
      lengthMm: work.lengthMm,
      growsMmPerMin,
      easeMm,
      easeAfterMin,
    },
  });
  return { risesKPerMin, growsMmPerMin, easeAfterMin };
}
