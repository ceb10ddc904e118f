import type { AxisReason } from '@whelk/core/trace';
import { plain, text, type Wording } from './wording.ts';

/** What became of a kind of thing in a DXF file. */
export const dxfHow: Record<string, string> = {
  taken: 'taken up',
  followed: 'followed by arcs within the tolerance',
  unknown: 'left out: no outline can be made of it',
  notFlat: 'left out: not in one plane',
  notANumber: 'left out: its figures are no numbers, or no size',
  noLength: 'left out: it has no length',
  tooDeep: 'left out: blocks lie too deep in one another',
};

export const axisReason: Record<AxisReason, string> = {
  centreline: 'on the line of a layer for centrelines',
  symmetric: 'in the middle: both halves are drawn',
  origin: 'at the file’s own zero: the half profile is open at its ends',
  bottom: 'along the lower edge: one half is drawn',
};

/** What can be wrong with a file from elsewhere, and with the outlines in it. */
export const exchangeWordings = {
  'dxf.notDxf': () => ({ what: 'This is no DXF file.', right: 'Choose a file that was saved as DXF in text form.' }),
  'dxf.binary': () => ({
    what: 'This DXF file is in binary form.',
    right: 'Save it as DXF in text form (ASCII) and choose that one.',
  }),
  'dxf.tooLarge': (p) => ({
    what: `The file has ${(Number(p.value) / 1e6).toFixed(0)} MB.`,
    right: `Up to ${(Number(p.limit) / 1e6).toFixed(0)} MB are read: save the outline alone.`,
  }),
  'dxf.tooMany': (p) => ({
    what: 'The file holds more than any drawing of a turned part.',
    right: `Up to ${plain(p.limit)} lines and arcs are read: save the outline alone.`,
  }),
  'dxf.broken': () => ({
    what: 'The file breaks off or is damaged.',
    right: 'Save it anew in the program that made it, and choose it again.',
  }),
  'dxf.empty': (p) => ({
    what: `No line or arc is in the file${p.value ? `, only ${plain(p.value)}` : ''}.`,
    right: 'Save the outline as lines, arcs or polylines.',
  }),
  'trace.scale': (p) => ({ what: `${text(p)} is no scale.`, right: 'Type 1:2 for half size, 2:1 for double size.' }),
  'trace.nothing': () => ({
    what: 'No layer with lines is chosen.',
    right: 'Choose the layer that the outline is on.',
  }),
  'trace.broken': (p, u) => ({
    what: `The outline ends at ${u.len(p.value)} along and ${u.len(p.limit)} from the axis.`,
    right: 'Check the axis and the layers; close the gap there, or leave out what does not belong to the part.',
  }),
  'trace.facesAdded': () => ({
    what: 'The profile is open at its ends: faces were drawn from there to the axis.',
    right: 'Check that the axis lies where it should, and the diameters that come out of it.',
  }),
  'trace.gapsClosed': (p, u) => ({
    what: `Gaps of up to ${u.len(p.limit)} were closed.`,
    right: 'Check the sizes that come out of it.',
  }),
  'trace.goesBack': (p, u) => ({
    what: `At ${u.len(p.value)} the outline goes back under itself.`,
    right: 'Draw what lies under an edge as a groove after this.',
  }),
  'trace.point': (p, u) => ({
    what: `At ${u.len(p.value)} the outline comes to a point on the axis.`,
    right: 'Give the cone a small end diameter, as it is made.',
  }),
  'trace.widens': (p, u) => ({
    what: `At ${u.len(p.value)} the hole widens inwards as a cone.`,
    right: 'Draw it from the other end, or as steps.',
  }),
  'trace.tooManyFeatures': (p) => ({
    what: `The outline has ${text(p)} lengths.`,
    right: `A drawing holds ${plain(p.limit)}: leave out what is no outline.`,
  }),
} satisfies Record<string, Wording>;
