import { plain, text, type Wording } from './wording.ts';

/** Words for what is wrong with how the work is held. */
export const holdWordings = {
  'hold.noLathe': () => ({ what: 'No lathe is chosen.', right: 'Choose the lathe it will be turned on.' }),
  'hold.longerThanLathe': (p, u) => ({
    what: `The blank of ${u.len(p.value)} does not go between the centres, ${u.len(p.limit)}.`,
    right: 'Choose a longer lathe.',
  }),
  'hold.swing': (p, u) => ({
    what: `Ø${u.len(p.value)} does not swing over the cross-slide, Ø${u.len(p.limit)}.`,
    right: 'Choose a larger lathe or a thinner bar.',
  }),
  'hold.jaws': (p, u) => ({
    what: `The chuck grips up to Ø${u.len(p.limit)}.`,
    right: 'Choose a thinner bar or a larger chuck.',
  }),
  'hold.noHoleForJaws': () => ({
    what: 'There is no hole at the headstock that jaws could be opened into.',
    right: 'Grip it round its outside, or bore it first.',
  }),
  'hold.jawsInsideUnknown': (p) => ({
    what: `It is not written down what holes the jaws of ${text(p)} open into.`,
    right: 'Write it down at the lathe, or choose another chuck.',
  }),
  'hold.jawsInside': (p, u) => ({
    what: `The jaws do not open into a hole of Ø${u.len(p.value)}.`,
    right: `They take holes up to Ø${u.len(p.limit)}; another chuck, or grip it round its outside.`,
  }),
  'hold.noStep': (p, u) => ({
    what: `No jaws of this chuck have a step that Ø${u.len(p.value)} can be seated on.`,
    right: 'Write its stepped jaws down at the lathe, or grip it otherwise.',
  }),
  'hold.longOnStep': (p) => ({
    what: `${plain(p.value)} diameters would stand out of a step: it is for rings and discs.`,
    right: `Up to ${plain(p.limit)} stand freely; grip it longer, round its outside.`,
  }),
  'hold.noRest': (p, u) => ({
    what: `No rest of this lathe takes Ø${u.len(p.value)}.`,
    right: 'Write one down at the lathe, or hold it otherwise.',
  }),
  'hold.restBeyond': (p, u) => ({
    what: `A steady ${u.len(p.value)} from the end has no room on the work.`,
    right: `Between the jaws and the end there is room up to ${u.len(p.limit)} from it.`,
  }),
  'hold.noRoomForRest': (p, u) => ({
    what: `Only ${u.len(p.value)} stand out of the jaws: there is no room for a steady.`,
    right: `Its fingers take ${u.len(p.limit)}; what is so short stands freely.`,
  }),
  'hold.restOnCorners': (p, u) => ({
    what: `The corners of the bar, Ø${u.len(p.value)}, would strike the fingers of the steady.`,
    right: 'They run on round metal: turn a track for them first, or hold it another way.',
  }),
  'hold.restOnSkin': () => ({
    what: 'Where the steady stands the metal is still rough: it is not round, and wears the fingers.',
    right: 'Turn a track for them first, or run them on a sleeve that is set true with screws.',
  }),
  'hold.restOnStep': (p, u) => ({
    what: `Where the steady stands the work is not of one diameter, up to Ø${u.len(p.value)}.`,
    right: 'Its fingers want one straight length: move it along.',
  }),
  'hold.endStandsFree': (p) => ({
    what: `Its end stands ${plain(p.value)} diameters out: it is not faced or centred standing free. It does not go back through the spindle, and no steady here takes it.`,
    right: `Up to ${plain(p.limit)} diameters stand freely: a steady that takes it, or less standing out; or its ends made first, in setups of their own.`,
  }),
  'hold.standsTooFar': (p) => ({
    what: `${plain(p.value)} diameters stand out with nothing to carry the end.`,
    right: `Up to ${plain(p.limit)} with light cuts: a tail centre, a steady, or less standing out.`,
  }),
  'hold.inGap': (p, u) => ({
    what: `Ø${u.len(p.value)} swings only in the gap of the bed; over the cross-slide ${u.len(p.limit)} swing.`,
    right: 'Hold it close to the headstock, the cross-slide clear of it; turn it by hand once round first.',
  }),
  'hold.tips': (p, u) => ({
    what: `With ${u.len(p.value)} of grip and ${u.len(p.limit)} standing out even a light cut tips it out of the jaws.`,
    right: 'Grip more of it, carry its end with the tail centre or a steady, or let less stand out.',
  }),
  'hold.tightenLess': (p) => ({
    what: `This hollow work bears only about ${plain(p.value)} % of what the chuck presses when it is tightened as usual.`,
    right:
      'Tighten it just so much, with light cuts; or hold it in soft jaws or a collet all round, on a mandrel, or with a plug in its bore.',
  }),
  'hold.lobes': (p, u) => ({
    what: `The jaws press this thin ring ${u.len(p.value)} out of round: bored so, it springs back lobed, against limits of ${u.len(p.limit)}.`,
    right:
      'Less force, soft jaws or a collet all round, a mandrel, or the bore finished last on its face. Two points do not see three lobes: check with a plug, a three-point gauge, or the indicator in the chuck.',
  }),
  'hold.noCentreMayStay': () => ({
    what: 'The drawing wants no centre hole to stay in this end.',
    right: 'Let less stand out, run it in a steady, or hold it another way.',
  }),
  'hold.spigotAtTail': () => ({
    what: 'The spigot that the drawing gives to grip it by stands at the tailstock and would be faced away.',
    right: 'Put the other end to the tailstock; the spigot comes off last.',
  }),
  'hold.castingUneven': () => ({
    what: 'A rough casting is not round: self-centring jaws sit on its high places.',
    right: 'The four-jaw takes it as it is: true it to the surface that will be seen or works.',
  }),
  'hold.jawsClose': (p, u) => ({
    what: `Ø${u.len(p.value)} falls through: the jaws close only to Ø${u.len(p.limit)}.`,
    right: 'Choose a collet or smaller chuck, or a thicker bar.',
  }),
  'hold.gripFloor': (p, u) => ({
    what: `A grip of ${u.len(p.value)} holds nothing.`,
    right: `At least ${u.len(p.limit)} in plain jaws; shorter only against a seat: the jaws’ step, soft jaws, a stop.`,
  }),
  'hold.section': (p) => ({
    what: p.value === 4 ? 'A square bar does not sit in these jaws.' : 'A hexagon does not sit in these jaws.',
    right: p.value === 4 ? 'Four jaws hold it.' : 'Three jaws hold it.',
  }),
  'hold.jawsBeyondFace': () => ({
    what: 'The jaws would stand beyond the face that is cut here.',
    right: 'Grip less of it, or on spare stock.',
  }),
  'hold.hollowEnd': () => ({
    what: 'A hollow end has no metal for a centre hole.',
    right: 'A bull-nose centre, a plug in it, a steady, or less standing out.',
  }),
  'hold.notBoredYet': () => ({
    what: 'The blank has no hole yet to be held by.',
    right: 'Bore it in a chuck first; then it goes on the arbor.',
  }),
  'hold.shortGrip': (p, u) => ({
    what: `${u.len(p.value)} is a short grip.`,
    right: `Usual is ${u.len(p.limit)}: half the diameter, and ${u.len(10)}, at most one diameter.`,
  }),
  'hold.longGrip': (p, u) => ({
    what: `${u.len(p.value)} is more than the jaws are long.`,
    right: `The jaws hold ${u.len(p.limit)}.`,
  }),
  'hold.nothingToGrip': () => ({
    what: 'Nothing of the piece can be gripped so: something larger always stands in front of it.',
    right: 'Turn it the other way round, or hold it by its hole.',
  }),
  'hold.thinForCentre': (p, u) => ({
    what: `An end of Ø${u.len(p.value)} takes no centre hole.`,
    right: `The smallest wants Ø${u.len(p.limit)}: leave the centre out and let less stand out, or turn the thin end last.`,
  }),
  'hold.cannotGripThere': () => ({
    what: 'That length cannot be gripped: it is not there any more, not straight, or something larger stands before it.',
    right: 'Choose another place, or leave it to Whelk.',
  }),
  'hold.notIntoSpindle': (p, u) => ({
    what: `What lies behind the jaws is too thick for the spindle’s bore, Ø${u.len(p.value)}.`,
    right: 'Grip another length, or turn it between centres.',
  }),
  'hold.hollowNoCentres': () => ({
    what: 'A hollow end has nothing for a centre.',
    right: 'Hold it on a mandrel, or in a chuck.',
  }),
  'hold.noCentreHoles': () => ({
    what: 'Between centres, both ends want a centre hole, and not both have one by then.',
    right: 'Face and centre each end in a holding before this one.',
  }),
  'hold.noDog': (p, u) => ({
    what: `No dog of this lathe takes Ø${u.len(p.value)}.`,
    right: 'Write one down at the lathe, or put the dog on another length.',
  }),
  'hold.noThroughHole': () => ({
    what: 'The part has no hole all through to be held by.',
    right: 'Hold it on its outside.',
  }),
  'hold.carriageShort': (p, u) => ({
    what: `The carriage goes ${u.len(p.limit)}, the work wants ${u.len(p.value)} of it.`,
    right: 'Turn it in two holdings, or choose a longer lathe.',
  }),
  'hold.crossSlideShort': (p, u) => ({
    what: `From the rim to the middle are ${u.len(p.value)}, the cross-slide goes ${u.len(p.limit)}.`,
    right: 'Set the tool over in its post half-way, or choose a larger lathe.',
  }),
  'hold.quillShort': (p, u) => ({
    what: `Drilling the centre hole and drawing back wants ${u.len(p.value)} of the quill, which has ${u.len(p.limit)}.`,
    right: 'Bring the tailstock up in two places, or choose a smaller centre hole.',
  }),
  'hold.longForArbor': (p, u) => ({
    what: `${u.len(p.value)} long is too long to be carried so; for its diameter up to ${u.len(p.limit)}.`,
    right: 'Use the tail centre, or a mandrel between centres.',
  }),
  'hold.noFaceplate': () => ({
    what: 'This lathe has no faceplate.',
    right: 'Write it down at the lathe, or hold it in a chuck.',
  }),
  'hold.noSlots': () => ({
    what: 'The cross-slide of this lathe has no slots to bolt work to.',
    right: 'Write down its table at the lathe, if it has one; else bore it on the faceplate.',
  }),
  'hold.noTurningBar.centres': () => ({
    what: 'The drawer has no boring bar that turns between centres.',
    right: 'Add one under Tools & gauges: a boring bar, held between centres.',
  }),
  'hold.noTurningBar.head': () => ({
    what: 'The drawer has no boring head for the spindle.',
    right: 'Add its bar under Tools & gauges: a boring bar, held in a head on the spindle.',
  }),
  'hold.noBase': () => ({
    what: 'How far the axis lies above the face that the work stands on is not known.',
    right: 'Type it: from the drawing, or measured on a plate.',
  }),
  'hold.axisAboveCentre': (p, u) => ({
    what: `The axis would lie ${u.len(p.value)} above the cross-slide, the spindle's lies ${u.len(p.limit)} above it.`,
    right: 'Stand it on another face, or bore it on the faceplate or on a lathe with more height.',
  }),
  'hold.longForSlide': (p, u) => ({
    what: `${u.len(p.value)} long, it hangs too far over a cross-slide of ${u.len(p.limit)} along the bed.`,
    right: 'Choose a lathe with a longer cross-slide, or bore it elsewhere.',
  }),
  'hold.barNotThrough': () => ({
    what: 'A bar between centres goes right through the work, and its hole does not.',
    right: 'Use a boring head on the spindle.',
  }),
  'hold.endStillRaw': (p, u) => ({
    what: `The end that the cutter enters has ${u.len(p.value)} to come off yet, which is not faced on the cross-slide.`,
    right: 'Face it in a holding before, or give the blank no allowance there.',
  }),
  'hold.barShort.centres': (p, u) => ({
    what: `The work passes the cutter from one side to the other: the bar wants ${u.len(p.value)} between its centres, it has ${u.len(p.limit)}.`,
    right: 'Take a longer bar, or a head on the spindle.',
  }),
  'hold.barShort.head': (p, u) => ({
    what: `The head's bar wants to stand out ${u.len(p.value)}, it reaches ${u.len(p.limit)}.`,
    right: 'Take a longer bar, bore from both ends, or use a bar between centres.',
  }),
  'hold.cutterShort': (p, u) => ({
    what: `The cutter comes out to Ø${u.len(p.limit)}, the widest of the hole is Ø${u.len(p.value)}.`,
    right: 'Take a longer cutter or a larger bar, and write down what it comes out to.',
  }),
  'hold.barLongerThanLathe': (p, u) => ({
    what: `The bar is ${u.len(p.value)} between its centres, the lathe takes ${u.len(p.limit)}.`,
    right: 'Take a shorter bar, or a longer lathe.',
  }),
  'hold.noArbor': (p, u) => ({
    what: `No such mandrel of the shop fits a hole of Ø${u.len(p.value)}.`,
    right: 'Write it down at the lathe, or turn a stub arbor in place.',
  }),
  'hold.losesTruth': (p, u) => ({
    what: `Held again, it can run out ${u.len(p.value)} against its datum; the drawing allows ${u.len(p.limit)}.`,
    right: 'Turn both in one holding, hold it truer, or bring it true with the indicator.',
  }),
  'hold.losesSquare': (p, u) => ({
    what: `Held again, a face can stand ${u.len(p.value)} out of true to its datum; the drawing allows ${u.len(p.limit)}.`,
    right: 'Turn both in one holding, seat it against a turned face, or clock the face in before it is cut.',
  }),
  'hold.wantsRest': (p) => ({
    what: `The work stands out ${plain(p.value)} diameters: it wants a rest.`,
    right: `Beyond ${plain(p.limit)} diameters a tail centre alone is not enough.`,
  }),
  'hold.noCentreSize': (p) => ({
    what: `${plain(p.value)} mm is not a size of centre drill.`,
    right: 'ISO 6411: 1, 1.6, 2, 2.5, 3.15, 4, 5 or 6.3.',
  }),
} satisfies Record<string, Wording>;
