import { decideCut, edgeLifeMin, thinnestChipMm } from '@whelk/core/cutting';
import { type Conditions, conditionsOfCut } from '@whelk/core/trouble';
import { useState } from 'react';
import { fromJson } from '../../ui/from-json.tsx';
import { TroubleList } from '../../ui/trouble/TroubleList.tsx';
import { Sentence } from '../speeds/Sentence.tsx';
import { type Bench, setupOf } from '../speeds/state.ts';
import { useWords } from '../speeds/useWords.ts';

/** Trouble on its own: the conditions as a sentence, what else is known beside it, causes under it. */
function TroublePage({ bench }: { bench: Bench }) {
  const { words, change } = useWords(bench);
  const [toolOut, setToolOut] = useState('');
  const [used, setUsed] = useState('');
  const [wet, setWet] = useState('');
  const made = setupOf(bench, words);
  const lathe = bench.lathes.find((l) => l.id === words.latheId);
  const asked = made && { depthMm: made.depthMm, feedMmPerRev: made.feedMm, lengthMm: made.setup.hold.overhangMm };
  const own = asked && decideCut(made.setup, asked)?.find((d) => d.school === words.school);
  const number = (text: string) => (/^\d{1,4}(\.\d{1,2})?$/.test(text.trim()) ? Number(text) : undefined);
  const conditions: Conditions | undefined = made &&
    own && {
      operation: words.operation,
      ...conditionsOfCut(own.cut, made.setup.hold.bendAllowedMm),
      tailCentre: words.held === 'centre',
      overhangDiameters: made.setup.hold.overhangMm / made.setup.diameterMm,
      noseRadiusMm: made.tool.noseRadiusMm || undefined,
      thinnestChipMm: thinnestChipMm(made.tool.edgeRadiusMm),
      toolOverhangRatio: number(toolOut),
      edgeUsedMin: number(used),
      edgeLifeMin: edgeLifeMin(
        made.setup.material.speeds[made.tool.material],
        own.cut.feedMmPerRev,
        own.cut.depthMm,
        own.cut.speedMPerMin,
      ),
      wet: wet === '' ? undefined : wet === 'wet',
      wantsWet: made.setup.material.coolant === 'wet',
      // steel tears where metal builds up on a slow edge: below about half of what is right
      builtUpBelowMPerMin: ['P', 'M'].includes(made.setup.material.group)
        ? own.cut.corrected.speedMPerMin * 0.5
        : undefined,
    };
  if (!lathe) return <p className="muted">Describe a lathe first.</p>;
  return (
    <>
      <h1>Trouble</h1>
      <p className="muted">What it happened under; causes name the condition that speaks for them.</p>
      <Sentence bench={bench} words={words} unit={lathe.unit} onChange={change} />
      <div className="mt-2 flex flex-wrap gap-4">
        <label className="text-sm">
          Tool out of its holder, in shank heights
          <input
            className="input mt-0.5 flex w-64"
            inputMode="decimal"
            value={toolOut}
            placeholder="not known"
            onChange={(e) => setToolOut(e.target.value.slice(0, 6))}
          />
        </label>
        <label className="text-sm">
          The edge has cut, min
          <input
            className="input mt-0.5 flex w-40"
            inputMode="decimal"
            value={used}
            placeholder="not known"
            onChange={(e) => setUsed(e.target.value.slice(0, 6))}
          />
        </label>
        <label className="text-sm">
          Cut
          <select className="select mt-0.5 flex w-40" value={wet} onChange={(e) => setWet(e.target.value)}>
            <option value="">not said</option>
            <option value="dry">dry</option>
            <option value="wet">wet</option>
          </select>
        </label>
      </div>
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
    </>
  );
}

export default fromJson(TroublePage);
