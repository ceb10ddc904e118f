import type { StandBesides } from '@whelk/core/lathe';
import { actOf, explainOperation, type FrozenRun, type StepAdvice, standNeeded } from '@whelk/core/run';
import type { Recorder } from '@whelk/core/working';
import { nameOf } from '../../../desks/operation/at-lathe.ts';
import { standChangeText } from '../../../messages/stand.ts';
import { aimed, feed, feedUnit } from '../../../ui/format.ts';
import { Working } from '../../../ui/working/Working.tsx';

/** What to set before the cut. Only what changes is told to do; what stands is shown small. */
export function SetPanel({
  frozen,
  advice,
  onStands,
}: {
  frozen: FrozenRun;
  advice: StepAdvice;
  onStands: (at: Record<string, string>, besides: StandBesides) => void;
}) {
  const { step, changes, newTool } = advice;
  const { lathe } = frozen.means;
  const tool = frozen.means.tools.find((t) => t.id === step.toolId);
  const speedIds = new Set(lathe.spindle.controls.map((c) => c.name));
  const speedChanges = changes.filter((c) => speedIds.has(c.name));
  const feedChanges = changes.filter((c) => !speedIds.has(c.name));
  const { setting } = step;
  // what is told to be set is set already; or what is thought to stand does not
  const reached = Object.fromEntries(changes.map((c) => [c.id, c.to]));
  const unknown = Object.fromEntries(Object.keys({ ...setting?.speedAt, ...setting?.feedAt }).map((id) => [id, '']));
  // which way the leadscrew takes the tool, where it does
  const leads =
    'leadMm' in step && 'towards' in step
      ? step.towards
      : step.kind === 'touchOff'
        ? step.inGroove?.towards
        : undefined;
  const need = standNeeded(frozen, step);
  const otherwise = opposite(need);
  const something = changes.length > 0 || advice.besides.length > 0;
  const only =
    (...codes: string[]) =>
    (record: Recorder) =>
      explainOperation(frozen, step.operationId, (line) => codes.includes(line.code) && record(line));
  const stands = (setting || advice.besides.length > 0) && (
    <button
      type="button"
      className="quiet -ml-2 min-h-12 text-sm underline"
      onClick={() => (something ? onStands(reached, need) : onStands(unknown, otherwise))}
    >
      {something ? 'it stands so already' : 'it stands otherwise'}
    </button>
  );
  return (
    <aside
      aria-label="What to set"
      className="flex flex-row flex-wrap gap-x-12 gap-y-3 border-r lg:flex-col lg:flex-nowrap border-[var(--line)] bg-[var(--bench)] px-5 py-3"
    >
      {setting && (
        <div>
          <p className="text-sm">Speed</p>
          <p className="text-4xl font-bold leading-tight">
            {setting.rpm}
            <span className="unit">rpm</span>
            <Working
              of="speed"
              tell={only('cutting.tableSpeed', 'cutting.correctedSpeed', 'cutting.rpm', 'cutting.chosenSpeed')}
            />
          </p>
          {speedChanges.length > 0 ? (
            <Changes changes={speedChanges} />
          ) : lathe.spindle.settings.some((s) => s.kind === 'stepless') ? (
            <p className="setting">Turn to {setting.rpm}</p>
          ) : (
            <p className="muted text-sm">{setting.speedLabel}, as it stands</p>
          )}
        </div>
      )}
      {setting && (
        <div>
          <p className="text-sm">
            {leads
              ? `Lead, ${leads === 'chuck' ? 'towards' : 'away from'} the chuck`
              : `Feed${actOf(step) === 'plain' ? '' : ', towards the chuck'}`}
          </p>
          <p className="text-4xl font-bold leading-tight">
            {feed(setting.feedMmPerRev, lathe.unit)}
            <span className="unit">{feedUnit(lathe.unit)}</span>
            <Working of="feed" tell={only('route.feed', 'route.passes', 'route.handFeed')} />
          </p>
          {setting.feedLabel === undefined ? (
            <p className="setting">
              By hand, about {aimed((setting.feedMmPerRev * setting.rpm) / 60, lathe.unit)} {lathe.unit} a second
            </p>
          ) : feedChanges.length > 0 ? (
            <Changes changes={feedChanges} />
          ) : (
            <p className="muted text-sm">
              {'train' in step && step.train ? 'Gears ' : ''}
              {setting.feedLabel || 'the only one it has'}, as it stands
            </p>
          )}
        </div>
      )}
      {tool && (
        <div>
          <p className="text-sm">Tool</p>
          {newTool ? (
            <p className="setting text-lg">Change to {tool.name}</p>
          ) : (
            <p className="muted">{tool.name}, as it stands</p>
          )}
        </div>
      )}
      {advice.besides.length > 0 && (
        <div>
          <p className="text-sm">On the lathe</p>
          <ul>
            {advice.besides.map((change) => (
              <li key={standChangeText(change, lathe)} className="setting text-lg">
                {standChangeText(change, lathe)}
              </li>
            ))}
          </ul>
        </div>
      )}
      {stands && <p className="-mt-3">{stands}</p>}
      {!setting && !tool && advice.besides.length === 0 && (
        <p className="muted">Nothing to set on the lathe for this step. {nameOf(frozen, step.featureId)}</p>
      )}
    </aside>
  );
}

/** Nothing is known any more of what the step relies on; a lock that should be free is taken as set, so that it is told. */
function opposite({ chuckId, setOverMm, locks }: StandBesides): StandBesides {
  return {
    ...(chuckId === undefined ? {} : { chuckId: null }),
    ...(setOverMm === undefined ? {} : { setOverMm: null }),
    locks: Object.fromEntries(Object.entries(locks ?? {}).map(([slide, locked]) => [slide, !locked])),
  };
}

function Changes({ changes }: { changes: StepAdvice['changes'] }) {
  return (
    <ul>
      {changes.map((c) => (
        <li key={c.id} className="setting text-lg">
          {c.name} to {c.to}
          <span className="muted text-sm font-normal">
            {c.from ? `, was ${c.from}` : ''}
            {c.stopFirst ? '; stop first' : ''}
          </span>
        </li>
      ))}
    </ul>
  );
}
