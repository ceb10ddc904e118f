import { type Chuck, usualTruing } from '@whelk/core/lathe';
import { useWatch } from 'react-hook-form';
import { Choice, IfThere, LengthInput, NumberInput, Rows, TextInput } from './fields.tsx';
import { freshId } from './form.ts';

/** Everything owned that holds work on this lathe. */
export function HoldingSection() {
  const chucks = (useWatch({ name: 'holding.chucks' }) ?? []) as Chuck[];
  return (
    <>
      <Rows
        name="holding.chucks"
        title="Chucks"
        addLabel="Add a chuck"
        least={1}
        fresh={() => ({
          id: freshId(
            'chuck',
            chucks.map((c) => c.id),
          ),
          name: '',
          kind: 'fourJaw',
          maxRpm: 1500,
          forceN: 15000,
          jaws: [{ name: 'outside', fromMm: 5, toMm: 150 }],
          jawLengthMm: 40,
          runoutMm: 0.01,
        })}
      >
        {(path) => (
          <div className="flex flex-1 flex-wrap gap-3">
            <TextInput name={`${path}.name`} label="Name" className="w-40" />
            <Choice
              name={`${path}.kind`}
              label="Kind"
              className="w-48"
              choices={[
                ['threeJaw', 'three jaws, together'],
                ['fourJaw', 'four jaws, each alone'],
                ['fineAdjusting', 'fine-adjusting body'],
                ['soft', 'soft jaws'],
                ['collet', 'collet chuck'],
              ]}
            />
            <NumberInput name={`${path}.maxRpm`} label="At most, rpm" className="w-28" />
            <NumberInput name={`${path}.forceN`} label="All jaws together, N" className="w-40" />
            <LengthInput name={`${path}.jawLengthMm`} label="Jaws are long" className="w-32" />
            <LengthInput name={`${path}.runoutMm`} label="Runs out" className="w-28" sign="notNegative" />
            <TruingFields path={path} />
            <div className="w-full">
              <Rows
                name={`${path}.jaws`}
                title="Jaws and the diameters they take"
                addLabel="Add jaws"
                least={1}
                fresh={() => ({ name: 'reversed', fromMm: 40, toMm: 180 })}
              >
                {(jaws) => <JawFields path={jaws} />}
              </Rows>
            </div>
          </div>
        )}
      </Rows>
      <Choice
        name="holding.usualChuckId"
        label="Usually on, else the first"
        className="w-52"
        choices={chucks.map((c) => [c.id, c.name || 'without a name'])}
      />
      <Rows
        name="holding.collets"
        title="Collets"
        none="None."
        addLabel="Add a collet"
        fresh={() => ({ name: '', fromMm: 9.5, toMm: 10, maxRpm: 3000 })}
      >
        {(path) => (
          <>
            <RangeFields path={path} />
            <NumberInput name={`${path}.maxRpm`} label="At most, rpm" className="w-28" />
          </>
        )}
      </Rows>
      <IfThere name="holding.faceplate" label="A faceplate" fresh={() => ({ diameterMm: 200, maxRpm: 500 })}>
        <LengthInput name="holding.faceplate.diameterMm" label="Its Ø" className="w-32" />
        <NumberInput name="holding.faceplate.maxRpm" label="At most, rpm" className="w-32" />
      </IfThere>
      <IfThere
        name="holding.slotted"
        label="A cross-slide with slots to bolt work to"
        fresh={() => ({ belowCentreMm: 60, alongMm: 120, acrossMm: 200 })}
      >
        <LengthInput name="holding.slotted.belowCentreMm" label="Spindle's axis above it" className="w-40" />
        <LengthInput name="holding.slotted.alongMm" label="Along the bed" className="w-32" />
        <LengthInput name="holding.slotted.acrossMm" label="Across" className="w-32" />
      </IfThere>
      <Rows
        name="holding.drivers"
        title="Driving dogs"
        none="None."
        addLabel="Add a dog"
        fresh={() => ({ name: '', fromMm: 5, toMm: 25 })}
      >
        {(path) => <RangeFields path={path} />}
      </Rows>
      <Rows
        name="holding.centres"
        title="Centres"
        none="None."
        addLabel="Add a centre"
        fresh={() => ({ name: '', kind: 'plain' })}
      >
        {(path) => (
          <>
            <TextInput name={`${path}.name`} label="Name" className="w-52" />
            <Choice
              name={`${path}.kind`}
              label="Kind"
              choices={[
                ['plain', 'plain'],
                ['half', 'half, for facing'],
                ['live', 'running'],
                ['carbideTipped', 'carbide tipped'],
                ['bullNose', 'bull-nose, for hollow ends'],
              ]}
            />
          </>
        )}
      </Rows>
      <KindRows
        name="holding.arbors"
        title="Mandrels"
        addLabel="Add a mandrel"
        fresh={{ kind: 'mandrel', fromMm: 20, toMm: 20 }}
        kinds={[
          ['mandrel', 'tapered, on centres'],
          ['expandingMandrel', 'expanding'],
        ]}
      />
      <KindRows
        name="holding.rests"
        title="Rests"
        addLabel="Add a rest"
        fresh={{ kind: 'steady', fromMm: 10, toMm: 80 }}
        kinds={[
          ['steady', 'steady, on the bed'],
          ['following', 'following, on the carriage'],
        ]}
      />
    </>
  );
}

