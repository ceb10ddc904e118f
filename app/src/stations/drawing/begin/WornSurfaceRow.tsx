import type { Shop } from '@whelk/core/job';
import type { Limits } from '@whelk/core/limit';
import type { WornSurface } from '@whelk/core/part';
import { formatLength, type LengthUnit, shortLength } from '@whelk/core/quantity';
import { lengthGuesses, seeSurface } from '@whelk/core/worn';
import { Trash2 } from 'lucide-react';
import { guessText, stateNames, surfaceName } from '../../../messages/worn.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';

interface About {
  readonly surface: WornSurface;
  /** place among the surfaces, from 0 */
  readonly at: number;
  readonly unit: LengthUnit;
  readonly instruments: Shop['instruments'];
  /** as they follow from a mate */
  readonly limits: Limits | undefined;
  readonly put: (change: Partial<WornSurface>, field: string) => void;
}

/** A surface of a worn part: what it is, what was read of it, and what it was made to. */
export function WornSurfaceRow({ now, onRemove, ...about }: About & { now: boolean; onRemove: () => void }) {
  const { surface: s, at: i, unit, put } = about;
  const inside = s.where !== 'outside';
  const blank = { text: '', unit };
  return (
    <li className={`border-l-4 pl-3 ${now ? 'border-[var(--now)]' : 'border-[var(--line)]'}`}>
      <div className="flex flex-wrap items-start gap-3 text-sm">
        <TextField
          className="w-36"
          label={surfaceName({ ...s, name: '' }, i)}
          hint="name"
          value={s.name}
          onChange={(name) => put({ name: name.slice(0, 40) }, 'name')}
        />
        <label>
          It is
          <select
            className="select mt-0.5 flex w-48"
            value={s.state}
            onChange={(e) => put({ state: e.target.value as WornSurface['state'], nominal: blank }, 'state')}
          >
            {(['worn', 'sound', 'mate'] as const).map((state) => (
              <option key={state} value={state}>
                {stateNames[state]}
              </option>
            ))}
          </select>
        </label>
        {s.state === 'mate' ? <MateFields {...about} /> : <ReadingFields {...about} />}
        <TextField
          className="w-32"
          label={`${inside ? 'Depth' : 'Length'}, ${s.length.unit}`}
          hint={inside ? 'through' : ''}
          value={s.length.text}
          onChange={(text) => put({ length: { ...s.length, text } }, 'length')}
        />
        <button type="button" className="quiet mt-6" aria-label={`Remove ${surfaceName(s, i)}`} onClick={onRemove}>
          <Trash2 size={16} aria-hidden="true" />
        </button>
      </div>
      <MadeTo {...about} />
      <LengthGuesses {...about} />
      <MoreOfIt {...about} />
    </li>
  );
}

/** What its mate measures, and the clearance between the two. */
function MateFields({ surface: s, unit, put }: About) {
  const seen = seeSurface(s, unit);
  return (
    <>
      <TextField
        className="w-36"
        label={`Its mate measures, ${s.mate.measured.unit}`}
        value={s.mate.measured.text}
        problem={seen.problem}
        onChange={(text) => put({ mate: { ...s.mate, measured: { ...s.mate.measured, text } } }, 'mate')}
      />
      {(['least', 'most'] as const).map((key) => (
        <TextField
          key={key}
          className="w-28"
          label={key === 'least' ? `clearance, ${unit}` : `to, ${unit}`}
          value={s.mate[key]}
          onChange={(text) => put({ mate: { ...s.mate, [key]: text.slice(0, 64) } }, key)}
        />
      ))}
    </>
  );
}

/** What it was measured with, and the readings. */
function ReadingFields({ surface: s, unit, instruments, put }: About) {
  const seen = seeSurface(s, unit);
  return (
    <>
      <label>
        With
        <select
          className="select mt-0.5 flex w-48"
          value={s.instrumentId ?? ''}
          onChange={(e) => put({ instrumentId: e.target.value || null }, 'instrument')}
        >
          <option value="">not said</option>
          {instruments.map((t) => (
            <option key={t.id} value={t.id}>
              {t.name}
            </option>
          ))}
        </select>
      </label>
      <TextField
        className="min-w-52 flex-1"
        label={`Readings, ${unit}, one after the other`}
        hint={unit === 'mm' ? '24.87 24.91 24.9' : '.979 .981 .980'}
        value={s.readings}
        problem={seen.problem}
        onChange={(readings) => put({ readings: readings.slice(0, 200) }, 'readings')}
      />
    </>
  );
}

