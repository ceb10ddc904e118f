import { largestTurnedMm, leastGripMm } from '@whelk/core/hold';
import type { Job, PlannedJob } from '@whelk/core/job';
import { parseLength, shortLength } from '@whelk/core/quantity';
import { type Blank, type RealBlank, realBlank } from '@whelk/core/stock';
import { givesText } from '../../messages/stock.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';

interface Props {
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly blank: Blank;
  readonly onReal: (real: Job['stock']['real'], field: string) => void;
}

/** The piece on the bench against the drawing, before it is mounted: measured, told whether it does, marks to make. */
export function RealBlankCheck({ job, planned, blank, onReal }: Props) {
  const { unit } = job.drawing;
  const real = job.stock.real ?? { diameter: { text: '', unit }, length: { text: '', unit } };
  const read = (key: 'diameter' | 'length') =>
    real[key].text.trim() === '' ? undefined : parseLength(real[key].text, real[key].unit);
  const [diameter, length] = [read('diameter'), read('length')];
  const set = (key: 'diameter' | 'length', text: string) => {
    const next = { ...real, [key]: { text, unit } };
    onReal(next.diameter.text === '' && next.length.text === '' ? undefined : next, `real-${key}`);
  };
  const shown = (mm: number) => `${shortLength(mm, unit, unit === 'mm' ? 1 : 2)} ${unit}`;
  const across = planned.barSizes?.acrossMm ?? 0;
  const needMm = planned.cleanUp?.needMm ?? largestTurnedMm(planned.part, across);
  const verdict =
    diameter?.ok && length?.ok
      ? realBlank(
          blank,
          job.stock.allow,
          length.mm.valueOf(),
          diameter.mm.valueOf(),
          needMm,
          leastGripMm(blank.spareGripMm, blank.diameterMm),
        )
      : undefined;
  const field = (key: 'diameter' | 'length', label: string) => {
    const now = read(key);
    return (
      <TextField
        className="w-40"
        label={label}
        value={real[key].text}
        problem={now && !now.ok ? { code: now.code, path: [], value: now.value } : undefined}
        onChange={(text) => set(key, text)}
        data={`real-${key}`}
      />
    );
  };
  return (
    <section aria-labelledby="real" className="mt-6">
      <h2 id="real">The piece on the bench</h2>
      <p className="muted text-sm">Measure it before it is mounted: where it is thinnest, where it is shortest.</p>
      <div className="mt-2 flex flex-wrap items-start gap-3">
        {field('diameter', `Ø or across, ${unit}`)}
        {field('length', `Length, ${unit}`)}
      </div>
      {verdict && (
        <p role="status" className={`mt-2 ${verdict.verdict === 'good' ? 'ok' : 'field-warning text-base'}`}>
          {wordsFor(verdict, shown)}
        </p>
      )}
      {verdict &&
        verdict.verdict !== 'tooThin' &&
        verdict.verdict !== 'tooShort' &&
        planned.kind === 'planned' &&
        blank.spareGripMm > 0 && (
          <p className="mt-1 text-sm">
            Mark the grip line {shown(blank.spareGripMm)} from the headstock end, and which end is finished first,
            before it goes into the chuck.
          </p>
        )}
    </section>
  );
}

function wordsFor(real: RealBlank, shown: (mm: number) => string): string {
  if (real.verdict === 'tooThin')
    return `✕ ${shown(-real.spareDiameterMm)} too thin to be sure that it cleans up. Run it true, or take another.`;
  if (real.verdict === 'tooShort') return `✕ ${shown(-real.spareLengthMm)} too short; grip and facing cannot give it.`;
  if (real.verdict === 'gives')
    return `~ ${shown(-real.spareLengthMm)} shorter than wanted: take it from ${real.gives
      .map((g) => `${givesText[g.part]} (${shown(g.mm)})`)
      .join(', then ')}.`;
  return `✓ It does: ${shown(real.spareLengthMm)} to spare in length, ${shown(real.spareDiameterMm)} on the diameter.`;
}
