import { eccentricityOf, type FourReadings } from '@whelk/core/hold';
import { parseLength } from '@whelk/core/quantity';
import { useState } from 'react';
import { LengthBox } from './LengthBox.tsx';
import { amount } from './readings.ts';

/** How far a mounting face may swing before the body goes on, mm. */
const FACE_MM = 0.01;
const steps = [
  'Spindle nose, register and the back of the body clean and dry; feel for burrs and take them down with a fine stone.',
  'Adapter plate on the nose, run up to its shoulder by hand, locked as the machine’s manual says.',
  'Its face: read it below at the rim. True it with a light facing cut in place if it swings too much.',
  'Its register: a light cut so that the body goes on with room all round for its screws to work.',
  'Stone the body’s face, put it on, clamp bolts snug and not tight, the four screws just touching.',
  'A round bar of the diameter most used in the jaws; true it as above, tighten the clamp bolts crosswise, read again.',
  'Note the diameter it was trued at: it repeats best there, and is re-trued for one much larger or smaller.',
] as const;

/** The first mounting of a fine-adjusting body: in order, with the face that all rests on measured. */
export function FirstMounting({ unit }: { unit: 'mm' | 'in' }) {
  const [face, setFace] = useState(['', '', '', '']);
  const [ticked, setTicked] = useState<ReadonlySet<number>>(new Set());
  const read = face.map((text) => parseLength(text, unit, 'any'));
  const four = read.every((r) => r.ok)
    ? (read.map((r) => (r.ok ? r.mm.valueOf() : 0)) as unknown as FourReadings)
    : undefined;
  const swing = four && Math.max(...four) - Math.min(...four);
  return (
    <ol className="flex max-w-3xl flex-col gap-1">
      {steps.map((step, i) => (
        <li key={step}>
          <label className="flex min-h-11 cursor-pointer items-start gap-3 py-1">
            <input
              type="checkbox"
              className="checkbox mt-0.5"
              checked={ticked.has(i)}
              onChange={() => {
                const next = new Set(ticked);
                if (!next.delete(i)) next.add(i);
                setTicked(next);
              }}
            />
            <span>
              <b>{i + 1}</b> {step}
            </span>
          </label>
          {i === 2 && (
            <div className="mb-2 ml-9">
              <div className="flex flex-wrap gap-3">
                {face.map((text, at) => (
                  <LengthBox
                    // biome-ignore lint/suspicious/noArrayIndexKey: four places that do not move
                    key={at}
                    label={`Face at ${at * 90}°`}
                    text={text}
                    unit={unit}
                    sign="any"
                    onText={(next) => setFace(face.with(at, next))}
                    data={`face-${at}`}
                  />
                ))}
              </div>
              {four && swing !== undefined && (
                <p role="status" className={swing <= FACE_MM ? 'ok mt-1' : 'field-warning mt-1 text-base'}>
                  {swing <= FACE_MM
                    ? `✓ The face swings ${amount(swing, unit)}: the body may go on.`
                    : `The face swings ${amount(swing, unit)}${
                        eccentricityOf(four).ovalMm > swing / 3 ? ' and is not flat' : ''
                      }: skim it in place to ${amount(FACE_MM, unit)} or less, else the body leans with every piece.`}
                </p>
              )}
            </div>
          )}
        </li>
      ))}
    </ol>
  );
}
