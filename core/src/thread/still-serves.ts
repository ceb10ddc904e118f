import { formOf, threadLimits } from './forms.ts';
import type { NamedThread, Side } from './thread.ts';

/** Classes of metric threads that are tried besides the usual ones: positions and grades. ISO 965-1 */
const METRIC: Readonly<Record<Side, readonly [positions: string, grades: readonly number[]]>> = {
  outside: ['efgh', [3, 4, 5, 6, 7, 8, 9]],
  inside: ['GH', [4, 5, 6, 7, 8]],
};

/**
 * Classes of its standard that a thread's pitch diameter is within, the narrowest first: what a thread cut past its own limits still is.
 */
export function stillServes(thread: NamedThread, side: Side, pitchDiameterMm: number): readonly string[] {
  const [positions, grades] = METRIC[side];
  const metric = thread.form === 'metric' ? [...positions].flatMap((p) => grades.map((g) => `${g}${p}`)) : [];
  const named = [...new Set([...formOf(thread).classes[side], ...metric])];
  return named
    .flatMap((name) => {
      const size = threadLimits({ ...thread, class: undefined } as NamedThread, side, name)?.pitchDiameter;
      const within = size && size.lowerMm <= pitchDiameterMm && pitchDiameterMm <= size.upperMm;
      return within ? [{ name, widthMm: size.upperMm - size.lowerMm }] : [];
    })
    .toSorted((a, b) => a.widthMm - b.widthMm)
    .map(({ name }) => name);
}
