import { type Calibration, type CalibrationKind, calibrated, calibrationSchema, type Lathe } from '@whelk/core/lathe';
import { useState } from 'react';
import type { KnownProblem } from '../../messages/app-code.ts';
import { wordProblem } from '../../messages/problems.ts';
import { ask } from '../../ui/api.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { Working } from '../../ui/working/Working.tsx';
import { bodyOf, calibrationKinds, subjectOf, subjects, valueText } from './calibration-form.ts';

interface Props {
  readonly lathe: Lathe;
  readonly all: readonly Calibration[];
  readonly onAdded: (calibration: Calibration) => void;
  readonly onLathe: (lathe: Lathe) => void;
}

/** Measurements of the lathe itself: every one is kept; which is in force the turner picks. */
export function Calibrations({ lathe, all, onAdded, onLathe }: Props) {
  const [told, setTold] = useState('');
  const force = async (slot: string, id: string | null) => {
    const result = await ask<{ lathe: Lathe }>('PUT', `/api/lathes/${lathe.id}/in-force`, { slot, id });
    if (result.ok) onLathe(result.data.lathe);
    setTold(result.ok ? '' : result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
  };
  return (
    <section aria-labelledby="calibrations" className="mt-10">
      <h2 id="calibrations">Calibrations</h2>
      <p className="muted text-sm">
        What was written down stays; a measurement counts while it is in force, for every job planned from then on.
      </p>
      {told && <p className="field-problem mt-1">{told}</p>}
      <AddCalibration lathe={lathe} onAdded={onAdded} />
      {all.length > 0 && (
        <div className="overflow-x-auto">
          <table className="table table-sm mt-3">
            <thead>
              <tr>
                <th scope="col">Day</th>
                <th scope="col">What</th>
                <th scope="col">Found</th>
                <th scope="col">Written down</th>
                <th scope="col">In force</th>
                <th scope="col">Note</th>
              </tr>
            </thead>
            <tbody>
              {all.map((c) => {
                const result = calibrated(lathe, c);
                const on = result.ok && lathe.inForce[result.slot] === c.id;
                return (
                  <tr key={c.id}>
                    <td className="whitespace-nowrap">{c.at.slice(0, 10)}</td>
                    <th scope="row" className="font-semibold">
                      {calibrationKinds[c.kind].name.split(',')[0]}: {subjectOf(lathe, c)}
                    </th>
                    <td>
                      {result.ok ? valueText(c, result.value) : wordProblem({ code: result.code, path: [] }).what}
                      <Working of="what was found" tell={(record) => void calibrated(lathe, c, record)} />
                    </td>
                    <td>{result.ok && result.before !== undefined ? valueText(c, result.before) : 'nothing'}</td>
                    <td>
                      {result.ok && (
                        <button
                          type="button"
                          className="position"
                          aria-pressed={on}
                          onClick={() => void force(result.slot, on ? null : c.id)}
                        >
                          {on ? 'in force' : 'put in force'}
                        </button>
                      )}
                    </td>
                    <td>{c.note}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

function AddCalibration({ lathe, onAdded }: { lathe: Lathe; onAdded: (c: Calibration) => void }) {
  const [kind, setKind] = useState<CalibrationKind>();
  const [of, setOf] = useState('');
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [problem, setProblem] = useState<KnownProblem>();
  const [refused, setRefused] = useState('');
  const begin = (next: CalibrationKind) => {
    setKind(kind === next ? undefined : next);
    setOf(subjects(lathe, next)[0]?.[0] ?? '');
    setTexts({});
    setProblem(undefined);
    setRefused('');
  };
  const made = kind && {
    schema: 1,
    id: crypto.randomUUID(),
    latheId: lathe.id,
    at: new Date().toISOString(),
    note: texts.note ?? '',
    ...bodyOf(kind, of, texts, lathe),
  };
  const filled = kind !== undefined && calibrationKinds[kind].fields.every(([key]) => (texts[key] ?? '').trim() !== '');
  const read = filled ? calibrationSchema.safeParse(made) : undefined;
  const preview = read?.success ? calibrated(lathe, read.data) : undefined;
  const add = async () => {
    if (!made) return;
    const result = await ask('POST', `/api/lathes/${lathe.id}/calibrations`, { calibration: made });
    if (!result.ok) {
      setProblem(result.problems[0]);
      return setRefused(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
    }
    onAdded(made as unknown as Calibration);
    setKind(undefined);
  };
  return (
    <>
      <div className="mt-2 flex flex-wrap gap-2">
        {(Object.keys(calibrationKinds) as CalibrationKind[])
          .filter((k) => subjects(lathe, k).length > 0)
          .map((k) => (
            <button key={k} type="button" className="position" aria-pressed={k === kind} onClick={() => begin(k)}>
              {calibrationKinds[k].name}
            </button>
          ))}
      </div>
      {kind && (
        <form
          className="sheet mt-3 p-4"
          onSubmit={(event) => {
            event.preventDefault();
            void add();
          }}
        >
          <p>{calibrationKinds[kind].how}</p>
          <div className="mt-2 flex flex-wrap items-start gap-3">
            {kind !== 'spring' && kind !== 'twoDepths' && (
              <label className="text-sm">
                Of
                <select className="select mt-0.5 flex w-56" value={of} onChange={(e) => setOf(e.target.value)}>
                  {subjects(lathe, kind).map(([key, name]) => (
                    <option key={key} value={key}>
                      {name}
                    </option>
                  ))}
                </select>
              </label>
            )}
            {calibrationKinds[kind].fields.map(([key, label, hint]) => (
              <TextField
                key={key}
                className="w-52"
                label={label}
                hint={hint}
                value={texts[key] ?? ''}
                data={`calibration-${key}`}
                problem={problem?.path.includes(key) ? problem : undefined}
                onChange={(text) => setTexts({ ...texts, [key]: text })}
              />
            ))}
            <TextField
              className="w-64"
              label="Note"
              value={texts.note ?? ''}
              onChange={(note) => setTexts({ ...texts, note: note.slice(0, 200) })}
            />
          </div>
          <p className="mt-2 min-h-6" aria-live="polite">
            {preview?.ok && (
              <>
                Gives <b>{valueText(made as unknown as Calibration, preview.value)}</b>
                {preview.before !== undefined &&
                  `; written down: ${valueText(made as unknown as Calibration, preview.before)}`}
              </>
            )}
            {read && !read.success && (
              <span className="field-problem">
                One of these is not a number, or not one that this ring shows. Type them as the hint does.
              </span>
            )}
            {preview && !preview.ok && (
              <span className="field-problem">{wordProblem({ code: preview.code, path: [] }).what}</span>
            )}
            {refused && <span className="field-problem">{refused}</span>}
          </p>
          <button type="submit" className="btn btn-primary mt-1 h-11" disabled={!preview?.ok}>
            Keep this calibration
          </button>
        </form>
      )}
    </>
  );
}
