import { type Picture, pathData, type Role, type Shape } from '@whelk/core/picture';

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
  thin: 'fill="none" stroke="#15191a" stroke-width="0.25"',
  section: 'fill="url(#metal)" stroke="none"',
  void: 'fill="#ffffff" stroke="none"',
  hit: 'fill="none" stroke="none"',
  dimension: 'fill="none" stroke="#15191a" stroke-width="0.25"',
  hatch: 'fill="none" stroke="#15191a" stroke-width="0.18"',
  arrow: 'fill="#15191a" stroke="none"',
  frame: 'fill="none" stroke="#15191a" stroke-width="0.35"',
};

function draw(shape: Shape, textSize: number): string {
  const look = looks[shape.role] ?? 'fill="none" stroke="#15191a" stroke-width="0.25"';
  if (shape.kind === 'path') return `<path d="${pathData(shape.corners, shape.closed, 1)}" ${look}/>`;
  if (shape.kind === 'text')
    return `<text x="${shape.at[0].toFixed(2)}" y="${shape.at[1].toFixed(2)}"${shape.upright ? ` transform="rotate(-90 ${shape.at[0].toFixed(2)} ${shape.at[1].toFixed(2)})"` : ''} font-size="${(shape.size ?? textSize).toFixed(2)}"${shape.role === 'selectedLabel' ? ' font-weight="700"' : ''} text-anchor="${shape.anchor}">${escapeXml(shape.text)}</text>`;
  const points = shape.points.map(([x, y]) => `${x.toFixed(3)},${y.toFixed(3)}`).join(' ');
  return `<${shape.kind} points="${points}" ${look}/>`;
}

/** A picture as a standing-alone SVG file whose units are millimetres on paper. */
export function pictureToSvg(picture: Picture, title: string, textSize: number): string {
  const { width, height } = picture;
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" font-family="Barlow, sans-serif" fill="#15191a"><title>${escapeXml(title)}</title><defs><pattern id="metal" width="2.5" height="2.5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><rect width="2.5" height="2.5" fill="#ffffff"/><line x1="0" y1="0" x2="0" y2="2.5" stroke="#15191a" stroke-width="0.18"/></pattern></defs>${picture.shapes.map((s) => draw(s, textSize)).join('')}</svg>\n`;
}
