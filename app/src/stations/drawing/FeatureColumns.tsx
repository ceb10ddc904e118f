import type { Job, PlannedJob } from '@whelk/core/job';
import type { Feature } from '@whelk/core/part';
import { outsides } from '@whelk/core/part';
import { type FeatureEnd, stripPicture } from '@whelk/core/picture';
import { useWidth } from '../../ui/useWidth.ts';
import { FeatureColumn } from './FeatureColumn.tsx';

interface Props {
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly selected: string | undefined;
  readonly onSelect: (id: string, end?: FeatureEnd) => void;
  readonly onChange: (at: number, feature: Feature, field: string) => void;
  readonly onAdd: (at: number) => void;
  readonly onRemove: (at: number) => void;
  readonly onMove: (at: number, by: 1 | -1) => void;
  readonly onStep: (at: number, by: 1 | -1, field: string) => void;
  readonly fresh: () => string;
}
const WIDEST = 232;
const FOLDED = { least: 92, most: 150 };
const LEADERS = 36;

/** A column for each feature, tied to its place on the strip by a leader; when there are many, only the selected one is open. */
export function FeatureColumns(props: Props) {
  const { job, planned, selected } = props;
  const [ref, width] = useWidth<HTMLDivElement>(1240);
  const { features } = job.drawing;
  const addWidth = 74;
  const inner = width - addWidth;
  const fold = features.length * 196 > inner;
  const each = Math.min(WIDEST, Math.floor(inner / features.length));
  const folded = Math.min(
    FOLDED.most,
    Math.max(FOLDED.least, Math.floor((inner - WIDEST) / Math.max(1, features.length - 1))),
  );
  const widthOf = (feature: Feature) => (fold ? (feature.id === selected ? WIDEST : folded) : each);
  const total = features.reduce((sum, f) => sum + widthOf(f), 0);
  // the same picture geometry as the strip above, so that leaders start where its labels stand
  const strip = stripPicture(planned.part, {
    width,
    height: 236,
    textSize: 15,
    besides: true,
    labels: outsides(planned.part).map((f) => ({ id: f.id, text: f.id })),
    overall: '',
  });
  const left = Math.max(0, (inner - total) / 2);
  let x = left;
  const leaders = features.map((feature) => {
    const middle = x + widthOf(feature) / 2;
    x += widthOf(feature);
    const turned = outsides(planned.part).find((f) => f.id === feature.id);
    const from = turned ? strip.origin[0] + ((turned.zFromMm + turned.zToMm) / 2) * strip.unitsPerMm : middle;
    return { id: feature.id, from, middle };
  });
  return (
    <div ref={ref} className="overflow-x-auto">
      {total <= inner && (
        <svg width={width} height={LEADERS} aria-hidden="true" className="block">
          {leaders.map(({ id, from, middle }, i) => (
            <path
              key={id}
              className={id === selected ? 'leader on' : 'leader'}
              d={`M${from} 0V${6 + (i % 3) * 5}L${middle} ${20 + (i % 3) * 3}V${LEADERS}`}
            />
          ))}
        </svg>
      )}
      <ol className="flex items-start" aria-label="Features from the headstock end">
        <li aria-hidden="true" ref={(node) => node?.style.setProperty('width', `${left}px`)} className="flex-none" />
        {features.map((feature, at) => (
          <FeatureColumn
            key={feature.id}
            {...props}
            feature={feature}
            at={at}
            width={widthOf(feature)}
            folded={fold && feature.id !== selected}
          />
        ))}
        <li className="flex-none p-2">
          <button
            type="button"
            className="btn btn-sm h-auto py-2"
            onClick={() => props.onAdd(features.length)}
            aria-label="Add a feature at the tailstock end"
          >
            + Add
          </button>
        </li>
      </ol>
    </div>
  );
}
