import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { flatten, radiiAt } from '@whelk/core/contour';
import { storedJobSchema } from '@whelk/core/job';
import { type Drawing, insideProfiles, outsideProfile, resolveDrawing } from '@whelk/core/part';
import { drawingSheets } from '@whelk/core/sheet';
import { drawingFromOutlines, guessAxis, traceOutlines } from '@whelk/core/trace';
import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { sheetWish } from '../messages/sheet.ts';
import { type DxfRead, isDxfRead, MOST_ENTITIES, readDxf } from './dxf-in.ts';
import { outlineDxf, sheetDxf } from './dxf-out.ts';

const shop = JSON.parse(readFileSync(new URL('../../../demo/shop.json', import.meta.url), 'utf8'));
const jobs = (shop.jobs as { job?: unknown }[]).map((j) => storedJobSchema.parse(j.job ?? j));

const taken = (text: string): DxfRead => {
  const read = readDxf(text, 0.001);
  if (!isDxfRead(read)) throw new Error(JSON.stringify(read));
  return read;
};
const drawn = (read: DxfRead, unit: 'mm' | 'in' = 'mm') => {
  const chosen = new Set(read.layers.filter((l) => l.chosen).map((l) => l.name));
  const strokes = read.strokes.filter((s) => chosen.has(s.layer));
  const { axis, below } = guessAxis(strokes, read.strokes, 'x');
  return drawingFromOutlines(
    traceOutlines(strokes, { mmPerUnit: read.mmPerUnit ?? 1, along: 'x', axis, turned: false, below }),
    unit,
  );
};
/** Largest difference of two drawings' outlines along their whole length, mm on the radius. */
function apart(a: Drawing, b: Drawing): number {
  const [one, two] = [a, b].map((d) => resolveDrawing(d).part);
  let most = Math.abs(one!.lengthMm - two!.lengthMm);
  const paths = [one!, two!].map((p) => [outsideProfile(p), ...insideProfiles(p)].map((c) => flatten(c, 0.00005)));
  for (const [i, path] of paths[0]!.entries())
    for (let z = 0.0137; z < one!.lengthMm; z += 0.0971) {
      const [x, y] = [radiiAt(path, z), paths[1]![i] && radiiAt(paths[1]![i]!, z)];
      if (x && y) most = Math.max(most, Math.abs(x.most - y.most), Math.abs(x.least - y.least));
      else if (x || y) most = Math.max(most, 1);
    }
  return most;
}

