import type { Feed, Speed } from '@whelk/core/lathe';
import {
  adviseTrouble,
  type Change,
  type Conditions,
  changeOnLathe,
  SYMPTOMS,
  type Symptom,
} from '@whelk/core/trouble';
import { useState } from 'react';
import { inUnit } from '../../messages/in-unit.ts';
import { causeText, changeText, evidenceText, symptomText } from '../../messages/trouble.ts';
import { feed as feedText, feedUnit } from '../../ui/format.ts';

interface Props {
  readonly conditions: Conditions;
  readonly speeds: readonly Speed[];
  readonly feeds: readonly Feed[];
  readonly rpm: number;
  readonly feedMm: number;
  readonly unit: 'mm' | 'in';
  /** what else is asked once a symptom is named */
  readonly beside?: React.ReactNode;
  /** keeps what was tried and whether it helped; without it nothing can be kept */
  readonly onOutcome?: (text: string) => void;
}

/** From what is seen to what to change now on this lathe; whether it helped is kept. */
export function TroubleList({ conditions, speeds, feeds, rpm, feedMm, unit, beside, onOutcome }: Props) {
  const [symptom, setSymptom] = useState<Symptom>();
  const ranked = symptom ? adviseTrouble(symptom, conditions).slice(0, 5) : [];
  const say = (change: Change): string => {
    // nothing is being cut: there is no setting to go on from
    if (rpm <= 0) return changeText[change];
    const { speed, feed } = changeOnLathe(change, speeds, feeds, rpm, feedMm);
    if (speed) return `${changeText[change]}: ${speed.label}, ${speed.rpm} rpm`;
    if (feed) return `${changeText[change]}: ${feed.label}, ${feedText(feed.mmPerRev, unit)} ${feedUnit(unit)}`;
    const none = change === 'slower' || change === 'faster' || change === 'moreFeed' || change === 'lessFeed';
    return none ? `${changeText[change]}: this lathe has none` : changeText[change];
  };
  return (
    <>
      <fieldset className="flex flex-wrap gap-2">
        <legend className="visually-hidden">What is wrong</legend>
        {SYMPTOMS.map((s) => (
          <button key={s} type="button" className="position" aria-pressed={s === symptom} onClick={() => setSymptom(s)}>
            {symptomText[s]}
          </button>
        ))}
      </fieldset>
      {symptom && beside}
      {symptom && (
        <ol className="mt-4" aria-label="Causes, likeliest first">
          {ranked.map((cause, i) => (
            <li key={cause.id} className="grid gap-x-5 border-t border-[var(--line)] py-2 md:grid-cols-[1fr_1.2fr]">
              <div>
                <p className="font-bold">
                  {i + 1}. {causeText[cause.id]}
                </p>
                <p className="text-sm">
                  {cause.evidence ? (
                    <span className="setting">
                      {evidenceText[cause.evidence.condition]?.(
                        cause.evidence.value,
                        cause.evidence.limit,
                        inUnit(unit),
                      )}
                    </span>
                  ) : (
                    <span className="muted">nothing measured speaks for or against it</span>
                  )}
                </p>
              </div>
              <ul>
                {cause.changes.map((change) => (
                  <li key={change} className="flex flex-wrap items-center gap-2">
                    <span className="flex-1">{say(change)}</span>
                    {onOutcome &&
                      (['helped', 'did not help'] as const).map((outcome) => (
                        <button
                          key={outcome}
                          type="button"
                          className="quiet min-h-11 text-sm underline"
                          aria-label={`${changeText[change]} ${outcome}`}
                          onClick={() =>
                            onOutcome(`${symptomText[symptom]}: ${say(change).toLowerCase()}, ${outcome}.`)
                          }
                        >
                          {outcome}
                        </button>
                      ))}
                  </li>
                ))}
              </ul>
            </li>
          ))}
        </ol>
      )}
    </>
  );
}
