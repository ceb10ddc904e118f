import type { Picture, Shape } from '@whelk/core/picture';
import PDFDocument from 'pdfkit';

/** Points of a PDF in a millimetre. */
const PT = 72 / 25.4;
/** Line widths by role, mm: thick outlines, thin everything else. */
const widths: Partial<Record<Shape['role'], number>> = { outline: 0.7 };

/** Font files, woff or ttf, for plain and bold text. */
export interface Fonts {
  readonly plain: Buffer;
  readonly bold: Buffer;
}

function drawText(doc: PDFKit.PDFDocument, shape: Extract<Shape, { kind: 'text' }>, textSize: number): void {
  doc.font(shape.role === 'selectedLabel' ? 'bold' : 'plain').fontSize((shape.size ?? textSize) * PT);
  const wide = doc.widthOfString(shape.text);
  const shift = shape.anchor === 'middle' ? wide / 2 : shape.anchor === 'end' ? wide : 0;
  doc.text(shape.text, shape.at[0] * PT - shift, shape.at[1] * PT, { lineBreak: false, baseline: 'alphabetic' });
}

/**
 * A picture whose units are millimetres as one PDF page of its own size; text stays text, fonts are embedded.
 * @param textSize height of letters that name none, mm
 */
export function pictureToPdf(picture: Picture, title: string, textSize: number, fonts: Fonts): Promise<Buffer> {
  const doc = new PDFDocument({
    size: [picture.width * PT, picture.height * PT],
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
  doc.fillColor('#15191a').strokeColor('#15191a');
  for (const shape of picture.shapes) {
    if (shape.kind === 'text') drawText(doc, shape, textSize);
    else {
      const [first, ...rest] = shape.points;
      if (!first) continue;
      doc.moveTo(first[0] * PT, first[1] * PT);
      for (const [x, y] of rest) doc.lineTo(x * PT, y * PT);
      if (shape.kind === 'polygon') doc.closePath();
      doc.lineWidth((widths[shape.role] ?? 0.25) * PT).stroke();
    }
  }
  doc.end();
  return done;
}
