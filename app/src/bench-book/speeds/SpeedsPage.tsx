import type { SchoolDecision } from '@whelk/core/cutting';
import { chipLook, chipSize, decideCut, finishFeedMm, operationRules, raUm, rzUm } from '@whelk/core/cutting';
import { nGradeOf, readFinish } from '@whelk/core/part';
import { shortLength } from '@whelk/core/quantity';
import { hasEdge } from '@whelk/core/tool';
import { lazy, memo, Suspense, useMemo } from 'react';
import { materialCautionText } from '../../messages/cautions.ts';
import { inUnit } from '../../messages/in-unit.ts';
import { wordProblem } from '../../messages/problems.ts';
import {
  chipText,
  coolantText,
  cuttingOperationNames,
  operationNoteText,
  policyText,
  toolMaterialNames,
} from '../../messages/words.ts';
import { feed, feedUnit } from '../../ui/format.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { UnitOfPage } from '../../ui/unit.ts';
import { useSeen } from '../../ui/useSeen.ts';
import { useSettled } from '../../ui/useSettled.ts';
import { DepthFeedMap } from './DepthFeedMap.tsx';
import { PutIntoJob } from './PutIntoJob.tsx';
import { Schools } from './Schools.tsx';
import { Sentence } from './Sentence.tsx';
import { SpeedChart } from './SpeedChart.tsx';
import { type Bench, type Ready, setupOf, type Taken, type Words } from './state.ts';
import { useWords } from './useWords.ts';

const EdgeLife = memo(lazy(() => import('./EdgeLife.tsx')));

/** Speeds and feeds on their own: a sentence, three answers, and what they are surrounded by. */
function SpeedsPage({ bench, taken }: { bench: Bench; taken?: Taken }) {
  const { words, change } = useWords(bench, taken);
  const lathe = bench.lathes.find((l) => l.id === words.latheId);
  const made = useMemo(() => setupOf(bench, words, taken), [bench, words, taken]);
  const unit = lathe?.unit ?? 'mm';
  const standing = bench.standing[words.latheId] ?? {};
  const decisions =
    made &&
    decideCut(
      made.setup,
      { depthMm: made.depthMm, feedMmPerRev: made.feedMm, lengthMm: made.setup.hold.bending.shaft.lengthMm },
      standing,
    );
  const own = decisions?.find((d) => d.school === words.school);
  if (bench.lathes.length === 0 || !bench.tools.some(hasEdge))
    return (
      <div>
        <h1>Speeds and feeds</h1>
        <p className="muted mt-3">
          The shop has {bench.lathes.length === 0 ? 'no lathe' : 'no tool'} yet; a speed is only true for one.{' '}
          <a className="link" href={bench.lathes.length === 0 ? '/lathes' : '/tools'}>
            Describe it first.
          </a>
        </p>
      </div>
    );
  const typed = (mm: number) => shortLength(mm, unit, unit === 'mm' ? 2 : 3);
  const fed = (mm: number) => shortLength(mm, unit, unit === 'mm' ? 2 : 4);
  return (
    <UnitOfPage.Provider value={unit}>
      <h1 className="visually-hidden">Speeds and feeds</h1>
      <Sentence bench={bench} words={words} unit={unit} onChange={change} />
      {!made && (
        <p className="field-problem mt-4 text-base">
          One of the words does not make sense yet; the answers wait for it.
        </p>
      )}
      {made && decisions && own && (
        <>
          <Schools
            decisions={decisions}
            ready={made}
            standing={standing}
            own={words.school}
            onOwn={(school) => change({ school })}
          />
          {taken && <PutIntoJob taken={taken} depthMm={own.cut.depthMm} feedMm={own.cut.feedMmPerRev} />}
          <p className="muted mt-2 text-sm">
            Chosen {policyText[bench.settings.policy.choice]}, from {Math.round(bench.settings.policy.belowShare * 100)}{' '}
            % below to {Math.round(bench.settings.policy.aboveShare * 100)} % above the ideal;{' '}
            <a className="link" href="/settings">
              change the policy
            </a>
            .
          </p>
          <section aria-labelledby="chart" className="mt-8">
            <h2 id="chart">Every speed of {made.lathe.name}, across diameters</h2>
            <p className="muted text-sm">
              The band is {made.setup.material.name.toLowerCase()} with {toolMaterialNames[made.setup.tool.material]} at
              this depth and feed; drag the line.
            </p>
            <SpeedChart
              speeds={made.setup.table.fixed}
              range={rangeOf(made.setup.table.lathe.spindle.settings)}
              speedMPerMin={own.cut.corrected.speedMPerMin}
              policy={made.setup.policy}
              diameterMm={made.setup.diameterMm}
              largestMm={made.lathe.sizes.swingOverCrossSlideMm}
              chosen={own.cut.chosen.speed}
              unit={unit}
              onDiameter={(mm) => change({ diameter: typed(mm) })}
            />
          </section>
          <div className="mt-8 grid gap-x-10 gap-y-8 xl:grid-cols-2">
            <section aria-labelledby="map">
              <h2 id="map">Where it closes in</h2>
              <DepthFeedMap
                setup={made.setup}
                school={words.school}
                depthMm={made.depthMm}
                feedMm={made.feedMm}
                deepestMm={made.lathe.rigidity.deepestCutMm * 1.25}
                coarsestMm={Math.max(0.4, (made.setup.feeds.at(-1)?.mmPerRev ?? 0) * 1.05)}
                label={`${typed(made.depthMm)} ${unit} deep, ${fed(made.feedMm)} ${unit} a turn; ${own.cut.limits.length === 0 ? 'nothing closes in' : `${own.cut.limits.length} limits reached`}`}
                onMove={(depth, fedMm) => change({ depth: typed(depth), feed: fed(fedMm) })}
              />
              <p aria-live="polite" className="mt-1">
                <b>{own.cut.chosen.speed.label}</b>, {own.cut.chosen.speed.rpm} rpm
                {own.feed && (
                  <>
                    ; <b>{own.feed.label}</b>
                  </>
                )}
              </p>
            </section>
            <Edge made={made} own={own} />
            <Finish words={words} made={made} onRa={(ra) => change({ ra })} feedMm={own.cut.feedMmPerRev} />
            <section aria-labelledby="keep">
              <h2 id="keep">To keep in mind</h2>
              <ul className="mt-1 list-inside list-disc">
                <li>
                  {
                    chipText[
                      chipLook(
                        made.setup.material,
                        chipSize({
                          depthMm: own.cut.depthMm,
                          feedMmPerRev: own.cut.feedMmPerRev,
                          kappaDeg: made.tool.kappaDeg,
                          noseRadiusMm: made.tool.noseRadiusMm,
                        }),
                        made.tool.edgeRadiusMm,
                      )
                    ]
                  }
                </li>
                <li>{coolantText[made.setup.material.coolant]}</li>
                {operationRules[words.operation].notes.map((code) => (
                  <li key={code}>
                    {cuttingOperationNames[words.operation]}: {operationNoteText[code]}
                  </li>
                ))}
                {made.setup.material.cautions.map((code) => (
                  <li key={code}>{materialCautionText(code)}</li>
                ))}
              </ul>
            </section>
          </div>
        </>
      )}
    </UnitOfPage.Provider>
  );
}

