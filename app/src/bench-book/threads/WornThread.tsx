import { parseLength } from '@whelk/core/quantity';
import { identifyThread } from '@whelk/core/thread';
import { useState } from 'react';
import { TextField } from '../../ui/number-field/TextField.tsx';

/** A thread that nobody knows: counted over a length and measured over its crests, in either system. */
export function WornThread({ onTake }: { onTake: (name: string) => void }) {
  const [texts, setTexts] = useState({ diameter: '', count: '', over: '', by: '0.3' });
  const [inside, setInside] = useState(false);
  const [angle, setAngle] = useState('');
  const field = (key: keyof typeof texts, label: string) => (
    <TextField
      label={label}
      value={texts[key]}
      onChange={(text) => setTexts({ ...texts, [key]: text })}
      data={`worn-${key}`}
      inputClass="w-36"
    />
  );
  const mm = (text: string): number | undefined => {
    const read = parseLength(text, 'mm');
    return read.ok ? read.mm.valueOf() : undefined;
  };
  const [diameterMm, overMm, byMm] = [mm(texts.diameter), mm(texts.over), mm(texts.by)];
  const pitchCount = Number(texts.count.replace(',', '.'));
  const ready = diameterMm !== undefined && overMm !== undefined && byMm !== undefined && pitchCount > 0;
  const likely = ready
    ? identifyThread({
        ...{ side: inside ? 'inside' : 'outside', diameterMm, pitchCount, overMm, byMm },
        ...(angle === '' ? {} : { includedDeg: Number(angle) }),
      })
    : [];
  return (
    <section aria-label="A worn thread" className="mt-10">
      <h2>A thread that nobody knows</h2>
      <p className="max-w-3xl">
        Count pitches over as long a length as there is, from crest to crest, and measure over the crests where they are
        worn least. Inches are typed with their sign.
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <label className="text-sm">
          Which side
          <select
            className="select mt-0.5 flex w-36"
            value={inside ? 'inside' : 'outside'}
            onChange={(e) => setInside(e.target.value === 'inside')}
          >
            <option value="outside">outside</option>
            <option value="inside">inside</option>
          </select>
        </label>
        {field('diameter', inside ? 'Bore, mm' : 'Over the crests, mm')}
        {field('count', 'Pitches counted')}
        {field('over', 'Over a length of, mm')}
        {field('by', 'Known to ±, mm')}
        <label className="text-sm">
          Angle, by a gauge
          <select className="select mt-0.5 flex w-40" value={angle} onChange={(e) => setAngle(e.target.value)}>
            <option value="">not looked at</option>
            {[60, 55, 47.5, 30, 29].map((deg) => (
              <option key={deg} value={deg}>
                {deg}°
              </option>
            ))}
          </select>
        </label>
      </div>
      <div role="status" className="mt-3">
        {ready && likely.length === 0 && (
          <p className="text-lg">Like nothing in any list: measure again, or it is somebody’s own.</p>
        )}
        {likely.length > 0 && (
          <table className="table max-w-2xl text-base">
            <thead>
              <tr>
                <th scope="col">Probably</th>
                <th scope="col" className="text-right">
                  belief
                </th>
                <th scope="col" className="text-right">
                  pitch off over the count, mm
                </th>
                <th scope="col" className="text-right">
                  worn, mm
                </th>
              </tr>
            </thead>
            <tbody>
              {likely.map((l) => (
                <tr key={l.name}>
                  <td>
                    <button type="button" className="quiet min-h-8 underline" onClick={() => onTake(l.name)}>
                      {l.name}
                    </button>
                  </td>
                  <td className="figure text-right">{Math.round(100 * l.share)} %</td>
                  <td className="figure text-right">{l.overLengthMm.toFixed(2)}</td>
                  <td className="figure text-right">{l.wornMm.toFixed(2)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
    </section>
  );
}