describe('a drawing as DXF', () => {
  it('comes back within a thousandth of a millimetre, in millimetres and inches', () => {
    for (const job of jobs)
      for (const unit of ['mm', 'in'] as const) {
        const text = outlineDxf(resolveDrawing(job.drawing).part, unit);
        const read = taken(text);
        expect(read.mmPerUnit).toBe(unit === 'mm' ? 1 : 25.4);
        const again = drawn(read, job.drawing.unit);
        expect(again.problems, job.title).toEqual([]);
        expect(apart(job.drawing, again.drawing), job.title).toBeLessThan(0.001);
      }
  });

  it('is accepted without a fault by a second reader, which sees the same figures', () => {
    const job = jobs.find((j) => j.drawing.bores.left.length > 0)!;
    const resolved = resolveDrawing(job.drawing);
    const wish = sheetWish(job, 'Leaded bronze ±', '2026-01-05', { paper: 'A4', lying: true, both: true });
    const sheets = drawingSheets(job.drawing, resolved, wish)!;
    const script = `
import sys, json, io, ezdxf
from ezdxf import bbox
out = []
for text in json.load(sys.stdin):
    doc = ezdxf.read(io.StringIO(text))
    audit = doc.audit()
    msp = doc.modelspace()
    box = bbox.extents(msp.query('*[layer=="OUTLINE"]'))
    out.append({"errors": len(audit.errors), "fixes": len(audit.fixes), "units": doc.units, "layers": sorted({e.dxf.layer for e in msp}),
      "box": [box.extmin.x, box.extmin.y, box.extmax.x, box.extmax.y],
      "outline": [[p[0], p[1], p[4]] for p in msp.query('LWPOLYLINE[layer=="OUTLINE"]')[0].get_points()],
      "texts": [e.plain_text() for e in msp.query('TEXT')]})
print(json.dumps(out))`;
    const files = [outlineDxf(resolved.part, 'mm'), sheetDxf(sheets.pages, 'mm'), outlineDxf(resolved.part, 'in')];
    // the system's own interpreter, which has the package
    const ran = spawnSync('/usr/bin/python3', ['-c', script], {
      input: JSON.stringify(files),
      encoding: 'utf8',
      maxBuffer: 1e8,
    });
    expect(ran.stderr).toBe('');
    const [outline, sheet, inch] = JSON.parse(ran.stdout);
    for (const file of [outline, sheet, inch]) expect([file.errors, file.fixes]).toEqual([0, 0]);
    expect([outline.units, sheet.units, inch.units]).toEqual([4, 4, 1]);
    // and by a third one
    const third = new DxfParser().parseSync(files[0]!)!.entities.filter((e) => e.layer === 'OUTLINE') as unknown as {
      vertices: unknown[];
    }[];
    expect(third[0]!.vertices).toHaveLength(outsideProfile(resolved.part).length);
    const corners = outsideProfile(resolved.part);
    expect(outline.outline).toHaveLength(corners.length);
    for (const [i, c] of corners.entries()) {
      expect(outline.outline[i][0]).toBeCloseTo(c.zMm, 9);
      expect(outline.outline[i][1]).toBeCloseTo(c.rMm, 9);
      expect(outline.outline[i][2]).toBeCloseTo(c.bulge ?? 0, 9);
      expect(inch.outline[i][0] * 25.4).toBeCloseTo(c.zMm, 9);
    }
    expect(sheet.layers).toEqual(expect.arrayContaining(['CENTRELINE', 'FRAME', 'HATCH', 'OUTLINE', 'SIZES']));
    expect(sheet.texts).toEqual(expect.arrayContaining([job.title, 'Ø30 [1.1811] H7']));
    // the part stands at its true size, whatever the sheet's scale
    expect(sheet.box[2] - Math.min(0, sheet.box[0])).toBeGreaterThan(resolved.part.lengthMm);
    expect(sheet.box[3]).toBeCloseTo(resolved.part.largestMm / 2, 2);
  });

  it('the sheet itself, read again, gives the outline back', () => {
    for (const job of jobs) {
      const resolved = resolveDrawing(job.drawing);
      const sheets = drawingSheets(
        job.drawing,
        resolved,
        sheetWish(job, '', '', { paper: 'A3', lying: true, both: false }),
      )!;
      const read = taken(sheetDxf(sheets.pages, 'mm'));
      expect(read.layers.filter((l) => l.chosen).map((l) => l.name)).toEqual(['OUTLINE']);
      const again = drawn(read);
      expect(
        again.problems.filter((p) => p.severity !== 'warning'),
        job.title,
      ).toEqual([]);
      expect(apart(job.drawing, again.drawing), job.title).toBeLessThan(0.001);
    }
  });
});

const file = (make: (dxf: DxfWriter) => void, units = Units.Millimeters): string => {
  const dxf = new DxfWriter();
  dxf.setUnits(units);
  make(dxf);
  return dxf.stringify();
};
/** A pin's half: up the face, along, a shoulder, along, down to the axis. */
const pin = (dxf: Pick<DxfWriter, 'addLine'>, x = 0, y = 0) => {
  const points = [
    [0, 0],
    [0, 10],
    [30, 10],
    [30, 6],
    [50, 6],
    [50, 0],
  ] as const;
  for (let i = 1; i < points.length; i++)
    dxf.addLine(point3d(points[i - 1]![0] + x, points[i - 1]![1] + y), point3d(points[i]![0] + x, points[i]![1] + y));
};

