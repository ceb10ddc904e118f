import { gripPlaces, PROTECTIONS, type Setup } from '@whelk/core/hold';
import type { PlannedSetup } from '@whelk/core/job';
import { type Lathe, usualChuck } from '@whelk/core/lathe';
import { methodNames, protectionText } from '../../messages/words.ts';
import { byRule } from '../../ui/format.ts';
import { MmField } from '../../ui/number-field/MmField.tsx';
import { ExtentSelect } from './ExtentSelect.tsx';

const poorText = {
  short: 'short',
  detail: 'thread or groove on it',
  jaws: 'beyond the jaws',
  spindle: 'not into the spindle',
} as const;

/** How a piece is put in again: which end out, in what, on which length, with what between. */
export default function AgainHold({
  setup: shown,
  lathe,
  clearanceMm,
  unit,
  nameOf,
  onChange,
  onRemove,
}: {
  setup: PlannedSetup;
  lathe: Lathe;
  clearanceMm: number;
  unit: 'mm' | 'in';
  nameOf: (featureId: string | undefined) => string;
  onChange: (more: Partial<Setup>, field?: string) => void;
  onRemove: () => void;
}) {
  const setup = shown.setup!;
  const { input } = shown;
  const inJaws = setup.method === 'auto' || setup.method === 'chuck' || setup.method === 'chuckAndCentre';
  const dog = setup.method === 'betweenCentres';
  const places =
    inJaws || dog ? gripPlaces(shown.part, input.again!.worked, input.stockMm, input.lathe, clearanceMm, dog) : [];
  return (
    <>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <label className="text-sm">
          End at the tailstock
          <select
            className="select mt-0.5 flex w-full"
            value={setup.tail}
            onChange={(e) => onChange({ tail: e.target.value as 'left', onId: undefined })}
          >
            <option value="left">The drawing’s left end</option>
            <option value="right">The drawing’s right end</option>
          </select>
        </label>
        <label className="text-sm">
          Means
          <select
            className="select mt-0.5 flex w-full"
            value={setup.method}
            onChange={(e) => onChange({ method: e.target.value as Setup['method'], onId: undefined })}
          >
            <option value="auto">In jaws, by overhang</option>
            <option value="chuck">In the chuck alone</option>
            <option value="chuckAndCentre">Chuck and tail centre</option>
            {Object.entries(methodNames).map(([method, name]) => (
              <option key={method} value={method}>
                {name[0]!.toUpperCase() + name.slice(1)}
              </option>
            ))}
          </select>
        </label>
        {inJaws && (
          <label className="text-sm">
            Chuck
            <select
              className="select mt-0.5 flex w-full"
              value={setup.chuckId ?? usualChuck(lathe).id}
              onChange={(e) => onChange({ chuckId: e.target.value })}
            >
              {lathe.holding.chucks.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
            </select>
          </label>
        )}
        {(inJaws || dog) && (
          <label className="text-sm">
            {dog ? 'Dog on' : 'Grip on'}
            <select
              className="select mt-0.5 flex w-full"
              value={setup.onId ?? ''}
              onChange={(e) => onChange({ onId: e.target.value || undefined })}
            >
              <option value="">
                {places[0] ? `Whelk chooses: ${nameOf(places[0].id)}` : 'Nothing can be gripped so'}
              </option>
              {places.map((p) => (
                <option key={p.id} value={p.id}>
                  {nameOf(p.id)}, Ø{byRule(p.diameterMm, unit)} × {byRule(p.gripMm, unit)} {unit}
                  {p.poor ? `, ${poorText[p.poor]}` : p.finished ? '' : ', still raw'}
                </option>
              ))}
            </select>
          </label>
        )}
        {inJaws && (
          <MmField
            key={setup.id}
            label="Grip, mm (0: as long as it goes)"
            value={setup.gripMm}
            most={500}
            onChange={(gripMm) => onChange({ gripMm }, 'gripAgain')}
          />
        )}
        {(inJaws || dog) && (
          <label className="text-sm">
            Between it and the work
            <select
              className="select mt-0.5 flex w-full"
              value={setup.protect ?? 'none'}
              onChange={(e) => onChange({ protect: e.target.value as 'none' })}
            >
              {PROTECTIONS.map((name) => (
                <option key={name} value={name}>
                  {protectionText[name]}
                </option>
              ))}
            </select>
          </label>
        )}
        <ExtentSelect extent={setup.extent} onChange={(extent) => onChange({ extent })} />
      </div>
      <button type="button" className="quiet mt-3 text-sm" onClick={onRemove}>
        Take this holding out
      </button>
    </>
  );
}
