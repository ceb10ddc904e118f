import { parseLength } from '@whelk/core/quantity';
import type { KnownProblem } from '../../../messages/app-code.ts';
import { useKeptText } from '../../../ui/keep/useKeptText.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';

/** One place along a cone: its reading is typed here and kept until it is taken with Enter. */
export function StationField({
  label,
  keepAs,
  unit,
  data,
  onTake,
}: {
  label: string;
  keepAs: string;
  unit: 'mm' | 'in';
  data: string;
  onTake: (text: string, at: number) => void;
}) {
  const [text, setText, drop] = useKeptText(keepAs);
  const read = parseLength(text, unit);
  const problem: KnownProblem | undefined =
    text === '' || read.ok ? undefined : { code: read.code, path: [], value: read.value };
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!read.ok || text.trim() === '') return;
        onTake(text.trim(), event.timeStamp);
        drop();
        // on to the next place that is empty
        const all = [...document.querySelectorAll<HTMLInputElement>('[data-field^="station-"]')];
        const next = all.find((field) => field !== event.currentTarget.querySelector('input') && field.value === '');
        next?.focus();
      }}
    >
      <TextField
        className="w-36"
        label={label}
        value={text}
        {...(problem ? { problem } : {})}
        onChange={setText}
        inputClass="h-12 text-xl font-bold"
        inputMode={unit === 'mm' ? 'decimal' : 'text'}
        data={data}
      />
      <button type="submit" className="btn min-h-12" disabled={!read.ok || text.trim() === ''}>
        Take
      </button>
    </form>
  );
}
