import type { Lathe } from '@whelk/core/lathe';
import type { Problem } from '@whelk/core/quantity';
import { useEffect, useState } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import { wordProblem } from '../../../messages/problems.ts';
import { ask } from '../../../ui/api.ts';
import { fromJson } from '../../../ui/from-json.tsx';
import { UnitOfPage } from '../../../ui/unit.ts';
import { FeedsSection, ThreadsSection } from './FeedsSection.tsx';
import { Choice, TextInput } from './fields.tsx';
import { judge, latheResolver } from './form.ts';
import { HoldingSection, SizesSection, ToolPostSection } from './HoldingSection.tsx';
import { SlidesSection, TailstockSection } from './SlidesSection.tsx';
import { SpindleSection } from './SpindleSection.tsx';

/** In the order one walks round a lathe: headstock, gearbox, leadscrew, carriage, tailstock, bed, post, cupboard. */
const sections = [
  ['name', 'Name', ['name', 'note', 'unit'], NameSection],
  ['spindle', 'Spindle', ['drive', 'spindle'], SpindleSection],
  ['feeds', 'Feeds', ['feeds'], FeedsSection],
  ['threads', 'Threads', ['threads'], ThreadsSection],
  ['slides', 'Slides and dials', ['slides'], SlidesSection],
  ['tailstock', 'Tailstock and tapers', ['tailstock', 'taperAttachment'], TailstockSection],
  ['sizes', 'Sizes and time', ['sizes', 'rigidity', 'changeMin'], SizesSection],
  ['toolPost', 'Tool post', ['toolPost'], ToolPostSection],
  ['holding', 'Holding owned', ['holding'], HoldingSection],
] as const;

const draftKey = (id: string) => `whelk-lathe-${id}`;

/** Describes a lathe section by section; nothing is saved before it makes sense, and nothing typed is lost. */
function DescribeLathe({ lathe }: { lathe: Lathe }) {
  const form = useForm({ defaultValues: lathe as Record<string, unknown>, resolver: latheResolver, mode: 'onChange' });
  const [here, setHere] = useState<string>('name');
  const [told, setTold] = useState('');
  const [theirs, setTheirs] = useState<Lathe>();
  const values = useWatch({ control: form.control });
  const { problems, warnings } = judge(values);
  const unit = values.unit === 'in' ? 'in' : 'mm';
  const { reset } = form;

  useEffect(() => {
    const kept = localStorage.getItem(draftKey(lathe.id));
    if (!kept) return;
    const draft = JSON.parse(kept) as Lathe;
    if (draft.revision !== lathe.revision) return localStorage.removeItem(draftKey(lathe.id));
    reset(draft as Record<string, unknown>, { keepDefaultValues: true });
    setTold('What was typed here before and not saved is back.');
  }, [lathe, reset]);
  const { isDirty } = form.formState;
  useEffect(() => {
    if (isDirty) localStorage.setItem(draftKey(lathe.id), JSON.stringify(values));
  }, [values, isDirty, lathe.id]);

  const save = async (over?: Lathe) => {
    const judged = judge(form.getValues());
    if (!judged.lathe || judged.problems.length > 0) return;
    const next = over ? { ...judged.lathe, revision: over.revision } : judged.lathe;
    const result = await ask<{ lathe: Lathe }>('PUT', `/api/lathes/${lathe.id}`, { lathe: next });
    if (result.ok) {
      localStorage.removeItem(draftKey(lathe.id));
      location.href = `/lathes/${lathe.id}`;
      return;
    }
    if (result.status === 409) setTheirs(result.body.theirs as Lathe);
    setTold(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
  };
  const drop = () => {
    localStorage.removeItem(draftKey(lathe.id));
    location.href = `/lathes/${lathe.id}`;
  };
  const of = (roots: readonly string[], all: readonly Problem[]) =>
    all.filter((p) => roots.includes(String(p.path[0])));
  const at = sections.findIndex(([id]) => id === here);
  const [, title, , Section] = sections[at]!;
  const next = sections[at + 1];
  return (
    <FormProvider {...form}>
      <UnitOfPage.Provider value={unit}>
        <form
          className="grid min-h-[calc(100vh-46px)] md:grid-cols-[15rem_1fr]"
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
        >
          <nav aria-label="Sections" className="bg-[var(--bench)] py-4">
            <p className="px-5 pb-2 text-sm">
              <a className="link" href={`/lathes/${lathe.id}`}>
                {lathe.name}
              </a>
            </p>
            <ol>
              {sections.map(([id, name, roots]) => {
                const wrong = of(roots, problems).length;
                const odd = of(roots, warnings).length;
                return (
                  <li key={id}>
                    <button
                      type="button"
                      className={`side-step ${id === here ? 'on' : ''}`}
                      aria-current={id === here ? 'step' : undefined}
                      onClick={() => setHere(id)}
                    >
                      {name}
                      {wrong > 0 && <span className="text-[var(--stop)]"> ✕ {wrong}</span>}
                      {wrong === 0 && odd > 0 && <span className="text-[var(--color-accent)]"> ▲ {odd}</span>}
                    </button>
                  </li>
                );
              })}
            </ol>
          </nav>
          <div className="page m-0 max-w-none pb-24">
            <h1>{title}</h1>
            {told && (
              <p role="status" className="notice mt-3 rounded">
                {told}
                {theirs && (
                  <>
                    <button type="button" className="link font-bold" onClick={() => void save(theirs)}>
                      Keep mine
                    </button>
                    <button type="button" className="link font-bold" onClick={drop}>
                      Keep theirs
                    </button>
                  </>
                )}
              </p>
            )}
            <div className="mt-4">
              <Section />
            </div>
            {of(sections[at]![2], warnings).map((p) => (
              <p key={`${p.code}${p.path.join()}`} className="mt-3 font-semibold text-[var(--color-accent)]">
                ▲ {wordProblem(p, unit).what} {wordProblem(p, unit).right}
              </p>
            ))}
            <div className="fixed inset-x-0 bottom-0 z-10 flex flex-wrap items-center gap-3 border-t border-[var(--line)] bg-base-100 px-6 py-2 md:left-60">
              {next && (
                <button type="button" className="btn h-12" onClick={() => setHere(next[0])}>
                  On to {next[1].toLowerCase()}
                </button>
              )}
              <button type="submit" className="btn btn-primary h-12" disabled={problems.length > 0 || !isDirty}>
                Save as revision {lathe.revision + 1}
              </button>
              <button type="button" className="btn h-12" onClick={drop}>
                Leave it as it was
              </button>
              <span aria-live="polite" className={problems.length > 0 ? 'field-problem' : 'muted text-sm'}>
                {problems.length > 0
                  ? `${problems.length} to put right: ${sections.find(([, , roots]) => of(roots, problems).length > 0)?.[1] ?? ''}`
                  : !isDirty
                    ? 'nothing changed yet'
                    : warnings.length > 0
                      ? `can be saved; to look at: ${sections.find(([, , roots]) => of(roots, warnings).length > 0)?.[1] ?? ''}`
                      : 'everything makes sense'}
              </span>
            </div>
          </div>
        </form>
      </UnitOfPage.Provider>
    </FormProvider>
  );
}

function NameSection() {
  return (
    <div className="flex flex-wrap gap-3">
      <TextInput name="name" label="Name" className="w-64" />
      <Choice
        name="unit"
        label="Its own unit"
        className="w-32"
        choices={[
          ['mm', 'mm'],
          ['in', 'inch'],
        ]}
      />
      <TextInput name="note" label="Note" className="w-full max-w-2xl" />
    </div>
  );
}

export default fromJson(DescribeLathe);