describe('what other programs write', () => {
  it('lines in no order and either way round, far from zero, without a unit', () => {
    const read = taken(file((d) => pin(d, 1000, -400), Units.Unitless));
    expect(read.mmPerUnit).toBeUndefined();
    const { drawing } = drawn(read);
    expect(drawing.features.map((f) => [f.diameter.text, f.length.text])).toEqual([
      ['20', '30'],
      ['12', '20'],
    ]);
  });
  it('blocks, turned and grown, inside blocks', () => {
    const text = file((d) => {
      const inner = d.addBlock('PIN');
      pin(inner as never);
      const outer = d.addBlock('SHEET');
      outer.addInsert('PIN', point3d(5, 5), { scaleFactor: { x: 2, y: 2, z: 1 } });
      d.addInsert('SHEET', point3d(0, 0), { rotationAngle: 180 });
    });
    const read = taken(text);
    expect(read.counts).toContainEqual({ type: 'INSERT', how: 'taken', count: 2 });
    const strokes = read.strokes;
    const made = drawingFromOutlines(
      traceOutlines(strokes, { mmPerUnit: 1, along: 'x', axis: -5, turned: false, below: false }),
      'mm',
    );
    // turned by half a turn it lies below its axis: nothing above, and that is said
    expect(made.problems[0]!.code).toMatch(/^trace\./);
    const flipped = strokes.map((s) => ({
      ...s,
      a: [s.a[0], -s.a[1]] as const,
      b: [s.b[0], -s.b[1]] as const,
      bulge: -s.bulge,
    }));
    const { drawing } = drawingFromOutlines(
      traceOutlines(flipped, { mmPerUnit: 1, along: 'x', axis: 5, turned: true, below: false }),
      'mm',
    );
    expect(drawing.features.map((f) => [f.diameter.text, f.length.text])).toEqual([
      ['40', '60'],
      ['24', '40'],
    ]);
  });
  it('ellipses and splines, followed within the tolerance and named', () => {
    const text = file((d) => {
      d.addLine(point3d(0, 0), point3d(0, 10));
      d.addEllipse(point3d(20, 10), point3d(20, 0), 0.2, Math.PI / 2, Math.PI);
      d.addLine(point3d(20, 14), point3d(20, 0));
      d.addSpline({ controlPoints: [point3d(20, 14), point3d(25, 14), point3d(28, 12), point3d(30, 8)] });
    });
    const read = taken(text);
    expect(read.counts).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ type: 'ELLIPSE', how: 'followed' }),
        expect.objectContaining({ type: 'SPLINE', how: 'followed' }),
      ]),
    );
    for (const s of read.strokes.filter((s) => s.a[0] < 19.9 && s.a[1] > 9.9 && s.a[0] > 0.01)) {
      // every joint of the arcs lies on the ellipse
      expect(((s.a[0] - 20) / 20) ** 2 + ((s.a[1] - 10) / 4) ** 2).toBeCloseTo(1, 6);
    }
    const spline = read.strokes.filter((s) => s.a[0] > 20.0001 || s.b[0] > 20.0001);
    expect(spline.at(-1)!.b[0]).toBeCloseTo(30, 6);
    expect(spline.at(-1)!.b[1]).toBeCloseTo(8, 6);
  });
  it('what is no flat line is left out and counted: text, solids, lines in space, nothing, not a number', () => {
    const text = file((d) => {
      pin(d);
      d.addText(point3d(0, 0), 3, 'Ø20');
      d.addLine(point3d(0, 0, 0), point3d(1, 1, 5));
      d.addLine(point3d(7, 7), point3d(7, 7));
      d.addLine(point3d(Number.NaN, 7), point3d(7, 8));
      d.addCircle(point3d(0, 0), 0);
    });
    const { counts, strokes } = taken(text);
    expect(strokes).toHaveLength(5);
    const count = (type: string, how: string) => counts.find((c) => c.type === type && c.how === how)?.count;
    expect(count('LINE', 'taken')).toBe(5);
    expect(count('LINE', 'notFlat')).toBe(1);
    expect(count('LINE', 'noLength')).toBe(1);
    expect(count('LINE', 'notANumber')).toBe(1);
    expect(count('TEXT', 'unknown')).toBe(1);
    expect(count('CIRCLE', 'notANumber')).toBe(1);
  });
});