/** The life of the edge: loaded when it comes into sight, drawn when the cut stands still. */
function Edge({ made, own }: { made: Ready; own: SchoolDecision }) {
  const [ref, seen] = useSeen<HTMLElement>();
  const { cut } = own;
  const now = useMemo(
    () => ({ setup: made.setup, depthMm: cut.depthMm, feedMm: cut.feedMmPerRev, rpm: cut.chosen.speed.rpm }),
    [made.setup, cut.depthMm, cut.feedMmPerRev, cut.chosen.speed.rpm],
  );
  const settled = useSettled(now);
  return (
    <section aria-labelledby="edge" ref={ref}>
      <h2 id="edge">Life of the edge</h2>
      <Suspense fallback={<p className="muted">Being drawn</p>}>{seen && <EdgeLife {...settled} />}</Suspense>
    </section>
  );
}

function rangeOf(settings: readonly { readonly kind: string; readonly minRpm?: number; readonly maxRpm?: number }[]) {
  const ranges = settings.filter((s) => s.kind === 'stepless');
  if (ranges.length === 0) return undefined;
  return {
    minRpm: Math.min(...ranges.map((r) => r.minRpm ?? 0)),
    maxRpm: Math.max(...ranges.map((r) => r.maxRpm ?? 0)),
  };
}

/** What the feed leaves on the surface, and a finish wanted as one more limit. */
function Finish({
  words,
  made,
  feedMm,
  onRa,
}: {
  words: Words;
  made: Ready;
  feedMm: number;
  onRa: (ra: string) => void;
}) {
  const r = made.tool.noseRadiusMm;
  const { flatMm } = made.setup.tool;
  const { unit } = made.lathe;
  const ra = raUm(feedMm, r);
  const wrong = words.ra.trim() !== '' && readFinish(words.ra) === undefined;
  const coarsest = finishFeedMm(made.setup);
  return (
    <section aria-labelledby="finish">
      <h2 id="finish">Finish</h2>
      {flatMm > 0 ? (
        <p className="mt-1">
          This tool has a flat of {inUnit(unit).len(flatMm)}: fed below it, it leaves nearly no marks
          {feedMm < flatMm ? '' : '; this feed is more than the flat'}.
        </p>
      ) : r > 0 ? (
        <p className="mt-1">
          This feed with a nose of {inUnit(unit).len(r)} leaves about <b>Ra {ra.toFixed(1)} µm</b>, Rz{' '}
          {rzUm(feedMm, r).toFixed(1)} µm
          {nGradeOf(ra) ? `, within ${nGradeOf(ra)}` : ''}
          {feedMm > r / 2 ? '; the feed is more than half the nose: the sum says too little' : ''}.
        </p>
      ) : (
        <p className="mt-1">A tool without a nose radius leaves what its point is.</p>
      )}
      <label className="mt-2 flex flex-wrap items-center gap-2 text-sm">
        Finish wanted
        <input
          className="input w-32"
          value={words.ra}
          placeholder="any, or N7"
          aria-invalid={wrong}
          data-field="speeds-ra"
          onChange={(event) => onRa(event.target.value.slice(0, 12))}
        />
        {wrong && (
          <span className="field-problem">
            {wordProblem({ code: 'finish.unknown', path: [], value: words.ra }).right}
          </span>
        )}
        {Number.isFinite(coarsest) && (
          <span>
            wants a feed of at most{' '}
            <b>
              {feed(coarsest, unit)} {feedUnit(unit)}
            </b>
          </span>
        )}
      </label>
    </section>
  );
}

export default fromJson(SpeedsPage);
