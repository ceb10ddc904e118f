import { limitsBySide } from '@whelk/core/gauge';
import { type Act, type FrozenRun, overTailMm, type StepAdvice, sideOf } from '@whelk/core/run';
import { useState } from 'react';
import { nameOf } from '../../../desks/operation/at-lathe.ts';
import { measure } from '../../../ui/format.ts';
import { Acts, KeyMark } from './Acts.tsx';
import { GonePanel } from './GonePanel.tsx';
import type { useRun } from './useRun.ts';

/** Words of what can be done once it is measured. */
const actText: Record<string, string> = {
  goOn: 'Set the dial, go on',
  stopHere: 'Stop here: it is inside',
  fits: 'Fits, go on',
  accept: 'Accept as it is, go on',
  cutAgain: 'Cut once more',
  byHand: 'File or emery it, then read again',
};

interface Props {
  readonly frozen: FrozenRun;
  readonly advice: StepAdvice;
  readonly acts: readonly Act[];
  readonly main: (() => void) | undefined;
  readonly add: ReturnType<typeof useRun>['add'];
  readonly onBack: (() => void) | undefined;
  readonly onNote: () => void;
  readonly keys: boolean;
  readonly focusField: () => void;
  readonly unit: 'mm' | 'in';
  readonly places: number;
  /** what comes before these acts, where something else is to be done first */
  readonly instead?: React.ReactNode;
}

/** The foot of a measuring step: what follows, and what is asked before a piece is given up that cannot be put back. */
export function MeasuredFoot(props: Props) {
  const { frozen, advice, acts, keys, add, onBack, onNote, focusField, unit, places, instead } = props;
  const { step, measured } = advice;
  const { limits, featureId } = step;
  const [ending, setEnding] = useState(false);
  const side = sideOf(frozen, featureId);
  // a cone's size is spoken of where the drawing has it
  const told = (mm: number): string => `${measure(mm + overTailMm(frozen, featureId), unit, places)} ${unit}`;
  return (
    <>
      <Acts>
        {instead ?? <MeasuredActs {...props} onGone={() => setEnding(true)} />}
        <button type="button" className="act" onClick={onNote}>
          Note <KeyMark keys={keys}>N</KeyMark>
        </button>
        <button type="button" className="act" onClick={onBack} disabled={!onBack}>
          Back <KeyMark keys={keys}>B</KeyMark>
        </button>
      </Acts>
      {ending && measured && limits && (
        <GonePanel
          name={nameOf(frozen, featureId)}
          side={side}
          read={told(measured.combined.guardMm)}
          limit={told(limitsBySide(limits, side).goneMm)}
          onClose={() => setEnding(false)}
          onReadAgain={() => {
            setEnding(false);
            focusField();
          }}
          onEnd={(reason) => add({ kind: 'ended', outcome: 'cannotBePutBack', reason })}
          onAccept={() => add(acts[0]!.body)}
        />
      )}
    </>
  );
}

/** The one next act after measuring, and what else can be done. */
function MeasuredActs({
  advice: { measured, next },
  acts,
  main,
  keys,
  add,
  focusField,
  onGone,
}: Pick<Props, 'advice' | 'keys' | 'add' | 'acts' | 'main' | 'focusField'> & { onGone: () => void }) {
  const gone = acts[0]?.code === 'gone';
  return (
    <>
      {gone ? (
        <>
          <button type="button" className="act main" onClick={focusField}>
            Read it once more <KeyMark keys={keys}>M</KeyMark>
          </button>
          <button type="button" className="act" onClick={onGone}>
            It cannot be put back …
          </button>
        </>
      ) : (
        <button type="button" className="act main" onClick={main} disabled={!main}>
          {measured && acts[0]
            ? acts[0].code === 'goOn' && next?.kind !== 'move'
              ? 'Go on'
              : actText[acts[0].code]
            : measured
              ? 'Answer about the reading first'
              : 'Take a reading first'}{' '}
          <KeyMark keys={keys}>space</KeyMark>
        </button>
      )}
      {!gone &&
        acts.slice(1).map((act) => (
          <button key={act.code} type="button" className="act" onClick={() => add(act.body)}>
            {act.code === 'goOn' ? 'Cut on to the middle' : actText[act.code]}
          </button>
        ))}
    </>
  );
}
