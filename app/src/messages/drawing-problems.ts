import type { Problem } from '@whelk/core/quantity';
import { text, type Wording } from './wording.ts';

/** Names of sizes that disagree, the whole among them: `A, B and the whole`. */
const sizesText = (p: Problem<string>): string => {
  const names = String(p.value ?? '')
    .split('|')
    .map((n) => (n === 'overall' ? 'the whole' : `“${n.slice(0, 24)}”`));
  const last = names.pop() || 'These sizes';
  const all = names.length === 0 ? last : `${names.slice(0, 6).join(', ')}${names.length > 6 ? ' …' : ''} and ${last}`;
  return `${all[0]!.toUpperCase()}${all.slice(1)}`;
};

/** What can be wrong in a drawing. */
export const drawingWordings = {
  'edge.notAnEdge': (p) => ({
    what: `${text(p)} is not an edge.`,
    right: 'Type 1, 1x45 or 0.5x30; nothing for an edge that is only broken.',
  }),
  'edge.angle': () => ({ what: 'The chamfer’s angle is out of reach.', right: 'Use 5° to 85°.' }),
  'edge.besideBall': () => ({
    what: 'This edge finds no room beside the ball.',
    right: 'Beside a ball only a round can be, R1 for instance, smaller than ball and length leave room for.',
  }),
  'edge.beyondAxis': (p, u) => ({
    what: 'The chamfer reaches beyond the centreline.',
    right: `It can be less than ${u.len(p.limit)} deep.`,
  }),
  'edge.longerThanFeature': (p, u) => ({
    what: 'The chamfers are longer than the feature.',
    right: `Together at most ${u.len(p.limit)}.`,
  }),
  'edge.innerCorner': () => ({
    what: 'Here is an inner corner, nothing to chamfer.',
    right: 'Put the chamfer on the larger feature’s edge.',
  }),
  'edge.deeperThanStep': (p, u) => ({
    what: 'The chamfer is deeper than the step.',
    right: `At most ${u.len(p.limit)} deep.`,
  }),
  'limit.noDecimals': (p) => ({
    what: `The shop’s table has no tolerance for a size written like ${text(p)}.`,
    right: 'Give it limits of its own, or fill that line of the table under “Sizes without limits”.',
  }),
  'datum.twice': (p) => ({ what: `There are two datums ${text(p)}.`, right: 'Every letter stands for one surface.' }),
  'datum.gone': (p) => ({
    what: `What datum ${text(p)} was on is no longer drawn.`,
    right: 'Choose another surface for it, or take it out.',
  }),
  'geometry.gone': () => ({
    what: 'The surface of this tolerance is no longer drawn.',
    right: 'Choose another surface, or take the tolerance out.',
  }),
  'geometry.wrongSurface': () => ({
    what: 'This kind of tolerance is not for that surface.',
    right: 'Squareness and parallelism are of faces, concentricity of a diameter; runout of either.',
  }),
  'geometry.noDatum': (p) => ({
    what: p.value ? `There is no datum ${text(p)}.` : 'No datum is chosen.',
    right: 'Make a surface a datum first, then choose its letter here.',
  }),
  'geometry.toItself': () => ({
    what: 'A surface cannot be held to itself.',
    right: 'Choose a datum on another surface.',
  }),
  'geometry.parallelToFace': () => ({
    what: 'A face is parallel to another face.',
    right: 'Choose a datum that is a face.',
  }),
  'geometry.squareToRound': () => ({
    what: 'A face is square to an axis.',
    right: 'Choose a datum that is a diameter.',
  }),
  'mate.gone': () => ({
    what: 'What this mate goes with is no longer drawn.',
    right: 'Choose another diameter, or take the mate out.',
  }),
  'mate.twice': () => ({
    what: 'This diameter has two mates.',
    right: 'One measured piece decides a size; take the other out.',
  }),
  'mate.noRoom': () => ({
    what: 'The wanted clearance leaves no room.',
    right: 'The most must be larger than the least; a press fit has minus signs, as −0.03 to −0.01.',
  }),
  'mate.farFromNominal': (p) => ({
    what: `The measured mate, ${text(p)}, is far from this diameter.`,
    right: 'Check the reading and the unit, or choose the diameter that goes with it.',
  }),
  'worn.spanTooSmall': (p, u) => ({
    what: 'That span is smaller than the hole itself.',
    right: `Over outsides it is more than ${u.len(p.limit)}; check which way it was measured.`,
  }),
  'worn.noOpposite': (p) => ({
    what: `Of ${text(p)} holes none lies opposite another.`,
    right: 'Measure two neighbours instead.',
  }),
  'sheet.tooCrowded': () => ({
    what: 'The sizes do not fit on this sheet without lying over one another.',
    right: 'Choose A3, lying, or one unit only; a part of very many lengths goes out as an outline or as a job file.',
  }),
  'drawing.empty': () => ({ what: 'Nothing is drawn yet.', right: 'Add the first feature.' }),
  'drawing.sameId': () => ({ what: 'Two features have the same id.', right: 'Every id must be its own.' }),
  'drawing.sizesDisagree': (p, u) => ({
    what: `${sizesText(p)} disagree by ${u.len(p.limit)}.`,
    right: 'One of them was read wrongly from the paper, or is not meant to be exact.',
  }),
  'drawing.noLengthLeft': () => ({
    what: 'The other sizes leave nothing for this length.',
    right: 'Type its length, or look at the whole and at the sizes from datums.',
  }),
  'dimension.surplus': (p) => ({
    what: `${text(p)} is said by the other sizes already.`,
    right: 'It agrees with them; leave it, or take it out.',
  }),
  'dimension.noSuchPlane': () => ({
    what: 'This size does not go from one face to another one.',
    right: 'Choose two different faces that the drawing still has.',
  }),
  'taper.notATaper': (p) => ({
    what: `${text(p)} is not a taper.`,
    right: 'Type 1:20, 5° to the axis, 10° incl, 0.6/ft or 3/100 mm; a minus where it rises towards the tailstock.',
  }),
  'taper.noGrade': (p) => ({
    what: `No angle tolerance is listed for a cone ${text(p)} mm long.`,
    right: 'Grades AT1 to AT12 go from more than 6 to 630 mm.',
  }),
  'taper.outOfRange': (p) => ({
    what: `${text(p)} is no taper that can be turned.`,
    right: 'Type one below 87° to the axis.',
  }),
  'taper.disagrees': (p, u) => ({
    what: `${text(p)} does not lead from one diameter to the other; it misses by ${u.len(p.limit)}.`,
    right: 'Leave one of diameters, length and taper empty: it follows from the others.',
  }),
  'taper.unsolved': () => ({
    what: 'This taper is not known yet.',
    right:
      'Type three of its two diameters, its length and its taper; readings at two places at least that fit together.',
  }),
  'ball.neighbourTooLarge': (p, u) => ({
    what: 'What is beside the ball is not smaller than it.',
    right: `A neighbour must be below ${u.len(p.limit)} where it meets the ball.`,
  }),
  'ball.length': (p, u) => ({
    what: `A ball between these neighbours is ${u.len(p.limit)} long.`,
    right: 'Leave its length empty, or change its diameter.',
  }),
  'arc.tooSmall': (p, u) => ({
    what: `${text(p)} does not reach from one end to the other.`,
    right: `Its radius is at least ${u.len(p.limit)}.`,
  }),
  'arc.meetsAxis': () => ({
    what: 'This hollow reaches the axis: the part would fall in two.',
    right: 'Make its radius larger or its length shorter.',
  }),
  'edge.roundOnCylinder': () => ({
    what: 'A round is only worked out on a straight diameter.',
    right: 'Put it on the neighbour, or draw it as an arc.',
  }),
  'detail.onCylinder': () => ({
    what: 'Grooves, threads and knurls lie on straight diameters and cones.',
    right: 'Split the length, so that they lie on one of those.',
  }),
  'detail.beyondEnds': (p, u) => ({
    what: 'This lies beyond the ends of its length.',
    right: `There are ${u.len(p.limit)} from one end to the other.`,
  }),
  'groove.noDepth': (p, u) => ({
    what: `${text(p)} leaves no groove in a diameter of ${u.len(p.limit)}.`,
    right: 'Outside the floor is smaller than the diameter, inside larger.',
  }),
  'groove.angle': (p) => ({ what: `${text(p)} is no angle for this groove.`, right: 'Type degrees, as 60.' }),
  'groove.wallsMeet': () => ({
    what: 'The walls of this groove meet above its floor.',
    right: 'Make it wider or shallower, or its walls steeper.',
  }),
  'groove.overEdge': () => ({
    what: 'A groove here runs into a chamfer or round at the end of its length.',
    right: 'Move it away from the edge, or leave the edge out.',
  }),
  'groove.overlap': () => ({
    what: 'Two grooves here run into one another.',
    right: 'Move one of them, or draw them as one.',
  }),
  'bore.pointBreaksThrough': (p, u) => ({
    what: `The drill’s point goes ${u.len(p.value)} beyond the bottom, and only ${u.len(p.limit)} of metal are left.`,
    right: 'Drill less deep, bore the bottom flat, or right through: leave the depth empty.',
  }),
  'hole.deeperThanMetal': (p, u) => ({
    what: `The hole is ${u.len(p.value)} deep; there ${u.len(p.limit)} of metal are.`,
    right: 'Right through it? Leave the depth empty.',
  }),
  'hole.counterboreDeep': (p, u) => ({
    what: `The counterbore is ${u.len(p.value)} deep, and nothing of ${u.len(p.limit)} is left for the hole.`,
    right: 'Less deep than the hole and the metal.',
  }),
  'hole.counterboreSmall': (p, u) => ({
    what: `A counterbore of Ø${u.len(p.value)} is no wider than its hole of Ø${u.len(p.limit)}.`,
    right: 'Wider than the hole.',
  }),
  'hole.crosses': (p) => ({
    what: `It runs into ${text(p)}.`,
    right: 'Another place, angle or depth; fine where both are meant to meet.',
  }),
  'threading.wantsCone': (p) => ({
    what: `${text(p)} is a taper thread, 1 in 16 on the diameter.`,
    where: 'Drawing, threads',
    right: 'Draw its length as a cone of 1:16 that falls towards its end; in a hole one that opens to it.',
  }),
  'threading.wantsAttachment': (p) => ({
    what: `${text(p)} is cut along a cone, under the leadscrew: only a taper attachment does that here, and this lathe has none that swings and reaches so far.`,
    where: 'Drawing, threads',
    right: 'A lathe with a taper attachment, a taper die or tap, or a parallel thread where its standard lets one be.',
  }),
  'threading.noClass': (p) => ({
    what: `“${p.value}” is no class of this thread that the tables have.`,
    right: 'Give one such as 6g outside or 6H inside; of two grades outside the second is even.',
  }),
  'threading.noLead': (p) => ({
    what: `Neither levers nor change gears of this lathe give the lead of ${text(p)}.`,
    right: 'Add the gears that are there to the lathe, or cut it on another one.',
  }),
  'threading.leadTooFarOff': (p) => ({
    what: `The nearest that this lathe gives is off by ${p.limit} parts in a million: over its length ${text(p)} would not go onto its mate.`,
    right: 'Another gear, a shorter thread, or another lathe.',
  }),
  'threading.noRunOut': (p) => ({
    what: `${text(p)} has no end at which a tool could begin on this lathe: both lie in metal, or its hand cannot be cut here.`,
    right: 'Draw a groove or a neck as deep as the thread at the end where it begins; a left-hand one needs a tumbler.',
  }),
  'threading.tooFine.ring': (p) => ({
    what: `${text(p)}: no ring of this lathe can be set finely enough for its pitch diameter.`,
    right: 'A wider class, or another lathe.',
  }),
  'threading.tooFine.gauge': (p) => ({
    what: `${text(p)}: nothing in the drawer measures its pitch diameter finely enough.`,
    right: 'Add thread wires or a thread micrometer under Tools & gauges, or give a wider class.',
  }),
  'threading.tooFine.edge': (p) => ({
    what: `${text(p)}: the least that the bit takes is more than its limits leave room for.`,
    right: 'A keener bit, or a wider class.',
  }),
  'threading.noDepth': (p, u) => ({
    what: `From a blank of Ø${u.len(p.limit)} nothing is left to cut to a pitch diameter of ${u.len(p.value)}.`,
    right: 'Give a larger blank, or the pitch diameter of the thread.',
  }),
  'thread.unknown': (p) => ({
    what: `${text(p)} is no thread that is known here: it is drawn, and no plan cuts it.`,
    right: p.limit
      ? `Is ${p.limit} meant? Size, pitch and family, as in M20x1.5 or 1/2-13 UNC.`
      : 'Size, pitch and family, as in M20x1.5 or 1/2-13 UNC; a form of your own as 20x2 50°.',
  }),
  'thread.tooCoarse': (p) => ({
    what: `${text(p)} is so coarse that its groove would go through the middle.`,
    right: p.limit ? `Is ${p.limit} meant?` : 'A finer pitch.',
  }),
  'thread.noPitch': (p) => ({
    what: `${text(p)} has no pitch of its own in the standard.`,
    right: `Type its pitch behind it, as in M22x1.5${p.limit ? `; near it are ${p.limit}` : ''}.`,
  }),
  'thread.leadNotPitch': (p) => ({
    what: `The lead of ${text(p)} is no whole number of pitches.`,
    right: 'As in Tr 20x8(P4): the lead, then the pitch of one start.',
  }),
  'thread.twoPitches': (p) => ({
    what: `Another pitch is on this length already: ${text(p)}.`,
    right: 'Give each its own length, or its own feature.',
  }),
  'thread.otherDiameter': (p, u) => ({
    what: `That thread wants Ø${u.len(p.limit)}; it is drawn on Ø${u.len(p.value)}.`,
    right: 'Its major diameter or a little less: change one of them.',
  }),
  'thread.otherHole': (p, u) => ({
    what: `That thread wants a hole of Ø${u.len(p.limit)}; it is drawn in Ø${u.len(p.value)}.`,
    right: 'Its minor diameter: change one of them.',
  }),
  'thread.noWall': () => ({
    what: 'The thread is deeper than the metal that it is cut in.',
    right: 'A finer pitch, a smaller hole, or more metal around it.',
  }),
  'thread.thinWall': (p, u) => ({
    what: `Under the root of the thread ${u.len(p.value)} of metal are left.`,
    right: `Less than ${u.len(p.limit)} may not bear it: a finer pitch, or more metal.`,
  }),
  'thread.noDesignation': () => ({
    what: 'The thread has no name yet.',
    right: 'Type it as on the drawing: M24x2, 1/2-13, Tr 20x4.',
  }),
  'centre.notACentre': (p) => ({
    what: `${text(p)} is not a centre hole.`,
    right: 'Type it as on the drawing: A2.5, B4 or R3.15.',
  }),
  'centre.noSize': (p) => ({
    what: `${text(p)} is no size of ISO 6411.`,
    right: 'Pilots are 1, 1.6, 2, 2.5, 3.15, 4, 5, 6.3, 8 and 10 mm.',
  }),
  'centre.tooLarge': (p, u) => ({
    what: `This centre hole opens to ${u.len(p.value)}.`,
    right: `The face there is ${u.len(p.limit)} wide; take a smaller one.`,
  }),
  'centre.inHole': () => ({
    what: 'There is a hole at this end already.',
    right: 'Its mouth may serve as the centre; else leave one of them out.',
  }),
  'hole.angle': (p) => ({
    what: `${text(p)} is no angle.`,
    right: 'Type degrees, as 45, counted anticlockwise from three o’clock.',
  }),
  'hole.beyondEnds': (p, u) => ({
    what: `${u.len(p.value)} from the left face runs off the part.`,
    right: `The part is ${u.len(p.limit)} long.`,
  }),
  'hole.tooLarge': (p, u) => ({
    what: `A hole of ${u.len(p.value)} across leaves nothing there.`,
    right: `The work is ${u.len(p.limit)} thick at that place.`,
  }),
  'hole.beyondOutside': (p, u) => ({
    what: 'These holes break through the outside.',
    right: `Their circle and size must stay inside ${u.len(p.limit)}.`,
  }),
  'hole.runTogether': (p, u) => ({
    what: `So many holes run into one another; their centres are ${u.len(p.limit)} apart.`,
    right: 'Take fewer or smaller ones, or a larger circle.',
  }),
  'hole.meetsBore': (p, u) => ({
    what: 'These holes may meet the hole on the axis.',
    right: `It is up to ${u.len(p.limit)} wide; check that they are meant to.`,
  }),
  'flat.noFlat': (p, u) => ({
    what: `${u.len(p.value)} across leaves no flat on a round of ${u.len(p.limit)}.`,
    right: 'Give a size below the diameter, above half of it for a single flat.',
  }),
  'bore.noDepth': () => ({
    what: 'This length of the hole goes nowhere.',
    right: 'Its depth grows from the face inwards.',
  }),
  'bore.deeperThanPart': (p, u) => ({
    what: 'This hole is deeper than the part is long.',
    right: `At most ${u.len(p.limit)}; leave the last depth empty where it goes right through.`,
  }),
  'bore.meets': () => ({
    what: 'The holes from both ends meet.',
    right: 'Leave the depth of the one that goes through empty.',
  }),
  'bore.breaksThrough': () => ({
    what: 'This hole breaks through the outside.',
    right: 'Make it smaller or shorter, or what is around it larger.',
  }),
  'bore.thinWall': (p, u) => ({
    what: `Only ${u.len(p.value)} of metal are left around this hole.`,
    right: 'Check it; so thin a wall gives way while it is cut.',
  }),
} satisfies Record<string, Wording>;
