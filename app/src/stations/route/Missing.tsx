import type { MissingTool, Remedy } from '@whelk/core/job';
import type { Material } from '@whelk/core/material';
import { bitShapeNames } from '../../messages/grinding.ts';
import { wordProblem } from '../../messages/problems.ts';
import { useUnit } from '../../ui/unit.ts';

/** A sheet for the grinder, for what the job is made of. */
function sheetUrl({ id }: Material, remedy: Extract<Remedy, { by: 'grind' }>): string {
  const query = new URLSearchParams({ material: id, shape: remedy.shape });
  if (remedy.radiusMm !== undefined) query.set('radius', String(remedy.radiusMm));
  if (remedy.widthMm !== undefined) query.set('width', String(remedy.widthMm));
  return `/api/grinding.pdf?${query}`;
}

/** What the drawer lacks for this route: what comes nearest, what to grind with its sheet, what to buy. */
export function Missing({
  missing,
  material,
}: {
  readonly missing: readonly MissingTool[];
  readonly material: Material | undefined;
}) {
  const unit = useUnit();
  if (missing.length === 0) return null;
  return (
    <section className="my-2 border-l-4 border-[var(--now)] pl-3" aria-labelledby="missing">
      <h2 id="missing" className="text-base font-bold">
        Missing in the drawer
      </h2>
      <ul className="flex flex-col gap-2">
        {missing.map(({ problem, nearest, remedies }) => {
          const words = wordProblem(problem, unit);
          return (
            <li key={`${problem.code} ${problem.value} ${problem.limit}`}>
              <b>▲ {words.what}</b> {words.right}
              <span className="flex flex-wrap items-center gap-x-4 gap-y-1">
                {nearest && <span className="muted">Nearest that you have: {nearest.name}.</span>}
                {remedies.map((r) =>
                  r.by === 'buy' ? (
                    <span key={r.what}>
                      To buy: <b>{r.what}</b>, {r.standard}.
                    </span>
                  ) : material ? (
                    <a key={r.shape} className="link" href={sheetUrl(material, r)} download>
                      Sheet for the grinder: {bitShapeNames[r.shape]}
                      {r.radiusMm === undefined ? '' : ` R${r.radiusMm}`}
                      {r.widthMm === undefined ? '' : `, ${r.widthMm} mm wide`}
                    </a>
                  ) : null,
                )}
                <a className="link" href="/tools">
                  Tools & gauges
                </a>
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
