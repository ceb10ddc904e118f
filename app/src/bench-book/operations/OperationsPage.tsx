import {
  type ChosenSpeed,
  type CuttingOperation,
  chooseSpeed,
  cuttingSpeedMPerMin,
  drillLoad,
  operationRules,
  plungeForceN,
  rpmFor,
  speedTable,
  usualFeedMmPerRev,
} from '@whelk/core/cutting';
import { centreHole, centrePilots } from '@whelk/core/hold';
import { chuckOf, handTurnsPerSecond, type Lathe, powerKwAt } from '@whelk/core/lathe';
import { type Material, TOOL_MATERIALS, type ToolMaterial } from '@whelk/core/material';
import { type LengthUnit, parseLength } from '@whelk/core/quantity';
import type { Recorder } from '@whelk/core/working';
import { useState } from 'react';
import { materialCautionText } from '../../messages/cautions.ts';
import { inUnit } from '../../messages/in-unit.ts';
import { cuttingOperationNames, operationNoteText, reasonText, toolMaterialNames } from '../../messages/words.ts';
import { cuttingSpeed, feed, feedUnit } from '../../ui/format.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { UnitOfPage } from '../../ui/unit.ts';
import { Working } from '../../ui/working/Working.tsx';
import { Pick, Type } from '../speeds/Sentence.tsx';
import type { Bench } from '../speeds/state.ts';

const OPERATIONS: readonly CuttingOperation[] = [
  'drilling',
  'centreDrilling',
  'reaming',
  'parting',
  'grooving',
  'form',
  'threading',
  'knurling',
  'dieOrTap',
  'filing',
];
const CENTRE_HABITS = [
  ['mouth', 'by the mouth'],
  ['pilot', 'by the pilot'],
  ['slow', 'at one slow speed'],
] as const;
/** The one slow speed that some run every centre drill at. */
const ONE_SLOW_RPM = 450;

/** What is not turned along the work: drills, reamers, blades, knurls, dies, files; each by its own rule. */
function OperationsPage({ bench }: { bench: Bench }) {
  const [operation, setOperation] = useState<CuttingOperation>('drilling');
  const [materialId, setMaterialId] = useState('low-carbon-steel');
  const [tool, setTool] = useState<ToolMaterial>('hss');
  const [diameter, setDiameter] = useState('10');
  const [width, setWidth] = useState('3');
  const [pilot, setPilot] = useState('2.5');
  const [habit, setHabit] = useState<(typeof CENTRE_HABITS)[number][0]>('mouth');
  const [latheId, setLatheId] = useState(bench.lathes[0]?.id ?? '');
  const lathe = bench.lathes.find((l) => l.id === latheId);
  const material = bench.materials.find((m) => m.id === materialId);
  if (!lathe || !material) return <p className="muted">Describe a lathe first: a speed is only true for one.</p>;
  const { unit } = lathe;
  const rule = operationRules[operation];
  const centring = operation === 'centreDrilling';
  const plunging = isPlunged(operation);
  const read = parseLength(diameter, unit);
  const hole = centreHole(Number(pilot));
  const diameterMm = centring
    ? habit === 'pilot'
      ? Number(pilot)
      : (hole?.mouthMm ?? 0)
    : read.ok
      ? read.mm.valueOf()
      : 0;
  const widthRead = parseLength(width, unit);
  const speedMPerMin = material.speeds[tool].speedMPerMin * rule.speedShare;
  const tell = (record?: Recorder) => {
    if (!(diameterMm > 0)) return undefined;
    record?.({
      code: 'cutting.tableSpeed',
      values: { speedMPerMin: material.speeds[tool].speedMPerMin, share: rule.speedShare },
    });
    const ideal = centring && habit === 'slow' ? ONE_SLOW_RPM : rpmFor(speedMPerMin, diameterMm, record);
    return chooseSpeed(speedTable(lathe, chuckOf(lathe).maxRpm), ideal, record, bench.settings.policy);
  };
  const found = asksOf(
    operation,
    tell(),
    { material, lathe, diameterMm, speedMPerMin },
    widthRead.ok ? widthRead.mm.valueOf() : undefined,
  );
  return (
    <UnitOfPage.Provider value={unit}>
      <h1 className="visually-hidden">Drills, blades and the rest</h1>
      <p className="sentence">
        <Pick
          label="Operation"
          value={operation}
          choices={OPERATIONS.map((o) => [o, cuttingOperationNames[o]])}
          onChange={(value) => setOperation(value as CuttingOperation)}
        />{' '}
        <Pick
          label="Material"
          value={materialId}
          choices={bench.materials.map((m) => [m.id, m.name.toLowerCase()])}
          onChange={setMaterialId}
        />{' '}
        {centring ? (
          <>
            with a pilot of{' '}
            <Pick
              label="Pilot"
              value={pilot}
              choices={centrePilots.map((p) => [String(p), inUnit(unit).len(p)])}
              onChange={setPilot}
            />
            ,{' '}
            <Pick
              label="Habit"
              value={habit}
              choices={CENTRE_HABITS}
              onChange={(value) => setHabit(value as typeof habit)}
            />
          </>
        ) : (
          <>
            {rule.diameterOf === 'drill' ? 'with a Ø' : 'at Ø'}{' '}
            <Type
              label="Diameter"
              value={diameter}
              unit={unit}
              suffix={unit}
              name="operation-diameter"
              onChange={setDiameter}
            />
          </>
        )}
        {plunging && (
          <>
            , a blade{' '}
            <Type
              label="Width of the blade"
              value={width}
              unit={unit}
              suffix={unit}
              name="operation-width"
              onChange={setWidth}
            />{' '}
            wide
          </>
        )}{' '}
        in{' '}
        <Pick
          label="Tool material"
          value={tool}
          choices={TOOL_MATERIALS.map((t) => [t, toolMaterialNames[t]])}
          onChange={(value) => setTool(value as ToolMaterial)}
        />
        , on{' '}
        <Pick label="Lathe" value={latheId} choices={bench.lathes.map((l) => [l.id, l.name])} onChange={setLatheId} />.
      </p>
      <div className="mt-5 grid gap-x-10 gap-y-6 border-t-2 border-base-content pt-4 lg:grid-cols-2">
        <section aria-label="Speed and feed" aria-live="polite">
          <Speed {...{ found, operation, unit, tell }} />
          <Loads found={found} />
        </section>
        <section aria-labelledby="mind">
          <h2 id="mind">To keep in mind</h2>
          <ul className="mt-1 list-inside list-disc">
            {rule.notes.map((code) => (
              <li key={code}>{operationNoteText[code]}</li>
            ))}
            {material.cautions.map((code) => (
              <li key={code}>{materialCautionText(code)}</li>
            ))}
          </ul>
        </section>
      </div>
    </UnitOfPage.Provider>
  );
}

