import { inflateSync } from 'node:zlib';

const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;

/**
 * The plain font inside a WOFF file, unpacked once: reading it packed inflates its tables anew for each page.
 * @param woff a WOFF 1.0 file
 * @throws RangeError when it is none
 * @source W3C WOFF File Format 1.0, table directory; OpenType offset table
 */
export function unpackWoff(woff: Buffer): Buffer {
  if (woff.toString('latin1', 0, 4) !== 'wOFF') throw new RangeError('not a WOFF file');
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = WOFF_HEADER + i * WOFF_ENTRY;
    const [offset, packed, length] = [4, 8, 12].map((o) => woff.readUInt32BE(at + o)) as [number, number, number];
    const body = woff.subarray(offset, offset + packed);
    return {
      head: woff.subarray(at, at + 4),
      sum: woff.readUInt32BE(at + 16),
      length,
      body,
      isPacked: packed < length,
    };
  });
  const padded = (length: number) => (length + 3) & ~3;
  const out = Buffer.alloc(
    SFNT_HEADER + count * SFNT_ENTRY + tables.reduce((sum, table) => sum + padded(table.length), 0),
  );
  woff.copy(out, 0, 4, 8);
  const power = 2 ** Math.floor(Math.log2(count));
  out.writeUInt16BE(count, 4);
  out.writeUInt16BE(power * 16, 6);
  out.writeUInt16BE(Math.log2(power), 8);
  out.writeUInt16BE((count - power) * 16, 10);
  let at = SFNT_HEADER + count * SFNT_ENTRY;
  for (const [i, table] of tables.entries()) {
    const entry = SFNT_HEADER + i * SFNT_ENTRY;
    table.head.copy(out, entry);
    out.writeUInt32BE(table.sum, entry + 4);
    out.writeUInt32BE(at, entry + 8);
    out.writeUInt32BE(table.length, entry + 12);
    (table.isPacked ? inflateSync(table.body) : table.body).copy(out, at);
    at += padded(table.length);
  }
  return out;
}
