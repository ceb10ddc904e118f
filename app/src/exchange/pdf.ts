import { type Picture, pathData, type Shape } from '@whelk/core/picture';
import PDFDocument from 'pdfkit';

/** Points of a PDF in a millimetre. */
const PT = 72 / 25.4;
/** Line widths by role, mm: thick outlines, thin everything else. */
const widths: Partial<Record<Shape['role'], number>> = { outline: 0.6, hatch: 0.18, frame: 0.35 };
/** Dashes and gaps of chain-dotted lines, mm. */
const CHAIN = [8, 1.5, 1.5, 1.5];
/** What is only there for screens. */
const UNPRINTED = new Set<Shape['role']>(['body', 'void', 'hit', 'section']);

/** Font files, woff or ttf, for plain and bold text. */
export interface Fonts {
  readonly plain: Buffer;
  readonly bold: Buffer;
}

function drawText(doc: PDFKit.PDFDocument, shape: Extract<Shape, { kind: 'text' }>, textSize: number): void {
  doc.font(shape.role === 'selectedLabel' ? 'bold' : 'plain').fontSize((shape.size ?? textSize) * PT);
  const wide = doc.widthOfString(shape.text);
  const shift = shape.anchor === 'middle' ? wide / 2 : shape.anchor === 'end' ? wide : 0;
  const [x, y] = [shape.at[0] * PT, shape.at[1] * PT];
  if (shape.upright) doc.save().rotate(-90, { origin: [x, y] });
  doc.text(shape.text, x - shift, y, { lineBreak: false, baseline: 'alphabetic' });
  if (shape.upright) doc.restore();
}

function drawLine(doc: PDFKit.PDFDocument, shape: Exclude<Shape, { kind: 'text' }>): void {
  if (shape.kind === 'path') doc.path(pathData(shape.corners, shape.closed, PT));
  else {
    const [first, ...rest] = shape.points;
    if (!first) return;
    doc.moveTo(first[0] * PT, first[1] * PT);
    for (const [x, y] of rest) doc.lineTo(x * PT, y * PT);
    if (shape.kind === 'polygon') doc.closePath();
  }
  if (shape.role === 'arrow') {
    doc.fill();
    return;
  }
  doc.lineWidth((widths[shape.role] ?? 0.25) * PT);
  // an array is taken at run time, the types know one length only
  if (shape.role === 'centreline') doc.dash(CHAIN.map((mm) => mm * PT) as unknown as number, {});
  doc.stroke();
  if (shape.role === 'centreline') doc.undash();
}

/**
 * Pictures whose units are millimetres as the pages of a PDF, each of its own size; text stays text, fonts are embedded.
 * @param textSize height of letters that name none, mm
 */
export function pictureToPdf(
  pictures: Picture | readonly Picture[],
  title: string,
  textSize: number,
  fonts: Fonts,
): Promise<Buffer> {
  const doc = new PDFDocument({
    autoFirstPage: false,
    margin: 0,
    info: { Title: title, Creator: 'Whelk', Producer: 'Whelk' },
  });
  doc.registerFont('plain', fonts.plain).registerFont('bold', fonts.bold);
  const chunks: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.once('end', () => resolve(Buffer.concat(chunks)));
    doc.once('error', reject);
  });
  for (const picture of [pictures].flat() as Picture[]) {
    doc.addPage({ size: [picture.width * PT, picture.height * PT], margin: 0 });
    doc.fillColor('#15191a').strokeColor('#15191a');
    for (const shape of picture.shapes) {
      if (UNPRINTED.has(shape.role)) continue;
      if (shape.kind === 'text') drawText(doc, shape, textSize);
      else drawLine(doc, shape);
    }
  }
  doc.end();
  return done;
}
