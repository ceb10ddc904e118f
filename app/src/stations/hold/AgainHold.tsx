import { type GripPlace, gripPlaces, HOLD_METHODS, PROTECTIONS, type Setup } from '@whelk/core/hold';
import type { PlannedSetup } from '@whelk/core/job';
import { chuckOf, type Lathe } from '@whelk/core/lathe';
import { methodNames, protectionText } from '../../messages/words.ts';
import { byRule } from '../../ui/format.ts';
import { AllowanceField } from '../../ui/number-field/AllowanceField.tsx';
import { SelectField } from '../../ui/SelectField.tsx';
import { extentChoices, inChuckChoices } from './choices.ts';

const poorText = {
  short: 'short',
  detail: 'thread or knurl on it',
  jaws: 'beyond the jaws',
  spindle: 'not into the spindle',
} as const;

const capital = (text: string): string => text[0]!.toUpperCase() + text.slice(1);
const withoutJaws = HOLD_METHODS.filter((m) => m !== 'chuck' && m !== 'chuckAndCentre');

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
    inJaws || dog
      ? gripPlaces(shown.part, input.again!.worked, input.stockMm, input.lathe, input.chuck, clearanceMm, dog)
      : [];
  const chooses = places[0] ? `Whelk chooses: ${nameOf(places[0].id)}` : 'Nothing can be gripped so';
  const placeText = (p: GripPlace): string =>
    `${nameOf(p.id)}, Ø${byRule(p.diameterMm, unit)} × ${byRule(p.gripMm, unit)} ${unit}${p.poor ? `, ${poorText[p.poor]}` : p.finished ? '' : ', still raw'}`;
  return (
    <>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <SelectField
          label="End at the tailstock"
          value={setup.tail}
          choices={[
            ['left', 'The drawing’s left end'],
            ['right', 'The drawing’s right end'],
          ]}
          onPick={(tail) => onChange({ tail, onId: undefined })}
        />
        <SelectField<Setup['method']>
          label="Means"
          value={setup.method}
          choices={[
            ['auto', 'In jaws, by overhang'],
            ...inChuckChoices,
            ...withoutJaws.map((method) => [method, capital(methodNames[method])] as const),
          ]}
          onPick={(method) => onChange({ method, onId: undefined })}
        />
        {inJaws && (
          <SelectField
            label="Chuck"
            value={chuckOf(lathe, setup.chuckId).id}
            choices={lathe.holding.chucks.map((c) => [c.id, c.name] as const)}
            onPick={(chuckId) => onChange({ chuckId })}
          />
        )}
        {(inJaws || dog) && (
          <SelectField
            label={dog ? 'Dog on' : 'Grip on'}
            value={setup.onId ?? ''}
            choices={[['', chooses], ...places.map((p) => [p.id, placeText(p)] as const)]}
            onPick={(onId) => onChange({ onId: onId || undefined })}
          />
        )}
        {inJaws && (
          <AllowanceField
            key={setup.id}
            label="Grip"
            note="0: as long as it goes"
            value={setup.gripMm}
            most={500}
            onChange={(gripMm) => onChange({ gripMm }, 'gripAgain')}
          />
        )}
        {(inJaws || dog) && (
          <SelectField
            label="Between it and the work"
            value={setup.protect ?? 'none'}
            choices={PROTECTIONS.map((name) => [name, protectionText[name]] as const)}
            onPick={(protect) => onChange({ protect })}
          />
        )}
        <SelectField
          label="What is done"
          value={setup.extent ?? 'all'}
          choices={extentChoices}
          onPick={(extent) => onChange({ extent })}
        />
      </div>
      <button type="button" className="quiet mt-3 text-sm" onClick={onRemove}>
        Take this holding out
      </button>
    </>
  );
}
