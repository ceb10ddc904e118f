import type { Lathe } from '@whelk/core/lathe';
import { type LengthUnit, parseLength } from '@whelk/core/quantity';
import { angleGrade, coneZone, holdsItself, NAMED_TAPERS, readTaper, sayTaper, taperNamed } from '@whelk/core/taper';
import { pivotsMm, pointDepthMm } from '@whelk/core/tapering';
import { useState } from 'react';
import { inUnit } from '../../messages/in-unit.ts';
import { wordProblem } from '../../messages/problems.ts';
import { holdsText, saidRows, zoneText } from '../../messages/taper.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { SelectField } from '../../ui/SelectField.tsx';
import { UnitOfPage } from '../../ui/unit.ts';
import { Proving } from './Proving.tsx';
import { Ways } from './Ways.tsx';

const GRADES = [4, 5, 6, 7, 8, 9, 10] as const;

/** Any taper, however it is said: what it is, how this lathe turns it, and how it is proved. */
function TapersPage({ lathes }: { lathes: readonly Lathe[] }) {
  const [text, setText] = useState('Morse 3');
  const [latheId, setLathe] = useState(lathes[0]?.id ?? '');
  const lathe = lathes.find((l) => l.id === latheId);
  const unit: LengthUnit = lathe?.unit ?? 'mm';
  const named = taperNamed(text);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [side, setSide] = useState<'outside' | 'inside'>('outside');
  const [vary, setVary] = useState(false);
  const [grade, setGrade] = useState(7);
  const read = readTaper(text, unit);
  const u = inUnit(unit);
  const usual = (mm: number | undefined, otherwise: string): string => (mm === undefined ? otherwise : u.bare(mm, 3));
  const large =
    named?.sizeMm === undefined
      ? undefined
      : named.sizeAt === 'large'
        ? named.sizeMm
        : named.sizeMm + named.perLength.valueOf() * (named.lengthMm ?? 0);
  const texts = {
    large: typed.large ?? usual(large, unit === 'mm' ? '30' : '1 1/4'),
    length: typed.length ?? usual(named?.lengthMm, unit === 'mm' ? '80' : '3'),
    whole: typed.whole ?? '',
    zone: typed.zone ?? '',
    mouth: typed.mouth ?? (unit === 'mm' ? '6.3' : '1/4'),
  };
  const mm = (value: string): number | undefined => {
    const length = parseLength(value, unit);
    return length.ok && length.mm.valueOf() > 0 ? length.mm.valueOf() : undefined;
  };
  const [largeMm, lengthMm, wholeMm, mouthMm, zoneMm] = [
    ...[texts.large, texts.length, texts.whole, texts.mouth, texts.zone],
  ].map(mm);
  const deep = mouthMm === undefined ? 0 : pointDepthMm(mouthMm);
  const centres = wholeMm === undefined ? undefined : { wholeMm, headDepthMm: deep, tailDepthMm: deep };
  const between = centres && pivotsMm(centres) > 0 ? centres : undefined;
  const field = (key: keyof typeof texts, label: string, hint = '') => (
    <TextField
      className="w-36"
      label={label}
      hint={hint}
      value={texts[key]}
      onChange={(value) => setTyped({ ...typed, [key]: value })}
      data={`taper-${key}`}
    />
  );
  const tolerance = lengthMm === undefined ? undefined : angleGrade(grade, lengthMm);
  const problem = read.ok ? undefined : wordProblem({ code: read.code, path: [], value: text }, unit);
  return (
    <UnitOfPage.Provider value={unit}>
      <div className="flex flex-wrap items-baseline gap-x-6">
        <h1>Tapers</h1>
        {lathe && (
          <a className="link" href={`/api/lathes/${lathe.id}/tapers.pdf`} download>
            Card of {lathe.name} for the wall, PDF
          </a>
        )}
      </div>
      <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-3">
        <label className="text-sm">
          Taper, as it is said
          <input
            className="input mt-0.5 flex h-14 w-72 text-2xl font-bold"
            value={text}
            list="named-tapers"
            onChange={(e) => {
              setText(e.target.value);
              setTyped(({ large: _l, length: _n, ...rest }) => rest);
            }}
            data-field="taper-said"
            aria-invalid={!read.ok}
            aria-describedby="taper-says"
            spellCheck={false}
          />
          <datalist id="named-tapers">
            {NAMED_TAPERS.map((t) => (
              <option key={t.name} value={t.name} />
            ))}
          </datalist>
        </label>
        {field('large', `Large end Ø, ${unit}`)}
        {field('length', `Long, ${unit}`)}
        <SelectField
          label="Which side"
          className="w-32"
          value={side}
          choices={[
            ['outside', 'outside'],
            ['inside', 'inside'],
          ]}
          onPick={setSide}
        />
        {lathes.length > 0 && (
          <SelectField
            label="On the lathe"
            className="w-44"
            value={latheId}
            choices={lathes.map((l) => [l.id, l.name] as const)}
            onPick={setLathe}
          />
        )}
      </div>
      <div id="taper-says" role="status" className="mt-1 min-h-7">
        {problem && text.trim() !== '' && (
          <p className="field-problem">
            {problem.what} {problem.right}
          </p>
        )}
      </div>
      {read.ok && lengthMm !== undefined && largeMm !== undefined && (
        <>
          <div className="grid items-start gap-x-10 gap-y-4 xl:grid-cols-2">
            <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1 text-base">
              {saidRows(sayTaper(read.perLength)).map(([name, value]) => (
                <div key={name} className="contents">
                  <dt className="muted">{name}</dt>
                  <dd className="font-semibold">{value}</dd>
                </div>
              ))}
            </dl>
            <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1 text-base">
              <dt className="muted">Small end</dt>
              <dd>
                {largeMm - Math.abs(read.perLength) * lengthMm > 0
                  ? `Ø${u.len(largeMm - Math.abs(read.perLength) * lengthMm, 3)}`
                  : 'it comes to its point before its length is out'}
              </dd>
              {named?.sizeMm !== undefined && (
                <>
                  <dt className="muted">Gauge line</dt>
                  <dd>
                    Ø{u.len(named.sizeMm, 3)} at its {named.sizeAt} end
                    {named.lengthMm === undefined ? '' : `, ${u.len(named.lengthMm, 1)} to the other`}
                  </dd>
                </>
              )}
              <dt className="muted">In its seat</dt>
              <dd>{holdsText[holdsItself(Math.abs(sayTaper(read.perLength).includedDeg))]}</dd>
              <dt className="muted">A gauge goes on</dt>
              <dd>
                {u.len((unit === 'mm' ? 0.01 : 0.0254) / Math.abs(read.perLength), 2)} for{' '}
                {unit === 'mm' ? '0.01 mm' : '.001 in'} of the diameter
              </dd>
              <dt className="muted">
                <label>
                  Angle to{' '}
                  <select
                    className="select select-sm ml-1 inline-flex w-24"
                    value={grade}
                    onChange={(e) => setGrade(Number(e.target.value))}
                  >
                    {GRADES.map((g) => (
                      <option key={g} value={g}>
                        AT{g}
                      </option>
                    ))}
                  </select>
                </label>
              </dt>
              <dd className="self-center">
                {tolerance
                  ? `${tolerance.microradians} µrad: ${tolerance.overLengthUm.toFixed(1)} µm on the diameter over its length`
                  : 'listed for more than 6 up to 630 mm'}
              </dd>
              <dt className="muted">
                <label>
                  Limits all along, {unit}
                  <input
                    className="input input-sm ml-2 inline-flex w-24"
                    value={texts.zone}
                    onChange={(e) => setTyped({ ...typed, zone: e.target.value })}
                    placeholder={unit === 'mm' ? '0.04' : '.0015'}
                    data-field="taper-zone"
                    inputMode={unit === 'mm' ? 'decimal' : 'text'}
                  />
                </label>
              </dt>
              <dd className="self-center">
                {zoneMm === undefined
                  ? 'from limit to limit of the diameter, the same at every place'
                  : zoneText(coneZone(zoneMm, lengthMm, read.perLength), u)}
              </dd>
            </dl>
          </div>
          <div className="mt-4 flex flex-wrap items-end gap-3">
            {field('whole', `Between centres: whole length, ${unit}`, 'in a chuck')}
            {wholeMm !== undefined && field('mouth', `Centre holes Ø, ${unit}`)}
            {wholeMm !== undefined && (
              <label className="flex h-10 items-center gap-2 text-base">
                <input type="checkbox" checked={vary} onChange={(e) => setVary(e.target.checked)} />a batch of varying
                lengths
              </label>
            )}
          </div>
          {lathe && (
            <Ways {...{ lathe, lengthMm, largeMm, side, between }} perLength={read.perLength} lengthsVary={vary} />
          )}
          <Proving
            key={`${text}-${lengthMm}-${unit}`}
            {...{ unit, lengthMm, largeMm, grade }}
            perLength={read.perLength}
            pivotsMm={between && pivotsMm(between)}
          />
        </>
      )}
    </UnitOfPage.Provider>
  );
}

export default fromJson(TapersPage);