describe('files of another writer', () => {
  it('lines, arcs, ellipses, weighted splines, blocks from behind and old polylines are where that writer says they are', () => {
    const script = `
import sys, json, io, ezdxf, math
doc = ezdxf.new('R2000'); doc.units = 4
m = doc.modelspace()
m.add_line((0, 0), (0, 8))
m.add_arc((4, 8), 4, 90, 180)
m.add_line((4, 12), (20, 12))
m.add_ellipse((20, 8), (8, 0), 0.5, 0, math.pi/2)
m.add_line((28, 8), (28, 0))
s = m.add_rational_spline([(40, 0), (40, 10), (50, 10)], [1, math.sqrt(0.5), 1], degree=2, knots=[0,0,0,1,1,1])
b = doc.blocks.new('B', base_point=(1, 1))
b.add_lwpolyline([(1, 1, 0, 0, 0.5), (3, 1, 0, 0, 0)])
m.add_blockref('B', (100, 100), dxfattribs={'rotation': 90, 'xscale': 2, 'yscale': 2})
p = m.add_lwpolyline([(60, 0, 0, 0, 1), (70, 0, 0, 0, 0)]); p.dxf.extrusion = (0, 0, -1)
old = doc.blocks.new('OLD')
m.add_polyline2d([(200, 0), (210, 0), (210, 5)], close=True)
m.add_text('Ø')
doc.header['$INSUNITS'] = 4
out = io.StringIO(); doc.write(out); print(out.getvalue())`;
    const text = spawnSync('/usr/bin/python3', ['-c', script], { encoding: 'utf8', maxBuffer: 1e8 }).stdout;
    const { strokes, counts, mmPerUnit } = taken(text);
    expect(mmPerUnit).toBe(1);
    expect(counts).toContainEqual({ type: 'TEXT', how: 'unknown', count: 1 });
    const near = (x: number, y: number) =>
      strokes.filter((s) => [s.a, s.b].some((p) => Math.hypot(p[0] - x, p[1] - y) < 1e-6));
    // a quarter arc in a corner, and a quarter ellipse between a line's end and the face
    expect(near(0, 8)).toHaveLength(2);
    expect(near(4, 12)).toHaveLength(2);
    expect(near(20, 12)).toHaveLength(2);
    expect(near(28, 8)).toHaveLength(2);
    // a weighted spline that is a quarter circle exactly: all joints at 10 from its middle
    const round = strokes.filter((s) => s.a[0] >= 40 && s.a[0] < 51);
    for (const s of round) expect(Math.hypot(s.a[0] - 50, s.a[1])).toBeCloseTo(10, 6);
    // turned by a quarter and grown twice about its base point
    expect(near(100, 100)).toHaveLength(1);
    expect(near(100, 104)[0]!.bulge).toBeCloseTo(0.5, 9);
    // seen from behind: mirrored, its arc to the other side
    expect(near(-60, 0)[0]!.bulge).toBeCloseTo(-1, 9);
    // closed by the line back to its first vertex
    expect(near(200, 0)).toHaveLength(2);
    // the corner part alone is a drawing: an arc into a cylinder, an ellipse as arcs
    const corner = strokes.filter((s) => s.a[0] <= 28.001 && s.b[0] <= 28.001 && s.a[0] >= 0 && s.b[0] >= 0);
    const made = drawingFromOutlines(
      traceOutlines(corner, { mmPerUnit: 1, along: 'x', axis: 0, turned: false, below: false }),
      'mm',
    );
    expect(made.problems).toEqual([]);
    expect(made.drawing.features[0]).toMatchObject({
      diameter: { text: '24' },
      length: { text: '20' },
      edges: { left: 'R4' },
    });
    expect(made.drawing.features.slice(1).every((f) => f.kind === 'arc')).toBe(true);
  });
});