/** What an operation is cut with, and what it asks of the motor. */
function asksOf(
  operation: CuttingOperation,
  chosen: ChosenSpeed | undefined,
  about: { material: Material; lathe: Lathe; diameterMm: number; speedMPerMin: number },
  widthMm: number | undefined,
) {
  const { material, lathe, diameterMm } = about;
  const rpm = chosen?.speed.rpm ?? 0;
  const feedMm = usualFeedMmPerRev(operation, 'rough', diameterMm || 1, material);
  const drill =
    operation === 'drilling' && feedMm && diameterMm > 0 ? drillLoad(material, diameterMm, feedMm) : undefined;
  const blade = isPlunged(operation) && widthMm && feedMm ? plungeForceN(material, widthMm, feedMm) : undefined;
  const byQuill = operation === 'drilling' || operation === 'centreDrilling' || operation === 'reaming';
  const wheel = byQuill ? lathe.tailstock.dial : lathe.slides.crossSlide;
  const availableKw = chosen ? powerKwAt(lathe, chosen.speed.setting, rpm) : 0;
  const bladeKw = blade ? (blade * cuttingSpeedMPerMin(rpm, diameterMm)) / 60_000 : 0;
  const neededKw = drill ? (drill.torqueNm * rpm) / 9549.3 : bladeKw;
  return { ...about, chosen, feedMm, drill, blade, wheel, availableKw, neededKw, widthMm };
}
type Asks = ReturnType<typeof asksOf>;
const isPlunged = (o: CuttingOperation): boolean => o === 'parting' || o === 'grooving' || o === 'form';

/** Its speed as a setting of the lathe, and its feed. */
function Speed({
  found,
  operation,
  unit,
  tell,
}: {
  found: Asks;
  operation: CuttingOperation;
  unit: LengthUnit;
  tell: (record?: Recorder) => unknown;
}) {
  const { chosen, feedMm, wheel, speedMPerMin } = found;
  const rule = operationRules[operation];
  return (
    <>
      {rule.byHand ? (
        <p className="text-2xl font-bold">Spindle stopped; turned by hand.</p>
      ) : chosen ? (
        <>
          <p className="text-[2.6rem] font-bold leading-tight text-[var(--now)]">
            {chosen.speed.rpm}
            <span className="unit">rpm</span>
            <Working of="speed" tell={(record) => void tell(record)} />
          </p>
          <p className="setting">{chosen.speed.label}</p>
          <p className="muted text-sm">
            {cuttingSpeed(speedMPerMin, unit)}, {Math.round(rule.speedShare * 100)} % of turning →{' '}
            {chosen.idealRpm.toFixed(0)} rpm; {reasonText[chosen.reason]}.
          </p>
          {feedMm !== undefined && (
            <p className="mt-3 text-lg">
              Feed about{' '}
              <b>
                {feed(feedMm, unit)} {feedUnit(unit)}
              </b>
              {wheel &&
                `: ${handTurnsPerSecond(wheel, feedMm, chosen.speed.rpm).toFixed(1)} turns of the wheel a second`}
            </p>
          )}
          {operation === 'threading' && <p className="mt-3 text-lg">The feed is the lead of the thread.</p>}
        </>
      ) : (
        <p className="field-problem text-base">The diameter does not make sense yet.</p>
      )}
    </>
  );
}

/** What it asks of the motor. */
function Loads({ found }: { found: Asks }) {
  const { material, drill, blade, neededKw, availableKw, diameterMm, feedMm, widthMm } = found;
  return (
    <>
      {drill && (
        <p className="mt-3">
          Torque {drill.torqueNm.toFixed(1)} N·m, thrust {Math.round(drill.thrustN / 10) * 10} N: {neededKw.toFixed(2)}{' '}
          of {availableKw.toFixed(2)} kW
          {neededKw > availableKw ? ': ✕ more than the motor gives, drill in steps' : ''}
          <Working of="drill load" tell={(record) => void drillLoad(material, diameterMm, feedMm!, 118, record)} />
        </p>
      )}
      {blade !== undefined && widthMm !== undefined && (
        <p className="mt-3">
          Cutting force {Math.round(blade / 10) * 10} N: {neededKw.toFixed(2)} of {availableKw.toFixed(2)} kW
          {neededKw > availableKw ? ': ✕ more than the motor gives, a narrower blade' : ''}
          <Working of="blade’s force" tell={(record) => void plungeForceN(material, widthMm, feedMm!, record)} />
        </p>
      )}
    </>
  );
}

export default fromJson(OperationsPage);
