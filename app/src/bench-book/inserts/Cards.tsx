import { clampingPicture, holderPicture, insertFacePicture, insertSectionPicture } from '@whelk/core/picture';
import type { LengthUnit } from '@whelk/core/quantity';
import type { Holder, Insert } from '@whelk/core/tool';
import { bodyNames, breakerNames, clampingNames, edgeNames, formNames, holeNames } from '../../messages/inserts.ts';
import { PictureView } from '../../ui/strip/PictureView.tsx';

/** A line of a designation: which letter, and what it means. */
function Line({ letter, children }: { letter: string; children: React.ReactNode }) {
  return (
    <tr>
      <th scope="row" className="setting w-16 text-lg">
        {letter}
      </th>
      <td>{children}</td>
    </tr>
  );
}
const inches = (mm: number, unit: LengthUnit) => (unit === 'in' ? ` (${(mm / 25.4).toFixed(3)} in)` : '');

/** An insert letter by letter, drawn from above and cut through. */
export function InsertCard({ insert, unit }: { insert: Insert; unit: LengthUnit }) {
  const [letters, size, thickness, radius] = insert.code.split(' ');
  const { countersinks } = insert;
  const mm = (value: number) => `${Number(value.toFixed(2))} mm${inches(value, unit)}`;
  return (
    <section aria-label={`Insert ${insert.code}`} className="mt-4 grid gap-6 lg:grid-cols-[1fr_360px]">
      <table className="table table-sm">
        <tbody>
          <Line letter={letters![0]!}>
            {formNames[insert.form]}
            {insert.cornerDeg > 0 && `, corner ${insert.cornerDeg}°`}; {insert.edges} corners that cut
          </Line>
          <Line letter={letters![1]!}>
            {insert.clearanceDeg === undefined
              ? 'another clearance, as its maker says'
              : `clearance ${insert.clearanceDeg}°${insert.clearanceDeg === 0 ? ': the holder tips it' : ''}`}
          </Line>
          <Line letter={letters![2]!}>
            circle ±{insert.circleToleranceMm} mm, corner ±{insert.heightToleranceMm} mm, thickness ±
            {insert.thicknessToleranceMm} mm
          </Line>
          <Line letter={letters![3]!}>
            {holeNames[insert.hole]}
            {insert.countersinks === 2 ? ' from both sides' : ''}, {breakerNames[insert.breakers]}
          </Line>
          <Line letter={size!}>
            {insert.form === 'rectangle'
              ? `longer edge ${mm(insert.edgeMm)}; its width is the maker’s`
              : `${insert.edgeMm > 0 ? `edge ${mm(insert.edgeMm)}, ` : ''}circle ${mm(insert.circleMm)}`}
          </Line>
          <Line letter={thickness!}>{mm(insert.thicknessMm)} thick</Line>
          <Line letter={radius!}>
            {insert.form === 'round'
              ? radius === 'M0'
                ? 'round, a metric diameter'
                : 'round, an inch diameter'
              : insert.radiusMm === 0
                ? 'sharp corner'
                : `corner radius ${mm(insert.radiusMm)}`}
          </Line>
          {insert.edge && <Line letter={insert.edge}>{edgeNames[insert.edge]}</Line>}
          {insert.hand && (
            <Line letter={insert.hand}>
              {{ R: 'cuts to the right-hand holder', L: 'cuts to the left-hand holder', N: 'either hand' }[insert.hand]}
            </Line>
          )}
          {insert.rest && <Line letter={insert.rest}>the maker’s own: chip breaker or grade</Line>}
        </tbody>
      </table>
      <div className="flex items-start gap-4">
        <div className="w-[150px] shrink-0">
          <PictureView
            picture={insertFacePicture(insert)}
            label={`Seen from above: ${formNames[insert.form]}${insert.form === 'rectangle' ? '' : ' with its inscribed circle'}`}
          />
        </div>
        <div className="w-[190px] shrink-0">
          <PictureView
            picture={insertSectionPicture(insert, countersinks)}
            label={`Cut through: ${holeNames[insert.hole]}, ${breakerNames[insert.breakers]}`}
          />
        </div>
      </div>
    </section>
  );
}

/** A holder or a boring bar letter by letter. */
export function HolderCard({ holder }: { holder: Holder }) {
  const bar = holder.kind === 'boring';
  const plain = holder.code.replace(/[\s-]/g, '');
  const head = bar ? plain.slice(4, 9) : plain.slice(0, 5);
  return (
    <section aria-label={`Holder ${holder.code}`} className="mt-4 grid gap-6 lg:grid-cols-[1fr_240px]">
      <div>
        <table className="table table-sm max-w-2xl">
          <tbody>
            {bar && (
              <>
                <Line letter={plain[0]!}>
                  {bodyNames[holder.body!]} bar{holder.damped ? ', damped' : ''}
                  {holder.coolant ? ', coolant through it' : ''}
                </Line>
                <Line letter={plain.slice(1, 3)}>shank Ø{mm(holder.shankWideMm)}</Line>
                <Line letter={plain[3]!}>{lengthText(holder)}</Line>
              </>
            )}
            <Line letter={head[0]!}>{clampingNames[holder.clamping]}</Line>
            <Line letter={head[1]!}>insert of shape {holder.insertShape}</Line>
            <Line letter={head[2]!}>
              setting angle {holder.settingDeg}°{holder.settingDeg === 90 ? ': a square shoulder' : ''}
              {holder.settingDeg > 90 ? ': faces outwards too' : ''}
            </Line>
            <Line letter={head[3]!}>
              {holder.insertClearanceDeg === undefined
                ? 'insert of another clearance'
                : `insert of ${holder.insertClearanceDeg}° clearance`}
            </Line>
            <Line letter={head[4]!}>{holder.hand === 'neutral' ? 'either hand' : `${holder.hand}-hand`}</Line>
            {!bar && holder.inch && (
              <>
                <Line letter={plain.slice(5, 7)}>
                  shank {mm(holder.shankHighMm)} high, {mm(holder.shankWideMm)} wide
                </Line>
                <Line letter={plain.at(-1)!}>{lengthText(holder)}</Line>
              </>
            )}
            {!bar && !holder.inch && (
              <>
                <Line letter={plain.slice(5, 7)}>shank {holder.shankHighMm} mm high</Line>
                <Line letter={plain.slice(7, 9)}>shank {holder.shankWideMm} mm wide</Line>
                <Line letter={plain[9]!}>{lengthText(holder)}</Line>
              </>
            )}
            <Line letter={holder.sizeCode}>insert of size {holder.sizeCode}</Line>
          </tbody>
        </table>
        <p className="muted mt-1 text-sm">
          {bar
            ? 'The designation does not tell the smallest hole it enters, nor how thick an insert its seat wants.'
            : 'The designation does not tell how thick an insert its seat wants.'}
        </p>
      </div>
      <div className="w-[200px]">
        <PictureView
          picture={holderPicture(holder)}
          label={`Seen from above: its edge stands at ${holder.settingDeg}° to the feed`}
        />
        <PictureView
          className="mt-3"
          picture={clampingPicture(holder.clamping)}
          label={`Cut through the seat: ${clampingNames[holder.clamping]}`}
        />
      </div>
    </section>
  );
}
const lengthText = (holder: Holder): string =>
  holder.lengthMm === undefined ? 'another length' : `${holder.lengthMm} mm long`;
/** A size that may come from inches, with no more figures than a caliper shows. */
const mm = (value: number): string => `${Number(value.toFixed(2))} mm`;