/** Means that are of a kind and take a range of diameters. */
function KindRows({
  name,
  title,
  addLabel,
  fresh,
  kinds,
}: {
  name: string;
  title: string;
  addLabel: string;
  fresh: object;
  kinds: readonly (readonly [string, string])[];
}) {
  return (
    <Rows name={name} title={title} none="None." addLabel={addLabel} fresh={() => ({ name: '', ...fresh })}>
      {(path) => (
        <>
          <RangeFields path={path} />
          <Choice name={`${path}.kind`} label="Kind" className="w-52" choices={kinds} />
        </>
      )}
    </Rows>
  );
}

/** How the screws of a chuck move the work, where they can be moved. */
function TruingFields({ path }: { path: string }) {
  const kind = useWatch({ name: `${path}.kind` }) as Chuck['kind'];
  if (kind !== 'fourJaw' && kind !== 'fineAdjusting') return null;
  return (
    <div className="w-full">
      <IfThere name={`${path}.truing`} label="How it is trued, as found out" fresh={() => usualTruing[kind]}>
        <Choice
          name={`${path}.truing.sense`}
          label="Its screws"
          className="w-64"
          choices={[
            ['push', 'push the work'],
            ['drag', 'drag the body'],
          ]}
        />
        <Choice
          name={`${path}.truing.clockwise`}
          label="Key clockwise"
          className="w-40"
          choices={[
            ['tightens', 'tightens'],
            ['slackens', 'slackens'],
          ]}
        />
        <NumberInput name={`${path}.truing.mmPerTurn`} label="A turn of the key, mm" className="w-40" />
      </IfThere>
    </div>
  );
}

/** What a set of jaws takes: round the outside, opened into a hole, seated on a step. */
function JawFields({ path }: { path: string }) {
  return (
    <>
      <RangeFields path={path} />
      <LengthInput name={`${path}.stepMm`} label="Step, high; empty: none" className="w-44" empty={null} />
      <IfThere name={`${path}.inside`} label="Open into a hole" fresh={() => ({ fromMm: 40, toMm: 120 })}>
        <LengthInput name={`${path}.inside.fromMm`} label="Holes from Ø" className="w-32" sign="notNegative" />
        <LengthInput name={`${path}.inside.toMm`} label="Holes to Ø" className="w-32" sign="notNegative" />
      </IfThere>
    </>
  );
}

function RangeFields({ path }: { path: string }) {
  return (
    <>
      <TextInput name={`${path}.name`} label="Name" className="w-40" />
      <LengthInput name={`${path}.fromMm`} label="From Ø" className="w-28" sign="notNegative" />
      <LengthInput name={`${path}.toMm`} label="To Ø" className="w-28" sign="notNegative" />
    </>
  );
}

/** Tool post: what shanks go in, and how high the edge can stand. */
export function ToolPostSection() {
  return (
    <>
      <Choice
        name="toolPost.kind"
        label="Tool post"
        className="w-56"
        choices={[
          ['fourWay', 'four ways'],
          ['quickChange', 'holders that change quickly'],
          ['single', 'one tool, clamped'],
          ['rocker', 'rocker and ring'],
          ['rear', 'rear post'],
        ]}
      />
      <Rows
        name="toolPost.holders"
        title="Holders"
        none="None described: any tool fits."
        addLabel="Add a holder"
        fresh={() => ({ name: '', shankMm: 16, heightFromMm: 15, heightToMm: 25 })}
      >
        {(path) => (
          <>
            <TextInput name={`${path}.name`} label="Name" className="w-40" />
            <LengthInput name={`${path}.shankMm`} label="Shank up to" className="w-32" />
            <LengthInput name={`${path}.heightFromMm`} label="Edge from" className="w-28" sign="notNegative" />
            <LengthInput name={`${path}.heightToMm`} label="Edge to" className="w-28" sign="notNegative" />
          </>
        )}
      </Rows>
    </>
  );
}

/** Sizes of the bed, what cuts it bears, and what changes cost. */
export function SizesSection() {
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <LengthInput name="sizes.swingOverBedMm" label="Ø over the bed" />
        <LengthInput name="sizes.swingOverCrossSlideMm" label="Ø over the cross-slide" className="w-52" />
        <LengthInput name="sizes.swingInGapMm" label="Ø in the gap; empty: no gap" className="w-56" empty={null} />
        <LengthInput name="sizes.betweenCentresMm" label="Between centres" />
      </div>
      <h3 className="mt-5 font-bold">What it bears</h3>
      <div className="mt-1 flex flex-wrap gap-3">
        <LengthInput name="rigidity.usualDepthMm" label="Usual cut, on the radius" className="w-52" />
        <LengthInput name="rigidity.deepestCutMm" label="Deepest cut, on the radius" className="w-56" />
      </div>
      <h3 className="mt-5 font-bold">What changes cost, minutes</h3>
      <div className="mt-1 flex flex-wrap gap-3">
        <NumberInput name="changeMin.tool" label="Tool" className="w-24" />
        <NumberInput name="changeMin.chuck" label="Chuck" className="w-24" />
        <NumberInput name="changeMin.setOver" label="Set-over, there and back" className="w-52" />
        <NumberInput name="changeMin.compound" label="Angle of the compound" className="w-48" />
      </div>
      <p className="muted mt-1 text-sm">Belts, levers and gears carry their own.</p>
    </>
  );
}
