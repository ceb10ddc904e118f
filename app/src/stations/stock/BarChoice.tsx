import { checkBarFor } from '@whelk/core/hold';
import { type Job, materialIn, type PlannedJob, type Shop } from '@whelk/core/job';
import { chuckOf } from '@whelk/core/lathe';
import type { ProblemCode } from '@whelk/core/quantity';
import { barSizes } from '@whelk/core/stock';
import { wordProblem } from '../../messages/problems.ts';
import { barText } from '../../messages/stock.ts';
import { useUnit } from '../../ui/unit.ts';

interface Props {
  readonly job: Job;
  readonly shop: Shop;
  readonly planned: PlannedJob;
  readonly blankMm: number | undefined;
  readonly onChoose: (barId: string) => void;
}
/** Why a bar does not do, in the space of a cell. */
const SHORTLY: Partial<Record<ProblemCode, string>> = {
  'stock.diameterAboveBar': 'too thin',
  'stock.tubeForSolid': 'hollow',
  'stock.boreAbovePart': 'hole too large',
};
/** Much more than this share of the part's diameter is much to take off. */
const MUCH = 1.4;

/** The bars of the rack against this part: which clean up, which are long enough. Those that do come first. */
export function BarChoice({ job, shop, planned, blankMm, onChoose }: Props) {
  const pageUnit = useUnit();
  const { part } = planned;
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const outMm = planned.setups[0]?.plan.held?.overhangMm ?? part.lengthMm;
  const [first] = job.hold.setups;
  const chuckId = first?.grip.kind === 'jaws' ? first.grip.chuckId : undefined;
  const runoutMm = lathe ? chuckOf(lathe, chuckId).runoutMm : 0;
  const bars = shop.bars
    .filter((b) => !b.usedUp || b.id === job.stock.barId)
    .map((bar) => {
      const sizes = barSizes(bar);
      const problem = sizes && checkBarFor(part, sizes, runoutMm, outMm).problems[0];
      const short = sizes && blankMm !== undefined && sizes.lengthMm < blankMm;
      const verdict = !sizes
        ? '✕ its record is wrong'
        : problem && problem.severity !== 'warning'
          ? `✕ ${SHORTLY[problem.code] ?? 'does not do'}`
          : short && !bar.usedUp && bar.id !== job.stock.barId
            ? '✕ too short'
            : problem
              ? '~ may not clean up'
              : sizes.acrossMm > part.largestMm * MUCH && part.largestMm > 0
                ? '✓ much to take off'
                : '✓';
      return { bar, sizes, verdict, problem, material: materialIn(shop, bar.materialId) };
    })
    .sort(
      (a, b) =>
        Number(a.verdict.startsWith('✕')) - Number(b.verdict.startsWith('✕')) ||
        (a.sizes?.acrossMm ?? 0) - (b.sizes?.acrossMm ?? 0),
    );
  if (bars.length === 0) return <p>The rack is empty: add a bar, or take one of the usual ones below.</p>;
  return (
    <div className="max-h-[26rem] overflow-auto">
      <table className="table table-sm">
        <thead>
          <tr>
            <th scope="col">Choose</th>
            <th scope="col">Material</th>
            <th scope="col">Section</th>
            <th scope="col" className="text-right">
              Length
            </th>
            <th scope="col">For this part</th>
          </tr>
        </thead>
        <tbody>
          {bars.map(({ bar, verdict, problem, material }) => {
            const name = `${material?.name ?? bar.materialId}, ${barText(bar)}, ${bar.length.text} ${bar.length.unit}`;
            return (
              <tr key={bar.id} className={bar.id === job.stock.barId ? 'bg-[var(--brass-soft)]' : ''}>
                <td>
                  <input
                    type="radio"
                    className="h-5 w-5"
                    name="bar"
                    aria-label={name}
                    checked={bar.id === job.stock.barId}
                    onChange={() => onChoose(bar.id)}
                  />
                </td>
                <td>
                  {material?.name ?? bar.materialId} <span className="muted text-sm">{bar.note}</span>
                </td>
                <td className="whitespace-nowrap">{barText(bar)}</td>
                <td className="whitespace-nowrap text-right">
                  {bar.usedUp
                    ? 'used up'
                    : `${bar.pieces && bar.pieces > 1 ? `${bar.pieces} × ` : ''}${bar.length.text} ${bar.length.unit}`}
                </td>
                <td title={problem && wordProblem(problem, pageUnit).what}>{verdict}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
