import { inUnit } from '../messages/in-unit.ts';
import { powerOf } from './format.ts';
import { LoadBar } from './LoadBar.tsx';
import { useUnit } from './unit.ts';

interface Props {
  readonly powerKw: number;
  readonly availableKw: number;
  /** none of a tool that cuts along the axis only */
  readonly bendMm?: number;
  readonly bendAllowedMm?: number;
  /** of what the jaws hold, 0 … */
  readonly gripShare: number;
}

/** What a cut asks of motor, work and jaws, each as a share of what it may. */
export function CutLoads({ powerKw, availableKw, bendMm, bendAllowedMm, gripShare }: Props) {
  const unit = useUnit();
  return (
    <>
      <LoadBar name="Motor" share={powerKw / availableKw} text={powerOf(powerKw, availableKw, unit)} />
      {bendMm !== undefined && bendAllowedMm !== undefined && (
        <LoadBar
          name="Bends"
          share={bendMm / bendAllowedMm}
          text={`${inUnit(unit).bare(bendMm)} of ${inUnit(unit).len(bendAllowedMm)}`}
        />
      )}
      <LoadBar name="Grip" share={gripShare} text={`${Math.round(gripShare * 100)} % of what the jaws hold`} />
    </>
  );
}
