import { decideCut, edgeLifeMin, thinnestChipMm } from '@whelk/core/cutting';
import { builtUpBelowMPerMin, type Conditions, conditionsOfCut } from '@whelk/core/trouble';
import { KnownBeside, useKnownBeside } from '../../desks/trouble/KnownBeside.tsx';
import { TroubleList } from '../../desks/trouble/TroubleList.tsx';
import { fromJson } from '../../ui/from-json.tsx';
import { UnitOfPage } from '../../ui/unit.ts';
import { Sentence } from '../speeds/Sentence.tsx';
import { type Bench, setupOf } from '../speeds/state.ts';
import { useWords } from '../speeds/useWords.ts';

/** Trouble on its own: the conditions as a sentence, what else is known beside it, causes under it. */
function TroublePage({ bench }: { bench: Bench }) {
  const { words, change } = useWords(bench);
  const beside = useKnownBeside();
  const made = setupOf(bench, words);
  const lathe = bench.lathes.find((l) => l.id === words.latheId);
  const asked = made && {
    depthMm: made.depthMm,
    feedMmPerRev: made.feedMm,
    lengthMm: made.setup.hold.bending.shaft.lengthMm,
  };
  const own = asked && decideCut(made.setup, asked)?.find((d) => d.school === words.school);
  const conditions: Conditions | undefined = made &&
    own && {
      operation: words.operation,
      ...conditionsOfCut(own.cut, made.setup.hold.bendAllowedMm),
      tailCentre: words.held === 'centre',
      overhangDiameters: made.setup.hold.bending.shaft.lengthMm / made.setup.diameterMm,
      noseRadiusMm: made.tool.noseRadiusMm || undefined,
      thinnestChipMm: thinnestChipMm(made.tool.edgeRadiusMm),
      ...beside.conditions,
      edgeLifeMin: edgeLifeMin(
        made.setup.material.speeds[made.tool.material],
        own.cut.feedMmPerRev,
        own.cut.depthMm,
        own.cut.speedMPerMin,
      ),
      wantsWet: made.setup.material.coolant === 'wet',
      builtUpBelowMPerMin: builtUpBelowMPerMin(made.setup.material.group, own.cut.corrected.speedMPerMin),
    };
  if (!lathe) return <p className="muted">Describe a lathe first.</p>;
  return (
    <UnitOfPage.Provider value={lathe.unit}>
      <h1>Trouble</h1>
      <p className="muted">What it happened under; causes name the condition that speaks for them.</p>
      <Sentence bench={bench} words={words} unit={lathe.unit} onChange={change} />
      <KnownBeside {...beside} />
      <section aria-labelledby="what" className="mt-6">
        <h2 id="what" className="mb-2">
          What is wrong
        </h2>
        {made && own && conditions ? (
          <TroubleList
            conditions={conditions}
            speeds={made.setup.table.fixed}
            feeds={made.setup.feeds}
            rpm={own.cut.chosen.speed.rpm}
            feedMm={own.cut.feedMmPerRev}
            unit={lathe.unit}
          />
        ) : (
          <p className="field-problem text-base">One of the words does not make sense yet.</p>
        )}
      </section>
    </UnitOfPage.Provider>
  );
}

export default fromJson(TroublePage);
