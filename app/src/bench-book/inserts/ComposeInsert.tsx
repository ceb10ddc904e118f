import { insertFacePicture } from '@whelk/core/picture';
import {
  composeInsert,
  type InsertChoice,
  insertClearancesDeg,
  insertFixings,
  insertRadiiMm,
  insertShapes,
  insertSizes,
  insertThicknessesMm,
  insertTolerances,
} from '@whelk/core/tool';
import { useState } from 'react';
import { breakerNames, formNames, holeNames } from '../../messages/inserts.ts';
import { SelectField } from '../../ui/SelectField.tsx';
import { PictureView } from '../../ui/strip/PictureView.tsx';

const keys = <T extends object>(table: T) => Object.keys(table) as (keyof T & string)[];

/** The other way: what is wanted, put together into a designation to order by. Every shape is drawn. */
export function ComposeInsert({ onUse }: { onUse: (code: string) => void }) {
  const [choice, setChoice] = useState<InsertChoice>({
    ...{ shape: 'C', clearance: 'N', tolerance: 'M', fixing: 'G', circleMm: 12.7 },
    ...{ thicknessCode: '04', radiusCode: '08' },
  });
  const made = composeInsert(choice);
  const sizes = insertSizes(choice.shape);
  const set = (more: Partial<InsertChoice>) => {
    const next = { ...choice, ...more };
    // a shape that is not made in this circle takes the nearest it is made in
    const circles = insertSizes(next.shape).map((s) => s.circleMm);
    const circleMm = circles.reduce((a, b) => (Math.abs(b - next.circleMm) < Math.abs(a - next.circleMm) ? b : a));
    setChoice({ ...next, circleMm });
  };
  const pick = <K extends keyof InsertChoice>(
    key: K,
    label: string,
    options: readonly (readonly [string, string])[],
    value: string,
    read: (text: string) => InsertChoice[K],
    wide = 'w-56',
  ) => (
    <SelectField
      label={label}
      value={value}
      choices={options}
      onPick={(text) => set({ [key]: read(text) } as Partial<InsertChoice>)}
      className={wide}
    />
  );
  return (
    <section aria-labelledby="compose" className="mt-8">
      <h2 id="compose">Put a designation together</h2>
      <fieldset className="mt-2">
        <legend className="visually-hidden">Shape</legend>
        <div className="flex flex-wrap gap-1">
          {keys(insertShapes)
            .filter((s) => insertSizes(s).length > 1)
            .map((s) => (
              <label
                key={s}
                className={`flex w-[74px] cursor-pointer flex-col items-center rounded border p-1 text-sm ${s === choice.shape ? 'border-[var(--brass)] bg-[var(--brass-soft)] font-bold' : 'border-[var(--line)]'}`}
              >
                <input
                  type="radio"
                  name="insert-shape"
                  className="visually-hidden"
                  checked={s === choice.shape}
                  onChange={() => set({ shape: s })}
                />
                <span aria-hidden="true" className="w-12">
                  <PictureView picture={insertFacePicture({ ...insertShapes[s], hole: 'none' })} label="" />
                </span>
                {s} <span className="visually-hidden">{formNames[insertShapes[s].form]}</span>
                <span aria-hidden="true">{insertShapes[s].cornerDeg > 0 ? `${insertShapes[s].cornerDeg}°` : ''}</span>
              </label>
            ))}
        </div>
      </fieldset>
      <div className="mt-3 flex flex-wrap gap-3">
        {pick(
          'clearance',
          'Clearance',
          keys(insertClearancesDeg).map((c) => [c, `${c}: ${insertClearancesDeg[c]}°`]),
          choice.clearance,
          (c) => c as InsertChoice['clearance'],
        )}
        {pick(
          'tolerance',
          'Tolerance',
          keys(insertTolerances).map((t) => [
            t,
            `${t}: corner ±${composeInsert({ ...choice, tolerance: t }).heightToleranceMm}`,
          ]),
          choice.tolerance,
          (t) => t as InsertChoice['tolerance'],
        )}
        {pick(
          'fixing',
          'Hole and chip breaker',
          keys(insertFixings).map((f) => [
            f,
            `${f}: ${holeNames[insertFixings[f].hole]}${insertFixings[f].countersinks === 2 ? ', both sides' : ''}, ${breakerNames[insertFixings[f].breakers]}`,
          ]),
          choice.fixing,
          (f) => f as InsertChoice['fixing'],
          'w-[26rem]',
        )}
        {pick(
          'circleMm',
          'Size',
          sizes.map((s) => [
            String(s.circleMm),
            `${s.sizeCode}: ${choice.shape === 'L' ? 'longer edge' : 'circle'} ${s.circleMm} mm`,
          ]),
          String(choice.circleMm),
          Number,
        )}
        {pick(
          'thicknessCode',
          'Thickness',
          keys(insertThicknessesMm).map((t) => [t, `${t}: ${insertThicknessesMm[t]} mm`]),
          choice.thicknessCode,
          (t) => t as InsertChoice['thicknessCode'],
        )}
        {choice.shape !== 'R' &&
          pick(
            'radiusCode',
            'Corner',
            keys(insertRadiiMm)
              .toSorted()
              .map((r) => [r, insertRadiiMm[r] === 0 ? `${r}: sharp` : `${r}: radius ${insertRadiiMm[r]} mm`]),
            choice.radiusCode,
            (r) => r as InsertChoice['radiusCode'],
          )}
      </div>
      <p className="mt-3 flex items-center gap-4" role="status">
        <b className="figure">{made.code}</b>
        <button type="button" className="btn" onClick={() => onUse(made.code)}>
          Read it above
        </button>
      </p>
    </section>
  );
}
