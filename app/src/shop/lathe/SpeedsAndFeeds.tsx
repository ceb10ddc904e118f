import {
  feedOf,
  feedsOf,
  fixedSpeeds,
  type Lathe,
  positionsLabel,
  powerKwAt,
  type SpeedSetting,
  torqueNm,
} from '@whelk/core/lathe';
import { KW_PER_HP } from '@whelk/core/quantity';
import { Working } from '../../ui/working/Working.tsx';

/** Every speed and feed that a lathe has, each with what the spindle bears there and where the figure comes from. */
export function SpeedsAndFeeds({ lathe }: { lathe: Lathe }) {
  const feeds = feedsOf(lathe);
  return (
    <div className="grid gap-10 lg:grid-cols-2">
      <section aria-labelledby="speeds">
        <h2 id="speeds">Spindle</h2>
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">Setting</th>
              <th scope="col" className="text-right">
                rpm
              </th>
              <th scope="col" className="text-right">
                Torque, N·m
              </th>
              <th scope="col" className="text-right">
                Power, {lathe.unit === 'mm' ? 'kW' : 'hp'}
              </th>
              <th scope="col">
                <span className="visually-hidden">Working</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {fixedSpeeds(lathe).map((s) => (
              <SpeedRow
                key={s.label}
                lathe={lathe}
                setting={s.setting}
                label={s.label}
                rpm={String(s.rpm)}
                atRpm={s.rpm}
              />
            ))}
            {lathe.spindle.settings.map((s) =>
              s.kind === 'stepless' ? (
                <SpeedRow
                  key={positionsLabel(lathe.spindle.controls, s.at)}
                  lathe={lathe}
                  setting={s}
                  label={`${positionsLabel(lathe.spindle.controls, s.at)}, stepless; full power from ${s.baseRpm} rpm`}
                  rpm={`${s.minRpm}–${s.maxRpm}`}
                  atRpm={s.baseRpm}
                />
              ) : null,
            )}
          </tbody>
        </table>
      </section>
      <section aria-labelledby="feeds">
        <h2 id="feeds">Feeds</h2>
        {feeds.length === 0 ? (
          <p>Hand feed only.</p>
        ) : (
          <table className="table table-sm">
            <thead>
              <tr>
                <th scope="col">Setting</th>
                {lathe.unit === 'mm' && (
                  <th scope="col" className="text-right">
                    mm/rev
                  </th>
                )}
                <th scope="col" className="text-right">
                  in/rev
                </th>
                <th scope="col">
                  <span className="visually-hidden">Working</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {feeds.map((f) => (
                <tr key={f.label}>
                  <th scope="row" className="font-normal">
                    {f.label}
                  </th>
                  {lathe.unit === 'mm' && <td className="text-right font-semibold">{f.mmPerRev.toFixed(3)}</td>}
                  <td className="text-right">{(f.mmPerRev / 25.4).toFixed(4)}</td>
                  <td>
                    <Working of={`feed, ${f.label}`} tell={(record) => void feedOf(f.setting, lathe, record)} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <p className="muted mt-2 text-sm">
          Leadscrew lead {lathe.threads.leadscrewLead.text} {lathe.threads.leadscrewLead.unit}.
        </p>
      </section>
    </div>
  );
}

interface RowProps {
  readonly lathe: Lathe;
  readonly setting: SpeedSetting;
  readonly label: string;
  readonly rpm: string;
  readonly atRpm: number;
}
function SpeedRow({ lathe, setting, label, rpm, atRpm }: RowProps) {
  const torque = torqueNm(lathe, setting, atRpm);
  return (
    <tr>
      <th scope="row" className="font-normal">
        {label}
      </th>
      <td className="text-right font-semibold">{rpm}</td>
      <td className="text-right">{torque.toFixed(torque < 20 ? 1 : 0)}</td>
      <td className="text-right">
        {(powerKwAt(lathe, setting, atRpm) / (lathe.unit === 'mm' ? 1 : KW_PER_HP)).toFixed(2)}
      </td>
      <td>
        <Working of={`torque and power, ${label}`} tell={(record) => void powerKwAt(lathe, setting, atRpm, record)} />
      </td>
    </tr>
  );
}
