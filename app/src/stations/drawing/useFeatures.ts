import type { Job } from '@whelk/core/job';
import { type BoreStep, emptyBoreStep, emptyFeature, type Feature } from '@whelk/core/part';
import type { FeatureEnd } from '@whelk/core/picture';
import { useEffect, useRef, useState } from 'react';
import type { useJob } from '../frame/useJob.ts';

/** A name that nothing in the drawing has: `f` outside, `h` holes, `d` details, `e` end view, `g` geometry, `m` mates. */
export const nextId = ({ drawing }: Job, letter: 'f' | 'h' | 'd' | 'e' | 'g' | 'm' = 'f'): string => {
  const steps = [...drawing.features, ...drawing.bores.left, ...drawing.bores.right];
  const { holes, flats, keyways = [], notes } = drawing.endView;
  const used = new Set(
    [
      ...steps,
      ...steps.flatMap((s) => s.details),
      ...drawing.dimensions,
      ...holes,
      ...flats,
      ...keyways,
      ...notes,
      ...(drawing.ends.left.grooves ?? []),
      ...(drawing.ends.right.grooves ?? []),
      ...(drawing.geometry ?? []),
      ...(drawing.mates ?? []),
    ].map((x) => x.id),
  );
  for (let i = 1; ; i++) if (!used.has(`${letter}${i}`)) return `${letter}${i}`;
};

/** What is selected of a drawing, and how its lengths are added, moved and changed; a field that is gone to takes the keys. */
export function useFeatures(job: Job, change: ReturnType<typeof useJob>['change']) {
  const { features, unit } = job.drawing;
  const [selected, setSelected] = useState<string | undefined>(features[0]?.id);
  const [end, setEnd] = useState<FeatureEnd | null>(null);
  const focus = useRef<string>(undefined);

  useEffect(() => {
    if (!focus.current) return;
    const field = document.querySelector<HTMLInputElement>(`[data-field="${focus.current}"]`);
    // no further than it takes to see the field: the strip above should stay in sight
    field?.focus({ preventScroll: true });
    field?.scrollIntoView({ block: 'nearest' });
    focus.current = undefined;
  });

  const setFeatures = (make: (features: Feature[]) => Feature[], field = '') =>
    change((j) => ({ ...j, drawing: { ...j.drawing, features: make([...j.drawing.features]) } }), field);
  const select = (id: string, part?: FeatureEnd) => {
    setSelected(id);
    setEnd(part ?? null);
  };
  const add = (at: number) => {
    const fresh = nextId(job);
    setFeatures((list) => list.toSpliced(at, 0, emptyFeature(fresh, unit)));
    setSelected(fresh);
    focus.current = `${fresh}-diameter`;
  };
  const setBores = (side: 'left' | 'right', steps: readonly BoreStep[], field: string) =>
    change((j) => ({ ...j, drawing: { ...j.drawing, bores: { ...j.drawing.bores, [side]: [...steps] } } }), field);
  const addHole = (side: 'left' | 'right') => {
    const fresh = nextId(job, 'h');
    setBores(side, [...job.drawing.bores[side], emptyBoreStep(fresh, unit)], `${fresh}-new`);
    setSelected(fresh);
    focus.current = `${fresh}-diameter`;
  };
  const remove = (at: number) => {
    setFeatures((list) => list.toSpliced(at, 1));
    setSelected(features[at + 1]?.id ?? features[at - 1]?.id);
  };
  const move = (at: number, by: 1 | -1) => {
    const to = at + by;
    if (to < 0 || to >= features.length) return;
    setFeatures((list) => list.toSpliced(at, 1).toSpliced(to, 0, list[at]!));
  };
  const step = (at: number, by: 1 | -1, field: string) => {
    const to = features[at + by];
    if (!to) return;
    setSelected(to.id);
    focus.current = `${to.id}-${field}`;
  };
  const focusOn = (field: string) => {
    focus.current = field;
  };
  return { selected, end, setSelected, select, setFeatures, setBores, add, addHole, remove, move, step, focusOn };
}
