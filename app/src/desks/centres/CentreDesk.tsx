import {
  type CentreChoice,
  type CentreDepth,
  centreDepth,
  centreForLoad,
  facingToCentre,
  type MouthRemedy,
  mouthRemedy,
} from '@whelk/core/hold';
import { plainCentreDrills } from '@whelk/core/part';
import { centreHolePicture } from '@whelk/core/picture';
import { type LengthUnit, shortLength } from '@whelk/core/quantity';
import { inchParts } from '@whelk/core/stock';
import type { Recorder } from '@whelk/core/working';
import { useState } from 'react';
import { inUnit } from '../../messages/in-unit.ts';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { Working } from '../../ui/working/Working.tsx';
import { boxMm, LengthBox } from '../truing/LengthBox.tsx';

interface Props {
  readonly unit: LengthUnit;
  readonly stockMm: number;
  readonly endMm: number;
  readonly massKg: number;
  readonly forceN: number;
  /** length that may still be faced off this end */
  readonly allowanceMm: number;
}
/** Difference of a mouth's diameter that may stay, mm. */
const WITHIN_MM = 0.2;

/** The plain inch drill whose pilot is nearest to a metric one. */
function plainText(pilotMm: number): string {
  const off = (pilot64: number) => Math.abs((pilot64 * 25.4) / 64 - pilotMm);
  const { size, pilot64 } = plainCentreDrills.reduce((a, b) => (off(b.pilot64) < off(a.pilot64) ? b : a));
  return `Of the plain inch drills no. ${size}, pilot ${inchParts(pilot64, 64)} in, is nearest to it.`;
}

/** Centre hole for the work: by diameter and load, its depth, and what to do about one that came out otherwise. */
export function CentreDesk({ unit, stockMm, endMm, massKg, forceN, allowanceMm }: Props) {
  const start = (mm: number) => shortLength(mm, unit, unit === 'mm' ? 2 : 3);
  const [texts, setTexts] = useState({
    stock: start(stockMm),
    end: start(endMm),
    left: start(allowanceMm),
    measured: '',
    mass: massKg.toFixed(1),
    force: String(Math.round(forceN)),
  });
  const [centre, setCentre] = useState<'plain' | 'live'>('live');
  const box = (key: 'stock' | 'end' | 'left' | 'measured', label: string) => (
    <LengthBox
      label={label}
      text={texts[key]}
      unit={unit}
      onText={(text) => setTexts({ ...texts, [key]: text })}
      data={`centre-${key}`}
    />
  );
  const plainNumber = (key: 'mass' | 'force', label: string, most: number) => (
    <label className="text-sm">
      {label}
      <input
        className="input mt-0.5 flex w-36"
        type="number"
        min={0}
        max={most}
        step="any"
        value={texts[key]}
        onChange={(e) => setTexts({ ...texts, [key]: e.target.value })}
        data-field={`centre-${key}`}
      />
    </label>
  );
  const [stock, end, left, measured] = (['stock', 'end', 'left', 'measured'] as const).map((key) =>
    boxMm(texts[key], unit),
  );
  const kg = Math.min(5000, Math.max(0, Number(texts.mass) || 0));
  const newton = Math.min(100_000, Math.max(0, Number(texts.force) || 0));
  const choose = (record?: Recorder) =>
    stock && end ? centreForLoad(stock, end, kg, newton, centre, record) : undefined;
  const hole = choose();
  const depth = hole && centreDepth(hole.pilotMm, hole.pilotLengthMm, hole.mouthMm);
  const remedy = hole && measured && end ? mouthRemedy(measured, hole.mouthMm, left ?? 0, end, WITHIN_MM) : undefined;
  const faced = hole && end ? facingToCentre(end, hole.mouthMm, left ?? 0, false) : undefined;
  const shown = (mm: number) => `${shortLength(mm, unit, unit === 'mm' ? 2 : 3)} ${unit}`;
  return (
    <div className="grid gap-6 lg:grid-cols-[1fr_330px]">
      <div>
        <div className="flex flex-wrap items-end gap-3">
          {box('stock', 'Work Ø')}
          {box('end', 'Ø of this end')}
          {plainNumber('mass', 'Mass of the piece, kg', 5000)}
          {plainNumber('force', 'Cut pushes it with, N', 100_000)}
          <label className="text-sm">
            Tail centre
            <select
              className="select mt-0.5 flex w-40"
              value={centre}
              onChange={(e) => setCentre(e.target.value as 'plain')}
            >
              <option value="live">running</option>
              <option value="plain">plain, greased</option>
            </select>
          </label>
        </div>
        {hole && depth ? (
          <HoleWords {...{ hole, depth, unit, shown }} tell={(record) => void choose(record)} />
        ) : (
          <p className="muted mt-3">
            {stock && end ? 'The end is too thin for any centre hole: hold it another way.' : 'Type the diameters.'}
          </p>
        )}
        <div className="mt-3 flex flex-wrap items-end gap-3">
          {box('measured', 'Mouth as it came out')}
          {box('left', 'May still be faced off')}
        </div>
        {remedy && <RemedyWords remedy={remedy} shown={shown} />}
        <p className="muted mt-3 text-sm">
          Slow drill pressure, oil, back out often: the pilot breaks before the cone cuts. Facing up to a centre: use a
          half-centre, or stop{faced ? ` at Ø${shown(faced.toMm)}` : ' short of it'} and take the ring off later; a tip
          that meets the centre breaks.
        </p>
      </div>
      {hole && depth && (
        <div className="max-w-[330px]">
          <PictureView
            picture={centreHolePicture(
              { ...hole, ...depth },
              {
                pilot: `Ø${inUnit(unit).len(hole.pilotMm)}`,
                mouth: `Ø${shown(hole.mouthMm)}`,
                depth: shown(depth.totalMm),
              },
            )}
            label={`The centre hole cut through: mouth ${shown(hole.mouthMm)}, ${shown(depth.totalMm)} deep`}
          />
        </div>
      )}
    </div>
  );
}

