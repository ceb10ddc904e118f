import type { Picture, Role, Shape } from '@whelk/core/picture';

const escapes: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };
/** Characters that XML 1.0 allows at all. */
const allowedInXml = (c: string): boolean =>
  c >= ' ' ? c !== '\ufffe' && c !== '\uffff' : c === '\t' || c === '\n' || c === '\r';
/** Text made safe for XML; control characters that XML forbids are dropped. */
export const escapeXml = (text: string): string =>
  [...text]
    .filter(allowedInXml)
    .join('')
    .replace(/[&<>"']/g, (c) => escapes[c]!);

const looks: Partial<Record<Role, string>> = {
  outline: 'fill="none" stroke="#15191a" stroke-width="0.7"',
  edge: 'fill="none" stroke="#15191a" stroke-width="0.25"',
  selected: 'fill="none" stroke="#15191a" stroke-width="0.25"',
  body: 'fill="#ffffff" stroke="none"',
  centreline: 'fill="none" stroke="#15191a" stroke-width="0.25" stroke-dasharray="8 1.5 1.5 1.5"',
  dimension: 'fill="none" stroke="#15191a" stroke-width="0.25"',
};

function draw(shape: Shape, textSize: number): string {
  if (shape.kind === 'text')
    return `<text x="${shape.at[0].toFixed(2)}" y="${shape.at[1].toFixed(2)}" font-size="${(shape.size ?? textSize).toFixed(2)}"${shape.role === 'selectedLabel' ? ' font-weight="700"' : ''} text-anchor="${shape.anchor}">${escapeXml(shape.text)}</text>`;
  const points = shape.points.map(([x, y]) => `${x.toFixed(3)},${y.toFixed(3)}`).join(' ');
  return `<${shape.kind} points="${points}" ${looks[shape.role] ?? 'fill="none" stroke="#15191a" stroke-width="0.25"'}/>`;
}

/** A picture as a standing-alone SVG file whose units are millimetres on paper. */
export function pictureToSvg(picture: Picture, title: string, textSize: number): string {
  const { width, height } = picture;
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" font-family="Barlow, sans-serif" fill="#15191a"><title>${escapeXml(title)}</title>${picture.shapes.map((s) => draw(s, textSize)).join('')}</svg>\n`;
}