describe('hostile and broken files', () => {
  const within = (text: string) => {
    const began = performance.now();
    const read = readDxf(text, 0.01);
    // bounded: far from seconds upon seconds, on a slow machine too
    expect(performance.now() - began).toBeLessThan(20_000);
    return read;
  };
  const code = (text: string) => {
    const read = within(text);
    return isDxfRead(read) ? 'read' : read.code;
  };
  it('are refused by name', () => {
    expect(code('')).toBe('dxf.notDxf');
    expect(code('<svg xmlns="http://www.w3.org/2000/svg"/>')).toBe('dxf.notDxf');
    expect(code('  0\nSECTION\n\0\0\0')).toBe('dxf.binary');
    expect(code('x'.repeat(24_000_001))).toBe('dxf.tooLarge');
    const good = file((d) => pin(d));
    expect(code(good.slice(0, good.length * 0.6))).toMatch(/^dxf\.(broken|empty)$/);
    expect(code(file((d) => d.addText(point3d(0, 0), 3, 'only words')))).toBe('dxf.empty');
  });
  it('with a million entities end at once', () => {
    const many = `  0\nSECTION\n  2\nENTITIES\n${'  0\nPOINT\n'.repeat(1_000_000)}  0\nENDSEC\n  0\nEOF\n`;
    expect(code(many)).toBe('dxf.tooMany');
    expect(
      code(
        file((d) =>
          d.addLWPolyline(Array.from({ length: MOST_ENTITIES + 10 }, (_, i) => ({ point: point2d(i, i % 7) }))),
        ),
      ),
    ).toBe('dxf.tooMany');
  });
  it('with blocks that hold themselves, or one another a thousandfold, end', () => {
    const self = file((d) => {
      const a = d.addBlock('A');
      a.addInsert('B', point3d(0, 0));
      const b = d.addBlock('B');
      b.addInsert('A', point3d(1, 0));
      pin(b as never);
      d.addInsert('A', point3d(0, 0));
    });
    expect(within(self)).toMatchObject({
      counts: expect.arrayContaining([expect.objectContaining({ how: 'tooDeep' })]),
    });
    const bomb = file((d) => {
      for (let level = 0; level < 8; level++) {
        const block = d.addBlock(`L${level}`);
        if (level === 0) block.addLine(point3d(0, 0), point3d(1, 1));
        else for (let i = 0; i < 40; i++) block.addInsert(`L${level - 1}`, point3d(i, 0));
      }
      d.addInsert('L7', point3d(0, 0));
    });
    expect(code(bomb)).toBe('dxf.tooMany');
  });
  it('with bits changed anywhere never throw, and never make an outline that is not closed', () => {
    const good = outlineDxf(resolveDrawing(jobs[0]!.drawing).part, 'mm').split('\n');
    let seed = 20260112;
    const next = (n: number) => {
      seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648;
      return seed % n;
    };
    const junk = ['0', '-1', '1e308', 'NaN', 'LINE', 'ENDSEC', '', '70', '999999999', 'Ø', '42'];
    for (let run = 0; run < 300; run++) {
      const lines = [...good];
      for (let k = 0; k < 1 + next(4); k++) lines[next(lines.length)] = junk[next(junk.length)]!;
      const read = within(lines.join('\n'));
      if (!isDxfRead(read)) continue;
      const { drawing, problems } = drawn(read);
      if (problems.some((p) => p.severity !== 'warning')) continue;
      const resolved = resolveDrawing(drawing);
      if (resolved.problems.some((p) => p.severity !== 'warning')) continue;
      const path = outsideProfile(resolved.part);
      expect([path[0]!.rMm, path.at(-1)!.rMm]).toEqual([0, 0]);
      expect(path.every((c) => Number.isFinite(c.zMm) && c.rMm >= -1e-9)).toBe(true);
    }
  });
});
