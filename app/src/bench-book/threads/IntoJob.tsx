import type { Job } from '@whelk/core/job';
import { type Drawing, emptyBoreStep, emptyDetail, emptyFeature } from '@whelk/core/part';
import { formatLength, type LengthUnit } from '@whelk/core/quantity';
import {
  formOf,
  type NamedThread,
  runOutGroove,
  type Side,
  type SizeLimits,
  threadChamferMm,
  threadLimits,
} from '@whelk/core/thread';
import { useState } from 'react';
import { ask } from '../../ui/api.ts';

interface Props {
  readonly name: string;
  readonly thread: NamedThread;
  readonly side: Side;
  readonly close: string;
  readonly unit: LengthUnit;
}
/** A screw is drawn so many diameters long, a nut as long and as thick. */
const LONG = { screw: 3, nut: 1, wall: 1.6 } as const;

/** What is made with this thread: a screw with its head, groove and chamfer, or a nut; everything of it can be changed in the drawing. */
function shapesOf({ name, thread, side, close, unit }: Props): Pick<Drawing, 'features'> & Partial<Drawing> {
  const { majorMm } = thread;
  // as short as it can be written
  const typed = (mm: number) => ({ text: String(Number(formatLength(mm, unit, unit === 'mm' ? 2 : 3))), unit });
  const limits = threadLimits(thread, side, close);
  /** Deviations of a surface from the size that it is drawn with. */
  const deviations = (of: object, fromMm: number): string => {
    if (!('upperMm' in of)) return '';
    const { upperMm, lowerMm } = of as SizeLimits;
    const off = (mm: number) => (unit === 'mm' ? (mm - fromMm).toFixed(3) : ((mm - fromMm) / 25.4).toFixed(4));
    return `${off(upperMm)}/${off(lowerMm)}`;
  };
  const detail = {
    ...emptyDetail('d1', 'thread', unit),
    ...{ designation: name, hand: thread.hand === 'left' ? 'left' : 'right', class: close || thread.class || '' },
  };
  const groove = runOutGroove(thread, side);
  if (side === 'inside') {
    const { holeMm } = formOf(thread).basic(majorMm, thread.pitchMm);
    const body = emptyFeature('f1', unit);
    const core = emptyBoreStep('h1', unit, 'bored');
    const size = typed(holeMm);
    const drawnMm = Number(size.text) * (unit === 'mm' ? 1 : 25.4);
    return {
      features: [
        {
          ...body,
          name: 'Nut',
          diameter: typed(LONG.wall * majorMm),
          length: typed(LONG.nut * majorMm),
        } as typeof body,
      ],
      bores: {
        left: [],
        right: [
          {
            ...{ ...core, name: 'Core', diameter: size, limits: limits ? deviations(limits.minor, drawnMm) : '' },
            details: [detail],
          } as typeof core,
        ],
      },
    };
  }
  const [head, screw] = [emptyFeature('f1', unit), emptyFeature('f2', unit)];
  const neck = {
    ...emptyDetail('d2', 'groove', unit),
    ...{ from: 'left', width: typed(groove.usualMm), floor: typed(groove.floorMm) },
  };
  const chamfer = Number(formatLength((majorMm - threadChamferMm(thread, side)) / 2, unit, unit === 'mm' ? 1 : 2));
  const size = typed(majorMm);
  const drawnMm = Number(size.text) * (unit === 'mm' ? 1 : 25.4);
  return {
    features: [
      { ...head, name: 'Head', diameter: typed(LONG.wall * majorMm), length: typed(0.7 * majorMm) } as typeof head,
      {
        ...screw,
        ...{ name: 'Thread', diameter: size, length: typed(LONG.screw * majorMm) },
        limits: limits ? deviations(limits.major, drawnMm) : '',
        edges: { left: '', right: `${chamfer}x45` },
        details: [neck, detail],
      } as typeof screw,
    ],
  };
}

/** Puts a thread into a job of its own, drawn so far that it can be planned. */
export function IntoJob(props: Props) {
  const [refused, setRefused] = useState('');
  const make = async () => {
    const title = `${props.side === 'outside' ? 'Screw' : 'Nut'} ${props.name}`.slice(0, 80);
    const made = await ask<{ id: string }>('POST', '/api/jobs', { title });
    if (!made.ok) return setRefused(made.problems.map((p) => `${p.what} ${p.right}`).join(' '));
    const at = `/api/jobs/${made.data.id}`;
    const found = await ask<{ version: number; job: Job }>('GET', at);
    const saved = found.ok
      ? await ask('PUT', at, {
          version: found.data.version,
          job: { ...found.data.job, drawing: { ...found.data.job.drawing, unit: props.unit, ...shapesOf(props) } },
        })
      : found;
    if (saved.ok) location.href = `/jobs/${made.data.id}/drawing`;
    else setRefused(saved.problems.map((p) => `${p.what} ${p.right}`).join(' '));
  };
  return (
    <>
      <button type="button" className="link" onClick={() => void make()}>
        Into a new job
      </button>
      {refused && (
        <p role="alert" className="field-problem w-full">
          {refused}
        </p>
      )}
    </>
  );
}
