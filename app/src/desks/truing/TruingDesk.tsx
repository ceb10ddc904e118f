import { castingRunoutMm } from '@whelk/core/hold';
import { type Chuck, type Truing, truingOf, usualTruing } from '@whelk/core/lathe';
import { useState } from 'react';
import { AllowanceField } from '../../ui/number-field/AllowanceField.tsx';
import { FirstMounting } from './FirstMounting.tsx';
import { type JawResult, JawTruing } from './JawTruing.tsx';
import { boxMm, LengthBox } from './LengthBox.tsx';
import { type TailstockResult, TailstockTruing } from './TailstockTruing.tsx';

export type Desk = 'fourJaw' | 'fineAdjusting' | 'firstMounting' | 'casting' | 'tailstock';
export const deskNames: Record<Desk, string> = {
  fourJaw: 'Four-jaw',
  fineAdjusting: 'Fine-adjusting body',
  firstMounting: 'Its first mounting',
  casting: 'A casting, by pointer',
  tailstock: 'Tailstock and bed',
};
interface Props {
  readonly chucks: readonly Chuck[];
  readonly unit: 'mm' | 'in';
  readonly wholeMm?: number;
  readonly axisHighMm?: number;
  readonly usualWantedMm?: number;
  readonly onJaws?: (
    what: Exclude<Desk, 'tailstock' | 'firstMounting'>,
    chuckId: string | null,
    result: JawResult,
  ) => void;
  readonly onTailstock?: (result: TailstockResult) => void;
}

/** All helpers for truing, one at a time; the chuck's own sense is used where the lathe's description has it. */
export function TruingDesk({ chucks, unit, wholeMm, axisHighMm, usualWantedMm = 0.03, onJaws, onTailstock }: Props) {
  const [desk, setDesk] = useState<Desk>('fourJaw');
  const [own, setOwn] = useState<Partial<Record<Desk, Truing>>>({});
  const [allowance, setAllowance] = useState({ on: unit === 'mm' ? '3' : '1/8', skin: unit === 'mm' ? '1.5' : '1/16' });
  const kind = desk === 'fineAdjusting' ? 'fineAdjusting' : 'fourJaw';
  const chuck = chucks.find((c) => c.kind === kind);
  const truing = own[desk] ?? (chuck && truingOf(chuck)) ?? usualTruing[kind];
  const jaws = desk === 'fourJaw' || desk === 'fineAdjusting' || desk === 'casting';
  const casting = castingRunoutMm(boxMm(allowance.on, unit) ?? 3, boxMm(allowance.skin, unit) ?? 1.5);
  return (
    <div className="truing">
      <div role="tablist" aria-label="Truing" className="flex flex-wrap gap-1">
        {(Object.keys(deskNames) as Desk[]).map((name) => (
          <button
            key={name}
            type="button"
            role="tab"
            aria-selected={desk === name}
            className={`btn btn-sm h-11 ${desk === name ? 'btn-primary' : ''}`}
            onClick={() => setDesk(name)}
          >
            {deskNames[name]}
          </button>
        ))}
      </div>
      {jaws && (
        <>
          <div className="mt-4 flex flex-wrap items-end gap-3">
            <label className="text-sm">
              {chuck ? `${chuck.name}: its` : 'The'} {truing.sense === 'push' ? 'jaws' : 'screws'}
              <select
                className="select mt-0.5 flex w-80"
                value={truing.sense}
                onChange={(e) => setOwn({ ...own, [desk]: { ...truing, sense: e.target.value as 'push' } })}
              >
                <option value="push">push the work: slacken the low side first</option>
                <option value="drag">drag the body: slacken the high side first</option>
              </select>
            </label>
            <label className="text-sm">
              Key clockwise
              <select
                className="select mt-0.5 flex w-36"
                value={truing.clockwise}
                onChange={(e) => setOwn({ ...own, [desk]: { ...truing, clockwise: e.target.value as 'tightens' } })}
              >
                <option value="tightens">tightens</option>
                <option value="slackens">slackens</option>
              </select>
            </label>
            <div className="w-36">
              <AllowanceField
                key={desk}
                label="One turn of the key"
                value={truing.mmPerTurn}
                most={20}
                onChange={(mmPerTurn) => {
                  if (mmPerTurn >= 0.1) setOwn({ ...own, [desk]: { ...truing, mmPerTurn } });
                }}
              />
            </div>
            {desk === 'casting' && (
              <>
                <LengthBox
                  label="To come off each side"
                  text={allowance.on}
                  unit={unit}
                  onText={(on) => setAllowance({ ...allowance, on })}
                  data="casting-allowance"
                />
                <LengthBox
                  label="Skin is deep"
                  text={allowance.skin}
                  unit={unit}
                  onText={(skin) => setAllowance({ ...allowance, skin })}
                  data="casting-skin"
                />
              </>
            )}
          </div>
          {chuck && !own[desk] && !chuck.truing && (
            <p className="muted mt-1 text-sm">
              As such chucks usually are; the lathe’s description keeps how yours is.
            </p>
          )}
          <div className="mt-4">
            <JawTruing
              key={`${desk}-${desk === 'casting' ? casting : ''}`}
              chuck={truing}
              kind={desk}
              usualWantedMm={desk === 'casting' ? casting : usualWantedMm}
              unit={unit}
              onKeep={onJaws && ((result) => onJaws(desk, chuck?.id ?? null, result))}
            />
          </div>
        </>
      )}
      {desk === 'firstMounting' && (
        <div className="mt-4">
          <FirstMounting unit={unit} />
        </div>
      )}
      {desk === 'tailstock' && (
        <div className="mt-4">
          <TailstockTruing {...{ unit, wholeMm, axisHighMm }} onKeep={onTailstock} />
        </div>
      )}
    </div>
  );
}
