import { performance } from 'node:perf_hooks';
import { DxfWriter, point3d, Units } from '@tarikjabiri/dxf';
import { newJob, planJob } from '@whelk/core/job';
import { outsideProfile, outsides, resolveDrawing } from '@whelk/core/part';
import { stripPicture } from '@whelk/core/picture';
import { drawingSheets } from '@whelk/core/sheet';
import { drawingFromOutlines, guessAxis, traceOutlines } from '@whelk/core/trace';
import { median, row } from '../../core/bench/measure.ts';
import { drawingOf, feature } from '../../core/src/testing/shop.ts';
import { isDxfRead, readDxf } from '../src/exchange/dxf-in.ts';
import { outlineDxf } from '../src/exchange/dxf-out.ts';
import { sheetWish } from '../src/messages/sheet.ts';

/** What files of a drawing cost, and a keystroke in a long one. */
const sixty = drawingOf(
  Array.from({ length: 60 }, (_, i) => ({
    ...feature(i + 1, 60 - (i % 2) * 4 - i * 0.3, 5, i % 3 ? '' : 'h7'),
    edges: { left: '', right: i % 2 ? '' : '0.5' },
  })),
);
const shop = { lathes: [], bars: [], tools: [], instruments: [], materials: [] };
const job = {
  ...newJob('Sixty', 'mm', {
    unit: 'mm',
    school: 'conditions',
    tools: 'hss',
    generalClass: 'm',
    keys: true,
    policy: undefined as never,
  }),
  drawing: sixty,
};
let stroke = 0;
row(
  'keystroke to picture, 60 features',
  `${median(60, () => {
    stroke++;
    const features = sixty.features.with(7, {
      ...sixty.features[7]!,
      diameter: { text: `4${stroke % 10}.5`, unit: 'mm' },
    });
    const planned = planJob({ ...job, drawing: { ...sixty, features } }, shop);
    return stripPicture(planned.part, {
      ...{ width: 1240, height: 236, textSize: 15, faces: planned.faces, overall: 'x' },
      labels: outsides(planned.part).map((f) => ({ id: f.id, text: `Ø${features[f.index]!.diameter.text}` })),
    });
  }).toFixed(2)} ms`,
  'target < 16 ms (with the page: see below)',
);
const resolved = resolveDrawing(sixty);
const wish = sheetWish(job, 'Steel', '2026-01-05', { paper: 'A3', lying: true, both: false });
row(
  'printed drawing of 60 features, A3',
  `${median(20, () => drawingSheets(sixty, resolved, wish)).toFixed(1)} ms`,
  '',
);

/** A file as another program might write it: an outline of many steps, and thousands of lines of hatching and notes. */
function large(entities: number): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.addLayer('OUTLINE', 7);
  dxf.addLayer('HATCH', 8);
  const corners = outsideProfile(resolved.part);
  for (let i = 1; i < corners.length; i++)
    dxf.addLine(point3d(corners[i - 1]!.zMm, corners[i - 1]!.rMm), point3d(corners[i]!.zMm, corners[i]!.rMm), {
      layerName: 'OUTLINE',
    });
  for (let i = corners.length; i < entities; i++)
    dxf.addLine(point3d((i % 290) + 0.37, ((i * 7) % 19) + 0.21), point3d((i % 290) + 0.97, ((i * 7) % 19) + 0.81), {
      layerName: i % 2 ? 'HATCH' : 'OUTLINE',
    });
  return dxf.stringify();
}
const text = large(10_000);
const whole = () => {
  const read = readDxf(text, 0.002);
  if (!isDxfRead(read)) throw new Error(read.code);
  const chosen = new Set(read.layers.filter((l) => l.chosen).map((l) => l.name));
  const strokes = read.strokes.filter((s) => chosen.has(s.layer));
  const { axis, below } = guessAxis(strokes, read.strokes, 'x');
  const made = drawingFromOutlines(
    traceOutlines(strokes, { mmPerUnit: 1, along: 'x', axis, below, turned: false }),
    'mm',
  );
  if (made.drawing.features.length !== 60) throw new Error(`${made.drawing.features.length} features`);
};
row('DXF of 10 000 entities, read and traced', `${median(9, whole).toFixed(0)} ms`, 'target < 300 ms');
row('DXF of an outline, written', `${median(30, () => outlineDxf(resolved.part, 'mm')).toFixed(2)} ms`, '');
const million = `  0\nSECTION\n  2\nENTITIES\n${'  0\nPOINT\n'.repeat(1_000_000)}  0\nENDSEC\n  0\nEOF\n`;
const began = performance.now();
readDxf(million, 0.002);
row('a million entities refused after', `${(performance.now() - began).toFixed(0)} ms`, '');