/** What was read, the sizes that it may have been made to, and the limits of its mate. */
function MadeTo({ surface: s, at: i, unit, instruments, limits, put }: About) {
  const places = unit === 'mm' ? 3 : 4;
  const seen = seeSurface(s, unit);
  const inside = s.where !== 'outside';
  const tool = instruments.find((t) => t.id === s.instrumentId);
  const read = inside ? seen.readings?.smallestMm : seen.readings?.largestMm;
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2 text-sm" aria-live="polite">
      {seen.readings && (
        <span className="muted">
          {inside ? 'smallest' : 'largest'} {formatLength(read!, unit, places)}
          {tool ? ` ± ${shortLength(tool.uncertaintyMm, unit, places)}` : ''} {unit}
          {seen.readings.mm.length > 1 ? `, spread ${shortLength(seen.readings.spreadMm, unit, places)}` : ''}
          {' · made to'}
        </span>
      )}
      {seen.guesses.slice(0, 5).map((g) => (
        <button
          key={guessText(g)}
          type="button"
          className="position"
          aria-pressed={seen.size?.text === g.size.text && seen.size.unit === g.size.unit}
          onClick={() => put({ nominal: g.size }, 'nominal')}
          title={`${formatLength(g.mm, unit, places)} ${unit}`}
        >
          {guessText(g)}
        </button>
      ))}
      {(seen.guesses.length > 0 || seen.readings) && (
        <span className="flex items-center gap-1">
          <label htmlFor={`nominal-${s.id}`}>or</label>
          <input
            id={`nominal-${s.id}`}
            className="figure-cell w-20"
            aria-label={`Size that ${surfaceName(s, i)} was made to, ${unit}`}
            value={
              seen.guesses.some((g) => g.size.text === s.nominal.text && g.size.unit === s.nominal.unit)
                ? ''
                : s.nominal.text
            }
            onChange={(e) => put({ nominal: { text: e.target.value.slice(0, 64), unit } }, 'nominal')}
          />
          {unit}
        </span>
      )}
      {limits && (
        <span className="setting">
          → {formatLength(limits.upperMm, unit, places)} / {formatLength(limits.lowerMm, unit, places)} {unit}
        </span>
      )}
    </div>
  );
}

/** Round lengths next to the one that was measured. */
function LengthGuesses({ surface: s, unit, put }: About) {
  const guesses = lengthGuesses(s, unit).filter((g) => g.size.text !== s.length.text || g.size.unit !== s.length.unit);
  if (guesses.length === 0) return null;
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2 text-sm">
      <span className="muted">{s.where === 'outside' ? 'length' : 'depth'} drawn as</span>
      {guesses.slice(0, 3).map((g) => (
        <button
          key={guessText(g)}
          type="button"
          className="position"
          aria-label={`${surfaceName(s, 0)}: ${guessText(g)} long`}
          onClick={() => put({ length: g.size }, 'length')}
        >
          {guessText(g)}
        </button>
      ))}
    </div>
  );
}

/** Its edges and a neck beside a shoulder; of a hole how the step was made. */
function MoreOfIt({ surface: s, at: i, unit, put }: About) {
  const blank = { text: '', unit };
  const edges = s.edges ?? { left: '', right: '' };
  const neck = s.undercut ?? { from: 'left' as const, width: blank, floor: blank };
  const outside = s.where === 'outside';
  const set = edges.left !== '' || edges.right !== '' || s.undercut !== undefined || s.made !== undefined;
  return (
    <details className="mt-1 text-sm" open={set}>
      <summary className="cursor-pointer">{outside ? 'Edges and neck' : 'How it was made, and its neck'}</summary>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        {outside &&
          (['left', 'right'] as const).map((end) => (
            <TextField
              key={end}
              className="w-32"
              label={`${end === 'left' ? 'Left' : 'Right'} edge of ${i + 1}`}
              hint="1x45, R2"
              value={edges[end]}
              onChange={(text) => put({ edges: { ...edges, [end]: text.slice(0, 64) } }, `edge-${end}`)}
            />
          ))}
        {!outside && (
          <label>
            It is
            <select
              className="select mt-0.5 flex w-40"
              value={s.made ?? 'bored'}
              onChange={(e) => put({ made: e.target.value as NonNullable<WornSurface['made']> }, 'made')}
            >
              <option value="drilled">drilled</option>
              <option value="bored">bored</option>
              <option value="counterbored">counterbored</option>
            </select>
          </label>
        )}
        <label>
          Neck at
          <select
            className="select mt-0.5 flex w-40"
            value={s.undercut?.from ?? ''}
            onChange={(e) =>
              put({ undercut: e.target.value ? { ...neck, from: e.target.value as 'left' } : undefined }, 'neck')
            }
          >
            <option value="">none</option>
            <option value="left">its left end</option>
            <option value="right">its right end</option>
          </select>
        </label>
        {s.undercut &&
          (['width', 'floor'] as const).map((key) => (
            <TextField
              key={key}
              className="w-28"
              label={`${key === 'width' ? 'Wide' : 'Floor Ø'}, ${neck[key].unit}`}
              value={neck[key].text}
              onChange={(text) => put({ undercut: { ...neck, [key]: { ...neck[key], text } } }, `neck-${key}`)}
            />
          ))}
      </div>
    </details>
  );
}
