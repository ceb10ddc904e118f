import { holderPicture } from '@whelk/core/picture';
import {
  barKinds,
  barStyles,
  clampings,
  composeHolder,
  type Holder,
  type HolderChoice,
  holderStyles,
  insertClearancesDeg,
  insertShapes,
  insertSizes,
  shanksMm,
  standsAt,
  stylesOf,
  toolLengthsMm,
} from '@whelk/core/tool';
import { useState } from 'react';
import { bodyNames, clampingNames, formNames } from '../../messages/inserts.ts';
import { SelectField } from '../../ui/SelectField.tsx';
import { PictureView } from '../../ui/strip/PictureView.tsx';

const keys = <T extends object>(table: T) => Object.keys(table) as (keyof T & string)[];
const angleOf = (kind: Holder['kind'], style: string): number =>
  kind === 'outside'
    ? holderStyles[style as keyof typeof holderStyles].settingDeg
    : barStyles[style as keyof typeof barStyles];

/** A holder or a boring bar put together from what is wanted of it, every style drawn as its edge stands to the work. */
export function ComposeHolder({ onUse }: { onUse: (code: string) => void }) {
  const [choice, setChoice] = useState<HolderChoice>({
    ...{ kind: 'outside', clamping: 'S', insertShape: 'D', style: 'J', insertClearance: 'C', hand: 'R' },
    ...{ shankMm: 16, length: 'H', sizeCode: '11', body: 'S' },
  });
  const { kind, insertShape } = choice;
  const { cornerDeg } = insertShapes[insertShape];
  const set = (more: Partial<HolderChoice>) => {
    const next = { ...choice, ...more };
    const styles = stylesOf(next.kind);
    const shanks = shanksMm[next.kind];
    setChoice({
      ...next,
      style: styles.includes(next.style) ? next.style : 'L',
      shankMm: shanks.includes(next.shankMm) ? next.shankMm : shanks[0]!,
    });
  };
  const pick = <K extends keyof HolderChoice>(
    key: K,
    label: string,
    options: readonly (readonly [string, string])[],
    read: (text: string) => HolderChoice[K] = (text) => text as HolderChoice[K],
    wide = 'w-52',
  ) => (
    <SelectField
      label={label}
      value={String(choice[key])}
      choices={options}
      onPick={(text) => set({ [key]: read(text) } as Partial<HolderChoice>)}
      className={wide}
    />
  );
  const code = composeHolder(choice);
  const stands = standsAt(angleOf(kind, choice.style), cornerDeg);
  const hand = { R: 'right', L: 'left', N: 'neutral' }[choice.hand] as Holder['hand'];
  return (
    <section aria-labelledby="compose-holder" className="mt-8">
      <h2 id="compose-holder">Put a holder together</h2>
      <div className="mt-2 flex flex-wrap gap-3">
        {pick('kind', 'For', [
          ['outside', 'outside: square shank'],
          ['boring', 'holes: boring bar'],
        ])}
        {kind === 'boring' &&
          pick(
            'body',
            'Bar',
            keys(barKinds).map((b) => [
              b,
              `${b}: ${bodyNames[barKinds[b].body]}${barKinds[b].damped ? ', damped' : ''}${barKinds[b].coolant ? ', coolant' : ''}`,
            ]),
          )}
        {pick(
          'insertShape',
          'Insert',
          keys(insertShapes)
            .filter((s) => insertSizes(s).length > 1)
            .map((s) => [
              s,
              `${s}: ${formNames[insertShapes[s].form]}${insertShapes[s].cornerDeg > 0 ? ` ${insertShapes[s].cornerDeg}°` : ''}`,
            ]),
        )}
      </div>
      <Styles {...{ choice, hand }} onPick={(style) => set({ style })} />
      <div className="mt-3 flex flex-wrap gap-3">
        {pick(
          'clamping',
          'Insert held by',
          keys(clampings).map((c) => [c, `${c}: ${clampingNames[clampings[c]]}`]),
          undefined,
          'w-72',
        )}
        {pick(
          'insertClearance',
          'Insert’s clearance',
          keys(insertClearancesDeg).map((c) => [c, `${c}: ${insertClearancesDeg[c]}°`]),
          undefined,
          'w-36',
        )}
        {pick(
          'sizeCode',
          'Insert’s size',
          insertSizes(insertShape).map((s) => [s.sizeCode, s.sizeCode]),
          undefined,
          'w-32',
        )}
        {pick(
          'hand',
          'Hand',
          [
            ['R', 'R: right'],
            ['L', 'L: left'],
            ['N', 'N: either'],
          ],
          undefined,
          'w-32',
        )}
        {pick(
          'shankMm',
          kind === 'outside' ? 'Shank' : 'Bar',
          shanksMm[kind].map((mm) => [String(mm), kind === 'outside' ? `${mm} × ${mm} mm` : `Ø${mm} mm`]),
          Number,
          'w-36',
        )}
        {pick(
          'length',
          'Length',
          keys(toolLengthsMm).map((l) => [l, `${l}: ${toolLengthsMm[l]} mm`]),
          undefined,
          'w-36',
        )}
      </div>
      <p className="mt-3 flex flex-wrap items-center gap-4" role="status">
        <b className="figure">{code}</b>
        <button type="button" className="btn" onClick={() => onUse(code)} disabled={!stands}>
          Read this one above
        </button>
        {!stands && (
          <span className="field-problem">
            ✕ A corner of {cornerDeg}° has no air behind it at {angleOf(kind, choice.style)}°: choose a more pointed
            insert or another style.
          </span>
        )}
      </p>
    </section>
  );
}

/** How the edge stands to the feed, each style drawn; those without air behind the corner say so. */
function Styles({
  choice,
  hand,
  onPick,
}: {
  choice: HolderChoice;
  hand: Holder['hand'];
  onPick: (style: HolderChoice['style']) => void;
}) {
  const { kind, insertShape } = choice;
  const { cornerDeg } = insertShapes[insertShape];
  return (
    <fieldset className="mt-3">
      <legend className="text-sm">Style: how the edge stands to the feed</legend>
      <div className="mt-1 flex flex-wrap gap-1">
        {stylesOf(kind).map((style) => {
          const settingDeg = angleOf(kind, style);
          return (
            <label
              key={style}
              className={`flex w-[86px] cursor-pointer flex-col items-center rounded border p-1 text-sm ${style === choice.style ? 'border-[var(--brass)] bg-[var(--brass-soft)] font-bold' : 'border-[var(--line)]'} ${standsAt(settingDeg, cornerDeg) ? '' : 'border-dashed'}`}
            >
              <input
                type="radio"
                name="holder-style"
                className="visually-hidden"
                checked={style === choice.style}
                onChange={() => onPick(style)}
              />
              <span aria-hidden="true" className="w-[72px]">
                <PictureView picture={holderPicture({ kind, style, settingDeg, insertShape, hand })} label="" />
              </span>
              {style} {settingDeg}°{!standsAt(settingDeg, cornerDeg) && <span className="text-xs">✕ no air</span>}
            </label>
          );
        })}
      </div>
    </fieldset>
  );
}
