import { cutText } from '../../../exchange/text.ts';
import { useKeptText } from '../../../ui/keep/useKeptText.ts';
import { Panel } from './Panel.tsx';

interface Props {
  /** the run, under which the typed note is kept until it is entered */
  readonly keepAs: string;
  readonly notes: readonly { readonly text: string }[];
  readonly onSave: (text: string) => void;
  readonly onClose: () => void;
}

/** A note on this step; kept with the run and shown in the log. */
export function NotePanel({ keepAs, notes, onSave, onClose }: Props) {
  const [text, setText, dropText] = useKeptText(`${keepAs}.note`);
  return (
    <Panel title="Note" onClose={onClose}>
      {notes.length > 0 && (
        <ul className="muted mb-2 text-sm">
          {notes.slice(-3).map((n, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: notes in their order
            <li key={i}>{n.text}</li>
          ))}
        </ul>
      )}
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim() === '') return;
          onSave(cutText(text.trim(), 2000));
          dropText();
        }}
      >
        <label htmlFor="note" className="visually-hidden">
          Note
        </label>
        <textarea
          id="note"
          className="input h-32 w-full whitespace-pre-wrap p-2"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <div className="mt-3 flex gap-3">
          <button type="submit" className="act main" disabled={text.trim() === ''}>
            Keep the note
          </button>
          <button type="button" className="act" onClick={onClose}>
            Close
          </button>
        </div>
      </form>
    </Panel>
  );
}