/** The hole that is right: its size, its depth, why so large, and whether it bears what leans on it. */
function HoleWords({
  hole,
  depth,
  unit,
  shown,
  tell,
}: {
  hole: CentreChoice;
  depth: CentreDepth;
  unit: LengthUnit;
  shown: (mm: number) => string;
  tell: (record: Recorder) => void;
}) {
  return (
    <p className="mt-3 text-lg" role="status">
      Centre drill <b className="setting">{inUnit(unit).len(hole.pilotMm)}</b>, mouth <b>{shown(hole.mouthMm)}</b>
      <Working of="centre hole" tell={tell} />, {shown(depth.totalMm)} deep from the face
      <Working
        of="depth of the centre hole"
        tell={(record) => void centreDepth(hole.pilotMm, hole.pilotLengthMm, hole.mouthMm, record)}
      />
      <span className="muted block text-base">
        {hole.by === 'load'
          ? 'A size larger than its diameter asks for, by the load on the centre.'
          : hole.by === 'thinEnd'
            ? 'As large as the end bears: a wider mouth leaves too thin a rim.'
            : 'By the diameter of the work.'}{' '}
        {hole.guardedMm && `With a guard (type B) its mouth opens to ${shown(hole.guardedMm)}.`}
        {unit === 'in' && ` ${plainText(hole.pilotMm)}`}
      </span>
      {!hole.bears && (
        <span className="field-warning block text-base">
          The hole bears {Math.round(hole.bearsN)} N on this centre, less than weight and cut: lighter cuts, a running
          centre, or a thicker end to be taken off later.
        </span>
      )}
    </p>
  );
}

/** What to do about a mouth that came out otherwise. */
function RemedyWords({ remedy, shown }: { remedy: MouthRemedy; shown: (mm: number) => string }) {
  return (
    <p className="mt-2 text-lg" role="status">
      {remedy.kind === 'good' && '✓ As wanted.'}
      {remedy.kind === 'deeper' && (
        <>
          Too shallow: <b>{shown(remedy.byMm)}</b> deeper.
        </>
      )}
      {remedy.kind === 'faceBack' && (
        <>
          Too deep: face <b>{shown(remedy.byMm)}</b> off this end, {shown(remedy.leftMm)} of the allowance is left.
        </>
      )}
      {remedy.kind === 'tooLarge' &&
        (remedy.serves
          ? `Too deep, and no length is left for the ${shown(remedy.byMm)} it would want. The end still bears it: leave it.`
          : `Too deep, and the end is too thin for such a mouth: plug it, or hold it another way.`)}
    </p>
  );
}
