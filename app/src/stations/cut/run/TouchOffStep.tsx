import { numbersPerTurn, readDialNumber } from '@whelk/core/lathe';
import { type Problem, parseLength } from '@whelk/core/quantity';
import type { FrozenRun, StepAdvice } from '@whelk/core/run';
import { useState } from 'react';
import { measure } from '../../../ui/format.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { Acts } from './Acts.tsx';
import { SetPanel } from './SetPanel.tsx';
import { diameter as diameterOf, stepTitle } from './titles.ts';
import type { useRun } from './useRun.ts';

interface Props {
  readonly frozen: FrozenRun;
  readonly advice: StepAdvice;
  readonly add: ReturnType<typeof useRun>['add'];
  readonly onBack: (() => void) | undefined;
  readonly onNote: () => void;
  readonly caution: string | undefined;
}

/** A size farther from what is expected than this is asked about: a slip of the unit or of a turn of the micrometer. */
const FAR_OFF_MM = 1.5;

/** Touching off: the diameter measured, the numbers noted, and the direction come from. All later moves start here. */
export function TouchOffStep({ frozen, advice, add, onBack, onNote, caution }: Props) {
  const { lathe } = frozen;
  const { crossSlide, carriage } = lathe.slides;
  const [diameter, setDiameter] = useState('');
  const [cross, setCross] = useState(crossSlide.resettable ? '0' : '');
  const [end, setEnd] = useState(carriage.means === 'dial' && carriage.resettable ? '0' : '');
  const [tried, setTried] = useState(false);
  const read = parseLength(diameter, lathe.unit);
  const above = read.ok && read.mm.valueOf() > frozen.stockMm + 1.5;
  const number = (dial: typeof crossSlide, text: string): Problem | undefined => {
    const noted = readDialNumber(dial, text);
    return noted.ok ? undefined : { code: noted.code, path: [], value: text, limit: noted.limit };
  };
  const expectedMm = advice.step.targetMm ?? frozen.stockMm;
  const farOff = read.ok && Math.abs(read.mm.valueOf() - expectedMm) > FAR_OFF_MM;
  const diameterProblem: Problem | undefined = !read.ok
    ? { code: read.code, path: [], value: read.value }
    : above
      ? { code: 'stock.diameterAboveBar', path: [], value: read.mm.valueOf(), limit: frozen.stockMm }
      : farOff
        ? {
            code: 'touch.farOff',
            path: [],
            limit: diameterOf(expectedMm, lathe.unit),
            unit: lathe.unit,
            severity: 'warning',
          }
        : undefined;
  const crossProblem = number(crossSlide, cross);
  const endProblem = carriage.means === 'dial' ? number(carriage, end) : undefined;
  const shown = (typed: string, problem: Problem | undefined) => (tried || typed !== '' ? problem : undefined);
  const save = (event: React.FormEvent) => {
    event.preventDefault();
    setTried(true);
    if ((diameterProblem && diameterProblem.severity !== 'warning') || crossProblem || endProblem) return;
    add({
      kind: 'touchedOff',
      stepId: advice.step.id,
      diameter: { text: diameter.trim(), unit: lathe.unit },
      crossNumber: cross.trim(),
      endNumber: carriage.means === 'dial' ? end.trim() : '',
      approach: 'in',
    });
  };
  const again = advice.step.targetMm !== undefined;
  const roughed = again ? diameterOf(advice.step.targetMm!, lathe.unit) : '';
  const turnHand = crossSlide.clockwiseMoves === 'in' ? 'clockwise' : 'anticlockwise';
  return (
    <form className="flex flex-1 flex-col" onSubmit={save}>
      <div className="grid flex-1 content-start lg:grid-cols-[minmax(230px,300px)_1fr] lg:content-stretch">
        <SetPanel
          frozen={frozen}
          advice={advice}
          onStands={(positions, besides) => add({ kind: 'stands', stepId: advice.step.id, positions, besides })}
        />
        <section aria-label="Touch off" className="px-6 py-4">
          <h2 className="text-2xl">{stepTitle(advice.step, frozen)}</h2>
          <ol className="mt-3 flex max-w-2xl list-inside list-decimal flex-col gap-2 text-lg">
            <li>
              {again
                ? `The tool was changed: its point stands elsewhere, so the numbers from before no longer hold. Bring it to the diameter last roughed near the tail end, about ${roughed}, until it just marks. Wind in ${turnHand}.`
                : `Take a light cut about ${lathe.unit === 'mm' ? '6 mm' : '1/4 in'} long at the tail end, just enough to clean up. Wind in ${turnHand}; do not turn the cross-slide back.`}
            </li>
            <li>
              Run the carriage off to the right.{' '}
              {crossSlide.resettable
                ? 'Hold the handle and set the ring to 0.'
                : 'Leave the ring alone: note the number as it stands.'}
            </li>
            <li>Stop the spindle and {again ? 'measure that diameter.' : 'measure the short diameter.'}</li>
            <li>
              {carriage.means === 'dial'
                ? `Bring the tool’s side to touch the faced end, and ${carriage.resettable ? 'set the carriage’s ring to 0' : 'note the carriage’s number'}.`
                : 'Lengths will be scribed from the faced end.'}
            </li>
          </ol>
          <div className="mt-5 grid max-w-3xl gap-4 sm:grid-cols-3">
            <TextField
              label={`Diameter measured, ${lathe.unit}`}
              value={diameter}
              problem={shown(diameter, diameterProblem)}
              onChange={setDiameter}
              inputClass="h-14 text-2xl font-bold"
              inputMode="decimal"
              data="touch-diameter"
            />
            <TextField
              label={`Cross-slide reads, ${crossSlide.unit}`}
              note={`0 to ${numbersPerTurn(crossSlide).toString()}`}
              value={cross}
              problem={shown(cross, crossProblem)}
              onChange={setCross}
              inputClass="h-14 text-2xl font-bold"
              inputMode="decimal"
              data="touch-cross"
            />
            {carriage.means === 'dial' && (
              <TextField
                label={`Carriage reads at the end, ${carriage.unit}`}
                note={`0 to ${numbersPerTurn(carriage).toString()}`}
                value={end}
                problem={shown(end, endProblem)}
                onChange={setEnd}
                inputClass="h-14 text-2xl font-bold"
                inputMode="decimal"
                data="touch-end"
              />
            )}
          </div>
          <p className="muted mt-3">
            Come to every later number the same way: winding in, {turnHand}. Its slack of{' '}
            {measure(crossSlide.slackMm, lathe.unit, lathe.unit === 'mm' ? 2 : 3)} {lathe.unit} is taken up so.
          </p>
        </section>
      </div>
      <Acts caution={caution}>
        <button type="submit" className="act main">
          Touched off
        </button>
        <button type="button" className="act" onClick={onNote}>
          Note
        </button>
        <button type="button" className="act" onClick={onBack} disabled={!onBack}>
          Back
        </button>
      </Acts>
    </form>
  );
}
