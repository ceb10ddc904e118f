import type { Proof } from '@whelk/core/job';
import { shortLength } from '@whelk/core/quantity';
import type { Operation } from '@whelk/core/route';
import type { Finding } from '@whelk/core/simulate';
import { BadgeCheck, CircleAlert } from 'lucide-react';
import { operationName } from '../../desks/operation/kinds.ts';
import { cureText, findingText } from '../../messages/findings.ts';

/** What the simulation says of a route: proved and what that leaves out, or what was found, each with the way to its pass. */
export function ProofBar({
  proof,
  number,
  several,
  operations,
  nameOf,
  unit,
  shown,
  onShow,
  onFind,
}: {
  proof: Proof | undefined;
  /** of the holding that is looked at */
  number: number;
  several: boolean;
  operations: readonly Operation[];
  nameOf: (featureId: string | undefined) => string;
  unit: 'mm' | 'in';
  shown: boolean;
  onShow: () => void;
  onFind: (finding: Finding, number: number) => void;
}) {
  if (!proof) return <p className="muted px-5 pt-2 text-sm">Cutting it with the true shapes of the tools …</p>;
  const here = proof.setups[number - 1];
  const nameOfOperation = (id: string) => operations.find((o) => o.id === id);
  return (
    <section className="px-5 pt-2" aria-label="Proof">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        {proof.findings.length > 0 ? (
          <p className="flex text-[var(--stop)] items-center gap-2 font-semibold">
            <CircleAlert size={18} aria-hidden /> Cut like this,{' '}
            {proof.findings.length === 1 ? 'one thing goes' : `${proof.findings.length} things go`} wrong.
          </p>
        ) : proof.proved ? (
          <p className="flex text-[var(--good)] items-center gap-2 font-semibold">
            <BadgeCheck size={18} aria-hidden /> Proved: cut with these tools it ends at the drawing.
          </p>
        ) : (
          <p className="flex items-center gap-2">
            <BadgeCheck size={18} aria-hidden className="muted" /> Nothing goes wrong as far as it is planned; what is
            not planned is not proved.
          </p>
        )}
        {here && here.frames.length > 0 && (
          <button type="button" className="btn btn-sm" aria-pressed={shown} onClick={onShow}>
            {shown ? 'Back to the plan' : 'Watch it being cut'}
          </button>
        )}
      </div>
      {proof.findings.length > 0 && (
        <ul className="mt-1">
          {proof.findings.map((f) => (
            <li key={`${f.number}-${f.code}-${f.operationId}-${f.surfaceId}`} className="py-0.5">
              <button type="button" className="link text-left" onClick={() => onFind(f, f.number)}>
                {several ? `Holding ${f.number}: ` : ''}
                {subjectOf(f, nameOfOperation)} {findingText(f, nameOf(f.surfaceId), unit)}
              </button>
              . <span className="muted">{cureText(f)}</span>
            </li>
          ))}
        </ul>
      )}
      {here && <NotProved {...{ here, nameOf, unit }} offLathe={proof.offLathe} nameOfOperation={nameOfOperation} />}
    </section>
  );
}

function subjectOf({ operationId }: Finding, find: (id: string) => Operation | undefined): string {
  const operation = operationId ? find(operationId) : undefined;
  return operation ? `${operationName(operation.kind)}:` : 'After all passes:';
}

/** What a proof leaves out: what is done by hand or off the lathe, and corners that a nose leaves. */
function NotProved({
  here,
  offLathe,
  nameOf,
  nameOfOperation,
  unit,
}: {
  here: Proof['setups'][number];
  offLathe: readonly string[];
  nameOf: (featureId: string | undefined) => string;
  nameOfOperation: (id: string) => Operation | undefined;
  unit: 'mm' | 'in';
}) {
  const byHand = [...new Set(here.byHand.flatMap((id) => nameOfOperation(id)?.kind ?? []))].map(operationName);
  const short = (mm: number) => shortLength(mm, unit, unit === 'mm' ? 2 : 3);
  const kept = here.kept.map((k) =>
    k.flatMm === undefined
      ? `R${short(k.radiusMm)} at the foot of ${nameOf(k.id)}`
      : `a flat of ${short(k.flatMm)} ${unit} at the bottom of ${nameOf(k.id)}`,
  );
  if (byHand.length + kept.length + offLathe.length === 0) return null;
  return (
    <p className="muted mt-1 text-sm">
      {byHand.length > 0 && `By hand and not proved: ${byHand.join(', ')}. `}
      {offLathe.length > 0 && `Off the lathe: ${[...new Set(offLathe.map(nameOf))].join(', ')}. `}
      {kept.length > 0 && `Corners that are drawn sharp keep the tool’s nose: ${kept.join(', ')}.`}
    </p>
  );
}
