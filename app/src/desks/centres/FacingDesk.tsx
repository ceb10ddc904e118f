import { facingToCentre } from '@whelk/core/hold';
import { type LengthUnit, shortLength } from '@whelk/core/quantity';
import { useState } from 'react';
import { Working } from '../../ui/working/Working.tsx';
import { boxMm, LengthBox } from '../truing/LengthBox.tsx';

/** Facing up to a tail centre: how far in, what is left, and how that comes off. */
export function FacingDesk({ unit }: { unit: LengthUnit }) {
  const inch = unit === 'in';
  const [texts, setTexts] = useState({
    end: inch ? '1 1/4' : '30',
    mouth: inch ? '17/64' : '6.7',
    off: inch ? '1/32' : '1',
  });
  const [half, setHalf] = useState(false);
  const [end, mouth, off] = (['end', 'mouth', 'off'] as const).map((key) => boxMm(texts[key], unit));
  const answer =
    end !== undefined && mouth !== undefined && off !== undefined ? facingToCentre(end, mouth, off, half) : undefined;
  const said = (mm: number) => `${shortLength(mm, unit, inch ? 3 : 1)} ${unit}`;
  const box = (key: 'end' | 'mouth' | 'off', label: string) => (
    <LengthBox
      label={label}
      text={texts[key]}
      unit={unit}
      onText={(text) => setTexts({ ...texts, [key]: text })}
      data={`facing-${key}`}
    />
  );
  return (
    <>
      <div className="flex flex-wrap items-end gap-3">
        {box('end', 'Ø of the end')}
        {box('mouth', 'Ø of the hole’s mouth')}
        {box('off', 'To come off')}
        <label className="flex min-h-10 items-center gap-2">
          <input type="checkbox" className="h-5 w-5" checked={half} onChange={(e) => setHalf(e.target.checked)} />
          on a half-centre
        </label>
      </div>
      <p className="mt-2 text-lg" role="status">
        {answer ? (
          <>
            Face down to <b className="setting">Ø{said(answer.toMm)}</b>
            {answer.after === 'nothing'
              ? ': the cut-away centre lets the tool in to the mouth, nothing is left. '
              : `: a ring of ${said(answer.ringMm)} stays round the centre. ${answer.after === 'file' ? 'So thin a ring is filed off at last.' : 'Take it off in the chuck, the centre away.'} `}
            <Working of="facing" tell={(record) => void facingToCentre(end!, mouth!, off!, half, record)} />
            <span className="muted block text-base">
              The tool breaks if it meets the centre. Quill short and locked, carriage locked, light cuts from the rim.
            </span>
          </>
        ) : (
          <span className="muted">The mouth must be clearly smaller than the end.</span>
        )}
      </p>
    </>
  );
}
