import { LoadBar } from './LoadBar.tsx';

interface Props {
  readonly powerKw: number;
  readonly availableKw: number;
  readonly bendMm: number;
  readonly bendAllowedMm: number;
  /** of what the jaws hold, 0 … */
  readonly gripShare: number;
}

/** What a cut asks of motor, work and jaws, each as a share of what it may. */
export function CutLoads({ powerKw, availableKw, bendMm, bendAllowedMm, gripShare }: Props) {
  return (
    <>
      <LoadBar
        name="Motor"
        share={powerKw / availableKw}
        text={`${powerKw.toFixed(2)} of ${availableKw.toFixed(2)} kW`}
      />
      <LoadBar
        name="Bends"
        share={bendMm / bendAllowedMm}
        text={`${bendMm.toFixed(3)} of ${bendAllowedMm.toFixed(3)} mm`}
      />
      <LoadBar name="Grip" share={gripShare} text={`${Math.round(gripShare * 100)} % of what the jaws hold`} />
    </>
  );
}
