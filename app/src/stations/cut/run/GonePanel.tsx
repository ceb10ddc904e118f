import type { CutSide } from '@whelk/core/gauge';
import { Panel } from './Panel.tsx';

/** A size beyond the limit that cannot be put back: the reading is doubted first, then it is said what is lost, then it is asked. */
export function GonePanel({
  name,
  side,
  read,
  limit,
  onReadAgain,
  onEnd,
  onAccept,
  onClose,
}: {
  name: string;
  side: CutSide;
  read: string;
  limit: string;
  onReadAgain: () => void;
  onEnd: (reason: string) => void;
  onAccept: () => void;
  onClose: () => void;
}) {
  const which = side === 'outside' ? 'lower' : 'upper';
  return (
    <Panel title={`${name}: ${side === 'outside' ? 'below' : 'above'} its limit?`} onClose={onClose}>
      <p className="text-lg">
        It was read as <b>{read}</b>; the {which} limit is <b>{limit}</b>. Has it been read twice, at two places, clean
        and cool, with a gauge whose zero is right?
      </p>
      <p className="mt-2">
        Ended, this piece counts as lost: its sizes, readings and notes stay in the log, and another piece is cut in its
        place. A sleeve or its own mate may still save it: then accept it and note how.
      </p>
      <div className="mt-4 flex flex-wrap gap-3">
        <button type="button" className="act main" onClick={onReadAgain}>
          Read it once more
        </button>
        <button type="button" className="act" onClick={onAccept}>
          Keep the piece, go on
        </button>
        <button type="button" className="act" onClick={() => onEnd(`${name} ${read}, ${which} limit ${limit}`)}>
          End this piece
        </button>
      </div>
    </Panel>
  );
}
