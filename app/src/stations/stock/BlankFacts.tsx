import type { Job, PlannedJob } from '@whelk/core/job';
import type { Chuck } from '@whelk/core/lathe';
import { shortLength } from '@whelk/core/quantity';
import { type Blank, barMassKg, cleanUpOf, sectionMm2 } from '@whelk/core/stock';
import { blankLineText } from '../../messages/stock.ts';
import { aimed } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import { mass } from './UsualBars.tsx';

/** A piece heavier than this is not lifted into a chuck by one pair of hands, kg. */
const HEAVY_KG = 20;

/** The blank's length as a sum. @param lostMm to the saw or the blade at each */
export function LengthSum({
  blank,
  quantity,
  lostMm,
  unit,
}: {
  blank: Blank;
  quantity: number;
  lostMm: number;
  unit: 'mm' | 'in';
}) {
  return (
    <table className="table table-sm mt-2">
      <caption className="visually-hidden">The blank’s length as a sum</caption>
      <tbody>
        {blank.lines.map((line) => (
          <Row key={line.part} name={blankLineText[line.part]} mm={line.mm} unit={unit} />
        ))}
        <Row name="Blank" mm={blank.lengthMm} unit={unit} strong />
        {quantity > 1 && (
          <Row name={`${quantity} blanks with their cuts`} mm={quantity * (blank.lengthMm + lostMm)} unit={unit} />
        )}
      </tbody>
    </table>
  );
}

function Row({ name, mm, unit, strong }: { name: string; mm: number; unit: 'mm' | 'in'; strong?: boolean }) {
  return (
    <tr className={strong ? 'font-bold' : ''}>
      <th scope="row" className={strong ? '' : 'font-normal'}>
        {name}
      </th>
      <td className="text-right">
        {shortLength(mm, unit, 3)} {unit}
      </td>
    </tr>
  );
}

interface FactsProps {
  readonly planned: PlannedJob;
  readonly blank: Blank;
  readonly chuck: Chuck | undefined;
  readonly unit: 'mm' | 'in';
}

/** Whether it cleans up, what it weighs, and how fast it turns against what its chuck may. */
export function BlankFacts(about: FactsProps) {
  const { planned, chuck } = about;
  const fastestRpm = Math.max(0, ...(planned.setups[0]?.plan.operations ?? []).map((o) => o.setting?.rpm ?? 0));
  return (
    <>
      <CleansUp {...about} />
      <Mass {...about} />
      {chuck && fastestRpm > 0 && (
        <>
          <dt className="muted">Turns</dt>
          <dd>
            {fastestRpm <= chuck.maxRpm ? '✓' : '✕'} up to {Math.round(fastestRpm)} rpm; {chuck.name} may{' '}
            {Math.round(chuck.maxRpm)}
          </dd>
        </>
      )}
    </>
  );
}

function CleansUp({ planned, chuck, unit }: FactsProps) {
  const { cleanUp, barSizes: sizes, part } = planned;
  const plan = planned.setups[0]?.plan;
  if (!cleanUp || !sizes) return null;
  return (
    <>
      <dt className="muted">Cleans up</dt>
      <dd className={cleanUp.cleans ? '' : 'font-bold'}>
        {cleanUp.cleans ? '✓' : '~'} wants {aimed(cleanUp.needMm, unit)} {unit}, has {aimed(cleanUp.acrossMm, unit)}
        <Working
          of="cleaning up"
          tell={(record) =>
            void cleanUpOf(
              cleanUp.wantedMm,
              sizes,
              chuck?.runoutMm ?? 0,
              plan?.held?.overhangMm ?? part.lengthMm,
              record,
            )
          }
        />
      </dd>
    </>
  );
}

function Mass({ planned: { barSizes: sizes, material }, blank, unit }: FactsProps) {
  const area = sizes && sectionMm2(sizes.shape, sizes.acrossMm, sizes.boreMm);
  if (!area || !material) return null;
  const kg = barMassKg(area, blank.lengthMm, material.densityKgPerM3);
  return (
    <>
      <dt className="muted">Mass</dt>
      <dd>
        {mass(kg, unit)}
        <Working of="mass" tell={(record) => void barMassKg(area, blank.lengthMm, material.densityKgPerM3, record)} />
        {kg > HEAVY_KG && (
          <span className="field-warning block text-base">
            Heavy: lift it with a hoist or two people, with a board over the bed.
          </span>
        )}
      </dd>
    </>
  );
}

/** How many lie ready, and how long they are. */
export function Sawn({
  job,
  sawn,
  setSawn,
  unit,
  ready,
}: {
  job: Job;
  sawn: number;
  setSawn: (count: number) => void;
  unit: 'mm' | 'in';
  /** a lathe is chosen */
  ready: boolean;
}) {
  return (
    <>
      <dt className="muted">Sawn</dt>
      <dd>
        {sawn} of {job.quantity}
        {sawn < job.quantity && (
          <button type="button" className="quiet ml-3 text-sm" disabled={!ready} onClick={() => setSawn(sawn + 1)}>
            One more lies ready
          </button>
        )}
        {sawn > 0 && (
          <button type="button" className="quiet ml-1 text-sm" onClick={() => setSawn(sawn - 1)}>
            One less
          </button>
        )}
        {sawn > 0 && job.stock.sawnMm !== undefined && (
          <span className="muted block text-sm">
            {aimed(job.stock.sawnMm, unit)} {unit} long: what is chosen from now on has to fit into that.
          </span>
        )}
        {!ready && <span className="muted block text-sm">Choose the lathe before anything is sawn.</span>}
      </dd>
    </>
  );
}
