import type { Drawing } from '@whelk/core/part';
import type { LengthUnit, Problem } from '@whelk/core/quantity';
import {
  drawingFromOutlines,
  guessAxis,
  type Placing,
  type Stroke,
  type Traced,
  traceOutlines,
} from '@whelk/core/trace';
import { expose } from 'comlink';
import { type DxfRead, type DxfRefusal, isDxfRead, readDxf } from '../exchange/dxf-in.ts';

export interface Mapped {
  readonly traced: Traced;
  readonly drawing: Drawing;
  readonly problems: readonly Problem[];
}
let strokes: readonly Stroke[] = [];
const of = (layers: readonly string[]): readonly Stroke[] => strokes.filter((s) => layers.includes(s.layer));

const api = {
  /** Reads a file and keeps its strokes for what comes after. @param tolerance in the file's unit */
  read(text: string, tolerance: number): DxfRead | DxfRefusal {
    const read = readDxf(text, tolerance);
    strokes = isDxfRead(read) ? read.strokes : [];
    return read;
  },
  axis(layers: readonly string[], along: 'x' | 'y'): ReturnType<typeof guessAxis> {
    return guessAxis(of(layers), strokes, along);
  },
  map(layers: readonly string[], placing: Placing, unit: LengthUnit): Mapped {
    const traced = traceOutlines(of(layers), placing);
    return { traced, ...drawingFromOutlines(traced, unit) };
  },
};
export type ReadDxfApi = typeof api;
expose(api);
