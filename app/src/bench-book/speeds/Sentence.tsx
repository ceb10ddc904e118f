import { CUTTING_OPERATIONS, type Grade } from '@whelk/core/cutting';
import { parseLength } from '@whelk/core/quantity';
import { hasEdge } from '@whelk/core/tool';
import { memo, useId, useMemo } from 'react';
import { wordProblem } from '../../messages/problems.ts';
import { cuttingOperationNames, gradeNames } from '../../messages/words.ts';
import { type Bench, gradeWords, type LengthWord, type Words } from './state.ts';

interface Props {
  readonly bench: Bench;
  readonly words: Words;
  readonly unit: 'mm' | 'in';
  readonly onChange: (change: Partial<Words>) => void;
}

const GRADES = (['rough', 'semi', 'finish'] as const).map((g) => [g, gradeNames[g]] as const);
const HELD = [
  ['chuck', 'in the chuck'],
  ['centre', 'in chuck and tail centre'],
] as const;

/** The question as a sentence; every underlined word can be changed where it stands. */
export function Sentence({ bench, words, unit, onChange }: Props) {
  const choices = useMemo(
    () => ({
      operation: CUTTING_OPERATIONS.filter((o) => ['turning', 'facing', 'boring'].includes(o)).map(
        (o) => [o, cuttingOperationNames[o]] as const,
      ),
      material: bench.materials.map(
        (m) => [m.id, `${m.name.toLowerCase()}${m.designations[0] ? ` (${m.designations[0]})` : ''}`] as const,
      ),
      tool: bench.tools.filter(hasEdge).map((t) => [t.id, t.name] as const),
      lathe: bench.lathes.map((l) => [l.id, l.name] as const),
      held: HELD,
    }),
    [bench],
  );
  const pick = (
    label: string,
    key: 'operation' | 'materialId' | 'toolId' | 'latheId' | 'held',
    list: readonly (readonly [string, string])[],
  ) => <Pick label={label} value={words[key]} choices={list} onChange={(value) => onChange({ [key]: value })} />;
  const type = (label: string, key: LengthWord, suffix: string) => (
    <Type
      label={label}
      value={words[key]}
      unit={unit}
      suffix={suffix}
      name={key}
      onChange={(text) => onChange({ [key]: text })}
    />
  );
  return (
    <p className="sentence">
      {pick('Operation', 'operation', choices.operation)},{' '}
      <Pick
        label="Grade"
        value={words.grade}
        choices={GRADES}
        onChange={(grade) => onChange(gradeWords(bench, words, grade as Grade))}
      />{' '}
      {pick('Material', 'materialId', choices.material)} at Ø {type('Diameter', 'diameter', unit)} with the{' '}
      {pick('Tool', 'toolId', choices.tool)}, {type('Depth on the radius', 'depth', unit)} deep, fed{' '}
      {type('Feed', 'feed', `${unit}/rev`)}, on {pick('Lathe', 'latheId', choices.lathe)},{' '}
      {pick('Held', 'held', choices.held)} with {type('Standing out', 'overhang', unit)} standing out; it may bend{' '}
      {type('Bending allowed on the diameter', 'bend', unit)} on the diameter.
    </p>
  );
}

/** Its list is long and drawn seldom: what it does when it changes is always the same. */
export const Pick = memo(
  function Pick({
    label,
    value,
    choices,
    onChange,
  }: {
    label: string;
    value: string;
    choices: readonly (readonly [string, string])[];
    onChange: (value: string) => void;
  }) {
    return (
      <select className="word" aria-label={label} value={value} onChange={(event) => onChange(event.target.value)}>
        {choices.map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    );
  },
  (a, b) => a.value === b.value && a.choices === b.choices && a.label === b.label && a.label !== 'Grade',
);

export function Type({
  label,
  value,
  unit,
  suffix,
  name,
  onChange,
}: {
  label: string;
  value: string;
  unit: 'mm' | 'in';
  suffix: string;
  name: string;
  onChange: (text: string) => void;
}) {
  const id = useId();
  const read = parseLength(value, unit);
  const words = read.ok ? undefined : wordProblem({ code: read.code, path: [], value: read.value });
  return (
    <span className="relative inline-block whitespace-nowrap">
      <input
        className="word"
        aria-label={`${label}, ${suffix}`}
        aria-invalid={words !== undefined}
        aria-describedby={words ? id : undefined}
        data-field={`speeds-${name}`}
        value={value}
        size={Math.max(3, value.length)}
        maxLength={64}
        autoComplete="off"
        spellCheck={false}
        onChange={(event) => onChange(event.target.value)}
      />
      <span className="unit">{suffix}</span>
      {words && (
        <span id={id} className="field-problem block whitespace-normal">
          {words.what}
        </span>
      )}
    </span>
  );
}
