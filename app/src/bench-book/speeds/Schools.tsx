import { decideCut, type School, type SchoolDecision } from '@whelk/core/cutting';
import type { Lathe, Positions } from '@whelk/core/lathe';
import { handTurnsPerSecond } from '@whelk/core/lathe';
import type { Recorder } from '@whelk/core/working';
import { cutLimitText, reasonText, schoolNames } from '../../messages/words.ts';
import { CutLoads } from '../../ui/CutLoads.tsx';
import { cuttingSpeed, feed, feedUnit, measure } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import type { Ready } from './state.ts';

interface Props {
  readonly decisions: readonly SchoolDecision[];
  readonly ready: Ready;
  readonly standing: Positions;
  readonly own: School;
  readonly onOwn: (school: School) => void;
}

/** Three schools side by side, each an answer that this lathe can be set to. */
export function Schools({ decisions, ready, standing, own, onOwn }: Props) {
  const { lathe, setup, depthMm, feedMm } = ready;
  const tell = (school: School) => (record: Recorder) =>
    void decideCut(
      setup,
      { depthMm, feedMmPerRev: feedMm, lengthMm: setup.hold.bending.shaft.lengthMm },
      standing,
      (s) => (s === school ? record : undefined),
    );
  return (
    <div className="mt-5 grid border-t-2 border-base-content md:grid-cols-3">
      {decisions.map((d) => (
        <section
          key={d.school}
          aria-label={schoolNames[d.school]}
          className={`border-b border-[var(--line)] px-4 py-3 md:border-r ${d.school === own ? 'bg-base-100' : ''}`}
        >
          <h2 className="flex items-baseline gap-2 text-base">
            {schoolNames[d.school]}
            {d.school === own ? (
              <span className="text-sm font-normal text-[var(--color-accent)]">yours</span>
            ) : (
              <button type="button" className="link text-sm font-normal" onClick={() => onOwn(d.school)}>
                make it mine
              </button>
            )}
          </h2>
          <p className={`text-[2.6rem] font-bold leading-tight ${d.school === own ? 'text-[var(--now)]' : ''}`}>
            {d.cut.chosen.speed.rpm}
            <span className="unit">rpm</span>
            <Working of={`${schoolNames[d.school]}: speed`} tell={tell(d.school)} />
          </p>
          <p className="setting">{d.cut.chosen.speed.label}</p>
          <p className="setting">
            {d.feed
              ? `${d.feed.label}: ${feed(d.cut.feedMmPerRev, lathe.unit)} ${feedUnit(lathe.unit)}`
              : `By hand, ${feed(d.cut.feedMmPerRev, lathe.unit)} ${feedUnit(lathe.unit)}${handText(lathe, d)}`}
            {d.school === 'machineFirst' &&
              `, ${measure(d.cut.depthMm, lathe.unit, lathe.unit === 'mm' ? 2 : 3)} ${lathe.unit} deep`}
          </p>
          <p className="muted mt-1 text-sm">
            {sum(d, lathe.unit)} → {d.cut.chosen.idealRpm.toFixed(0)} rpm; {reasonText[d.cut.chosen.reason]}.
          </p>
          {d.stoppedBy && <p className="text-sm">Deeper or coarser is stopped by {cutLimitText[d.stoppedBy]}.</p>}
          {d.stay?.stay && (
            <p className="mt-1 border-l-4 border-[var(--brass)] pl-2 text-sm">
              <b>Stay at {d.stay.speed.label}</b>: {d.stay.speed.rpm} rpm, {Math.abs(Math.round(d.stay.off * 100))} %{' '}
              {d.stay.off < 0 ? 'slow' : 'fast'}, saves {d.stay.changeMin.toFixed(1)} min of changing.
            </p>
          )}
          <div className="mt-2 flex flex-col gap-1.5">
            <CutLoads {...d.cut} bendAllowedMm={setup.hold.bendAllowedMm} />
          </div>
          {d.cut.limits.map((limit) => (
            <p key={limit} className="field-problem mt-1">
              ✕ Too much for {cutLimitText[limit]}.
            </p>
          ))}
        </section>
      ))}
    </div>
  );
}

function handText(lathe: Lathe, d: SchoolDecision): string {
  const { carriage } = lathe.slides;
  if (carriage.means !== 'dial') return '';
  return `, ${handTurnsPerSecond(carriage, d.cut.feedMmPerRev, d.cut.chosen.speed.rpm).toFixed(1)} turns of the wheel a second`;
}

function sum({ cut }: SchoolDecision, unit: 'mm' | 'in'): string {
  const { corrected, tableMPerMin } = cut;
  const v = (mPerMin: number) => cuttingSpeed(mPerMin, unit);
  return corrected.product === 1
    ? `${v(tableMPerMin)} from the table`
    : `${v(tableMPerMin)} × ${corrected.feedFactor.toFixed(2)} feed × ${corrected.depthFactor.toFixed(2)} depth = ${v(corrected.speedMPerMin)}`;
}
