import {
  type GripPlace,
  gripPlaces,
  type HoldMethod,
  heldBy,
  methodOf,
  PROTECTIONS,
  type Setup,
} from '@whelk/core/hold';
import type { PlannedSetup } from '@whelk/core/job';
import { chuckOf, type Lathe } from '@whelk/core/lathe';
import { cutOffSpare } from '@whelk/core/work';
import { methodNames, protectionText } from '../../messages/words.ts';
import { byRule } from '../../ui/format.ts';
import { AllowanceField } from '../../ui/number-field/AllowanceField.tsx';
import { SelectField } from '../../ui/SelectField.tsx';
import { useUnit } from '../../ui/unit.ts';
import { extentChoices, tailChoices } from './choices.ts';

const poorText: Record<NonNullable<GripPlace['poor']>, string> = {
  short: 'short',
  detail: 'thread or knurl on it',
  jaws: 'beyond the jaws',
  spindle: 'not into the spindle',
};
const capital = (text: string): string => text[0]!.toUpperCase() + text.slice(1);
const means: readonly (readonly [HoldMethod | 'auto', string])[] = [
  ['auto', 'In jaws, by overhang'],
  ['chuck', 'In the chuck alone'],
  ['chuckAndCentre', 'Chuck and tail centre'],
  ...(Object.keys(methodNames) as (keyof typeof methodNames)[]).map((m) => [m, capital(methodNames[m])] as const),
];

/** How a piece is put in, the first time as every other: which end out, by what, on which length, with what between. */
export function SetupForm({
  setup,
  planned,
  number,
  lathe,
  cast,
  clearanceMm,
  nameOf,
  onChange,
  onClearance,
}: {
  setup: Setup;
  /** as far as it could be planned */
  planned: PlannedSetup | undefined;
  /** of the setup, 1 for the first */
  number: number;
  lathe: Lathe | undefined;
  /** a casting has no spare stock to be held by */
  cast: boolean;
  clearanceMm: number;
  nameOf: (featureId: string | undefined) => string;
  onChange: (setup: Setup, field?: string) => void;
  onClearance: (mm: number) => void;
}) {
  const { grip } = setup;
  const again = number > 1;
  /** The grip with some of it chosen otherwise. */
  const hold = (more: object, field?: string) => onChange({ ...setup, grip: { ...grip, ...more } }, field);
  return (
    <div className="mt-2 grid grid-cols-2 gap-3">
      <SelectField
        label={grip.kind === 'slide' ? 'End that the cutter enters' : 'End at the tailstock'}
        value={setup.tail}
        choices={tailChoices}
        onPick={(tail) => onChange({ ...setup, tail, grip: withoutPlace(grip) })}
      />
      <SelectField
        label="Means"
        value={methodOf(setup)}
        choices={means}
        onPick={(method) => onChange(heldBy({ ...setup, grip: withoutPlace(grip) }, method))}
      />
      {grip.kind === 'jaws' && (
        <SelectField
          label="Chuck"
          value={lathe ? chuckOf(lathe, grip.chuckId).id : ''}
          disabled={!lathe}
          choices={(lathe?.holding.chucks ?? []).map((c) => [c.id, c.name] as const)}
          onPick={(chuckId) => hold({ chuckId })}
        />
      )}
      {setup.support === 'steady' && (
        <AllowanceField
          key={`rest-${setup.id}`}
          label="Steady from the end"
          note="0: Whelk chooses"
          value={setup.restMm ?? 0}
          most={5000}
          onChange={(mm) => onChange({ ...setup, restMm: mm > 0 ? mm : undefined }, `rest-${number}`)}
        />
      )}
      <PlaceField {...{ setup, planned, again, cast, clearanceMm, nameOf }} onPick={hold} />
      {grip.kind === 'slide' && (
        <AllowanceField
          key={`base-${setup.id}`}
          label="Axis above its base"
          note="0: half of a flat section"
          value={grip.aboveBaseMm ?? 0}
          most={1000}
          onChange={(mm) => hold({ aboveBaseMm: mm > 0 ? mm : undefined }, `base-${number}`)}
        />
      )}
      {grip.kind === 'jaws' && (
        <AllowanceField
          key={setup.id}
          label="Grip"
          note={again ? '0: as long as it goes' : '0: usual'}
          value={grip.mm}
          most={500}
          onChange={(mm) => hold({ mm }, `grip-${number}`)}
        />
      )}
      {(grip.kind === 'jaws' || grip.kind === 'centres') && (
        <SelectField
          label="Between it and the work"
          value={grip.protect ?? 'none'}
          choices={PROTECTIONS.map((name) => [name, protectionText[name]] as const)}
          onPick={(protect) => hold({ protect })}
        />
      )}
      <SelectField
        label="What is done"
        value={setup.extent ?? 'all'}
        choices={extentChoices}
        onPick={(extent) => onChange({ ...setup, extent })}
      />
      {grip.kind === 'jaws' && <AllowanceField label="Clear of the jaws" value={clearanceMm} onChange={onClearance} />}
    </div>
  );
}

/** A place that was chosen on one end means nothing on the other, nor by other means; spare stock stays what is gripped. */
function withoutPlace(grip: Setup['grip']): Setup['grip'] {
  if (grip.kind === 'jaws' && grip.on !== 'spare') return { ...grip, on: undefined };
  return grip.kind === 'centres' ? { ...grip, dogOn: undefined } : grip;
}

/** Where jaws or a dog take hold. */
function PlaceField({
  setup,
  planned,
  again,
  cast,
  clearanceMm,
  nameOf,
  onPick,
}: {
  setup: Setup;
  planned: PlannedSetup | undefined;
  again: boolean;
  cast: boolean;
  clearanceMm: number;
  nameOf: (featureId: string | undefined) => string;
  onPick: (more: object) => void;
}) {
  const { grip } = setup;
  const unit = useUnit();
  const dog = grip.kind === 'centres';
  if (!dog && (grip.kind !== 'jaws' || grip.by !== undefined)) return null;
  const places = planned
    ? gripPlaces(cutOffSpare(planned.piece), { lathe: planned.means.lathe, chuck: planned.chuck, clearanceMm, dog })
    : [];
  const first = places[0];
  const said = (p: GripPlace): string =>
    `${nameOf(p.id)}, Ø${byRule(p.diameterMm, unit)} × ${byRule(p.gripMm, unit)} ${unit}${p.poor ? `, ${poorText[p.poor]}` : p.finished ? '' : ', still raw'}`;
  const chooses = first
    ? `Whelk chooses: ${nameOf(first.id)}`
    : planned
      ? 'Nothing can be gripped so'
      : 'Whelk chooses on the part';
  const onSpare = !dog && !cast && (!again || planned?.piece.marks.some((m) => m.kind === 'cutOff'));
  const chosen = dog ? grip.dogOn : grip.on === 'spare' && !onSpare ? undefined : grip.on;
  return (
    <SelectField<string>
      label={dog ? 'Dog on' : 'Grip on'}
      value={chosen ?? ''}
      choices={[
        ...(onSpare ? [['spare', 'Spare stock beyond the part'] as const] : []),
        ['', chooses],
        ...places.map((p) => [p.id, said(p)] as const),
      ]}
      onPick={(id) => onPick({ [dog ? 'dogOn' : 'on']: id || undefined })}
    />
  );
}
