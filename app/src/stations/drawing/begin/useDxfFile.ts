import type { LengthUnit } from '@whelk/core/quantity';
import type { AxisReason, Placing } from '@whelk/core/trace';
import { type Remote, releaseProxy, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { DxfRead, DxfRefusal } from '../../../exchange/dxf-in.ts';
import type { Mapped, ReadDxfApi } from '../../../workers/read-dxf.ts';

/** A file that takes longer than this to read is given up. */
const LONGEST_MS = 20_000;
/** How close curves are followed, in the file's unit. */
export const CURVE_TOLERANCE = 0.002;

export interface DxfFile {
  readonly name: string;
  readonly state: 'reading' | 'read' | 'refused' | 'gaveUp';
  readonly read?: DxfRead;
  readonly refusal?: DxfRefusal;
}

/** Reads a DXF file in a worker, which is stopped when it takes too long, and maps it as it is asked to. */
export function useDxfFile() {
  const [file, setFile] = useState<DxfFile>();
  const [mapped, setMapped] = useState<Mapped>();
  const worker = useRef<{ api: Remote<ReadDxfApi>; stop: () => void }>(undefined);
  const stop = useCallback(() => {
    worker.current?.stop();
    worker.current = undefined;
  }, []);
  useEffect(() => stop, [stop]);
  const begin = () => {
    stop();
    const made = new Worker(new URL('../../../workers/read-dxf.ts', import.meta.url), { type: 'module' });
    const api = wrap<ReadDxfApi>(made);
    worker.current = {
      api,
      stop: () => {
        api[releaseProxy]();
        made.terminate();
      },
    };
    return api;
  };
  const open = async (chosen: File): Promise<DxfRead | undefined> => {
    const { name } = chosen;
    setMapped(undefined);
    setFile({ name, state: 'reading' });
    const api = begin();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<'late'>((done) => {
      timer = setTimeout(() => done('late'), LONGEST_MS);
    });
    const reading = chosen.text().then(async (text): Promise<DxfRead | DxfRefusal> => api.read(text, CURVE_TOLERANCE));
    const result = await Promise.race([reading, late]);
    clearTimeout(timer);
    if (result === 'late') {
      stop();
      setFile({ name, state: 'gaveUp' });
      return undefined;
    }
    if ('code' in result) {
      setFile({ name, state: 'refused', refusal: result });
      return undefined;
    }
    setFile({ name, state: 'read', read: result });
    return result;
  };
  const axis = async (
    layers: readonly string[],
    along: 'x' | 'y',
  ): Promise<{ axis: number; why: AxisReason; below: boolean } | undefined> =>
    worker.current?.api.axis([...layers], along);
  const map = async (layers: readonly string[], placing: Placing, unit: LengthUnit): Promise<void> => {
    const made = await worker.current?.api.map([...layers], placing, unit);
    if (made) setMapped(made);
  };
  const close = () => {
    stop();
    setFile(undefined);
    setMapped(undefined);
  };
  return { file, mapped, open, axis, map, close };
}
