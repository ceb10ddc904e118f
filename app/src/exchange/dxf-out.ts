import {
  Colors,
  DxfWriter,
  LWPolylineFlags,
  type LWPolylineVertex,
  point2d,
  point3d,
  TextHorizontalAlignment,
  TextVerticalAlignment,
  Units,
} from '@tarikjabiri/dxf';
import type { Corner } from '@whelk/core/contour';
import { insideProfiles, outsideProfile, type Part } from '@whelk/core/part';
import type { Picture, Role } from '@whelk/core/picture';

type Unit = 'mm' | 'in';
const perUnit = (unit: Unit): number => (unit === 'mm' ? 1 : 25.4);

/** Layers of a file, each with the colour and line that its shapes have. */
const LAYERS = {
  OUTLINE: [Colors.White, 'CONTINUOUS'],
  INSIDE: [Colors.White, 'CONTINUOUS'],
  THIN: [Colors.Cyan, 'CONTINUOUS'],
  HATCH: [Colors.Cyan, 'CONTINUOUS'],
  CENTRELINE: [Colors.Red, 'CHAIN'],
  SIZES: [Colors.Green, 'CONTINUOUS'],
  FRAME: [Colors.White, 'CONTINUOUS'],
} as const;
type Layer = keyof typeof LAYERS;

function begin(unit: Unit, layers: readonly Layer[]): DxfWriter {
  const dxf = new DxfWriter();
  dxf.setUnits(unit === 'mm' ? Units.Millimeters : Units.Inches);
  dxf.setVariable('$MEASUREMENT', { 70: unit === 'mm' ? 1 : 0 });
  const k = 1 / perUnit(unit);
  dxf.addLType('CHAIN', 'long dash and dot', [8 * k, -1.5 * k, 1.5 * k, -1.5 * k]);
  for (const name of layers) dxf.addLayer(name, LAYERS[name][0], LAYERS[name][1]);
  return dxf;
}

const vertices = (corners: readonly Corner[], unit: Unit): LWPolylineVertex[] =>
  corners.map((c) => ({
    point: point2d(c.zMm / perUnit(unit), c.rMm / perUnit(unit)),
    ...(c.bulge ? { bulge: c.bulge } : {}),
  }));

/**
 * The outlines of a part as a DXF file: half profiles above the axis with true arcs, the headstock end at 0, 0.
 * @param unit of the file's figures; the header says which
 */
export function outlineDxf(part: Part, unit: Unit): string {
  const dxf = begin(unit, ['OUTLINE', 'INSIDE', 'CENTRELINE']);
  dxf.addLWPolyline(vertices(outsideProfile(part), unit), { layerName: 'OUTLINE' });
  for (const hole of insideProfiles(part)) dxf.addLWPolyline(vertices(hole, unit), { layerName: 'INSIDE' });
  const [from, to] = [-3 / perUnit(unit), (part.lengthMm + 3) / perUnit(unit)];
  dxf.addLine(point3d(from, 0), point3d(to, 0), { layerName: 'CENTRELINE' });
  return dxf.stringify();
}

const layerOf: Partial<Record<Role, Layer>> = {
  outline: 'OUTLINE',
  edge: 'OUTLINE',
  thin: 'THIN',
  hatch: 'HATCH',
  stock: 'THIN',
  centreline: 'CENTRELINE',
  dimension: 'SIZES',
  arrow: 'SIZES',
  label: 'SIZES',
  selectedLabel: 'SIZES',
  frame: 'FRAME',
};
/** Height of capitals as a share of the letters' square, of the typeface that the sheet was laid out for. */
const CAPITALS = 0.7;

/** Signs that the simple fonts of drawing programs know by codes of their own. */
const dxfText = (text: string): string =>
  [...text.replaceAll('Ø', '%%c').replaceAll('±', '%%p').replaceAll('°', '%%d')]
    .map((c) =>
      c.charCodeAt(0) > 126
        ? (({ '×': 'x', '–': '-', '−': '-', '…': '...' } as Record<string, string>)[c] ??
          `\\U+${c.charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')}`)
        : c,
    )
    .filter((c) => c >= ' ')
    .join('');

/**
 * A dimensioned drawing as a DXF file at the part's true size: the sheet's own lines, arcs and texts, grown to the part.
 * Sizes are lines and texts, so that every reader shows them alike.
 * @param pages of the sheet, one under the other
 */
export function sheetDxf(pages: readonly Picture[], unit: Unit): string {
  const dxf = begin(unit, Object.keys(LAYERS) as Layer[]);
  for (const [n, page] of pages.entries()) {
    const k = 1 / page.unitsPerMm / perUnit(unit);
    const [ox, oy] = page.origin;
    const at = (x: number, y: number) => point2d((x - ox) * k, (oy - y - n * (page.height + 20)) * k);
    for (const shape of page.shapes) {
      const layerName = layerOf[shape.role];
      if (!layerName) continue;
      if (shape.kind === 'text') {
        const point = at(...shape.at);
        const align = {
          start: TextHorizontalAlignment.Left,
          middle: TextHorizontalAlignment.Center,
          end: TextHorizontalAlignment.Right,
        }[shape.anchor];
        dxf.addText(point3d(point.x, point.y), (shape.size ?? 3) * CAPITALS * k, dxfText(shape.text), {
          layerName,
          rotation: shape.upright ? 90 : 0,
          relativeXScaleFactor: 0.85,
          ...(shape.anchor === 'start'
            ? {}
            : {
                horizontalAlignment: align,
                verticalAlignment: TextVerticalAlignment.BaseLine,
                secondAlignmentPoint: point3d(point.x, point.y),
              }),
        });
        continue;
      }
      // paper counts y downwards, the file upwards: arcs turn the other way round
      const corners: LWPolylineVertex[] =
        shape.kind === 'path'
          ? shape.corners.map((c) => ({ point: at(c.x, c.y), ...(c.bulge ? { bulge: -c.bulge } : {}) }))
          : shape.points.map(([x, y]) => ({ point: at(x, y) }));
      const closed = shape.kind === 'polygon' || (shape.kind === 'path' && shape.closed);
      dxf.addLWPolyline(corners, { layerName, flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None });
    }
  }
  return dxf.stringify();
}
