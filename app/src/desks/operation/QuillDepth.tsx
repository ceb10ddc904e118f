import { dialMove, dialScale, type Lathe } from '@whelk/core/lathe';
import { wayWith } from '../../ui/dial-window/HandsList.tsx';
import { measure } from '../../ui/format.ts';

/** A depth from where the tool touches the face, as it is told at the tailstock: turns of the quill, its graduation, or a mark on the tool. */
export function QuillDepth({ lathe, depthMm, from }: { lathe: Lathe; depthMm: number; from: string }) {
  const { unit } = lathe;
  const { dial, quillTravelMm } = lathe.tailstock;
  const shown = `${measure(depthMm, unit, unit === 'mm' ? 1 : 3)} ${unit}`;
  if (!dial)
    return (
      <p className="text-lg">
        <b>{shown}</b> from {from}: by the quill’s graduation, or a collar or a mark on the tool at that length.
      </p>
    );
  // the quill goes out as the drill goes in
  const move = dialMove(dial, 0, -Math.min(depthMm, quillTravelMm));
  return (
    <p className="text-lg">
      <b>{shown}</b> from {from}: {wayWith(move.fullTurns, move.rest, dial.unit)} on the quill’s wheel, {move.hand},{' '}
      {dialScale(dial).lineNumber.valueOf()} {dial.unit} a line.
    </p>
  );
}
