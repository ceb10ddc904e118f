import { depthRing, readDialNumber } from '@whelk/core/lathe';
import { type Problem, parseLength } from '@whelk/core/quantity';
import { doubtOf, type FrozenRun, type RunState, type StepAdvice } from '@whelk/core/run';
import { useState } from 'react';
import { useKeptText } from '../../../ui/keep/useKeptText.ts';
import type { useRun } from './useRun.ts';

interface Asked {
  readonly keepAs: string;
  readonly frozen: FrozenRun;
  readonly state: RunState;
  readonly advice: StepAdvice;
  readonly add: ReturnType<typeof useRun>['add'];
  /** the tool was changed: a diameter that was roughed is touched */
  readonly again: boolean;
  /** the compound is swung, and its ring is noted too */
  readonly byCompound: boolean;
}

/** What is typed at touching off, kept until it is entered: the diameter and the rings' numbers, with what is wrong or doubted. */
export function useTouched({ keepAs, frozen, state, advice, add, again, byCompound }: Asked) {
  const { lathe } = frozen.means;
  const { check } = advice;
  const { carriage, compound } = lathe.slides;
  const crossSlide = depthRing(lathe);
  const at = `${keepAs}.${advice.step.id}`;
  // what was measured after roughing need not be measured and typed again
  const metal = again ? state.metal[advice.step.featureId ?? ''] : undefined;
  const measured =
    metal?.by === 'measured'
      ? state.readings.findLast((r) => r.featureId === advice.step.featureId && !r.setAside)
      : undefined;
  const [diameter, setDiameter, dropDiameter] = useKeptText(
    `${at}.diameter`,
    measured && measured.unit === lathe.unit ? measured.text : '',
  );
  const [sure, setSure] = useState('');
  const [fine, setFine, dropFine] = useKeptText(`${at}.compound`);
  const [cross, setCross, dropCross] = useKeptText(`${at}.cross`, check?.number ?? (crossSlide.resettable ? '0' : ''));
  const [end, setEnd, dropEnd] = useKeptText(
    `${at}.end`,
    check?.endNumber ?? (carriage.means === 'dial' && carriage.resettable ? '0' : ''),
  );
  const [tried, setTried] = useState(false);
  const read = parseLength(diameter, lathe.unit);
  const number = (dial: typeof crossSlide, text: string): Problem | undefined => {
    const noted = readDialNumber(dial, text);
    return noted.ok ? undefined : { code: noted.code, path: [], value: text, limit: noted.limit };
  };
  const doubt = read.ok
    ? doubtOf(
        frozen,
        state,
        { mm: read.mm.valueOf(), text: diameter, unit: lathe.unit },
        advice.expected,
        undefined,
        advice.step.featureId,
      )
    : undefined;
  const farOff = doubt?.kind === 'doubted' ? doubt : undefined;
  const diameterProblem: Problem | undefined = read.ok ? undefined : { code: read.code, path: [], value: read.value };
  const crossProblem = number(crossSlide, cross);
  const endProblem = carriage.means === 'dial' ? number(carriage, end) : undefined;
  const fineProblem = byCompound ? number(compound, fine) : undefined;
  const shown = (typed: string, problem: Problem | undefined) => (tried || typed !== '' ? problem : undefined);
  const save = (event: React.FormEvent) => {
    event.preventDefault();
    setTried(true);
    if (diameterProblem || crossProblem || endProblem || fineProblem) return;
    // asked once: the same figure again means that it was looked at
    if (farOff && sure !== diameter) return;
    add({
      kind: 'touchedOff',
      stepId: advice.step.id,
      diameter: { text: diameter.trim(), unit: lathe.unit },
      crossNumber: cross.trim(),
      endNumber: carriage.means === 'dial' ? end.trim() : '',
      ...(byCompound ? { compoundNumber: fine.trim() } : {}),
      approach: 'in',
      ...(farOff ? { lookedAgain: true } : {}),
    });
    for (const drop of [dropDiameter, dropCross, dropEnd, dropFine]) drop();
  };
  const field = (value: string, problem: Problem | undefined, onChange: (text: string) => void) => ({
    ...{ value, onChange, problem: shown(value, problem) },
  });
  return {
    ...{ diameter, farOff, tried, save },
    sure: sure === diameter,
    beSure: () => setSure(diameter),
    fields: {
      diameter: field(diameter, diameterProblem, setDiameter),
      cross: field(cross, crossProblem, setCross),
      fine: field(fine, fineProblem, setFine),
      end: field(end, endProblem, setEnd),
    },
  };
}
