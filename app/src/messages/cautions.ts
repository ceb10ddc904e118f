import { type LengthUnit, shortLength } from '@whelk/core/quantity';
import type { Caution, Note } from '@whelk/core/route';

/** One short line at the step where it matters. The machine's manual, local rules and qualified instruction come first. */
const cautions: Record<Caution, string> = {
  keyOut: 'Key out of the chuck. Turn the work one full turn by hand before power.',
  gentleStart: 'Screwed nose: start and stop gently, never cut in reverse. Key out of the chuck.',
  lockCarriage: 'Lock the carriage before facing; unlock it after. Eye protection on.',
  centreOil: 'Spindle stopped while you bring the tailstock up. Oil the centre; play-free, not tight.',
  stopToMeasure: 'Stop the spindle. Wipe the work. Never measure moving work.',
  throwOutShort: 'Throw the feed out short of the shoulder and wind the rest by hand.',
  cornersFirst:
    'The bar’s corners come off first, and each strikes the tool: guard down, nothing loose, a keen edge well clamped.',
  nearJaws: 'The cut ends near the jaws: watch the tool, throw the feed out early.',
  easeCentre: 'The work has grown warm: ease the tail centre before this cut.',
  feedOutwards: 'Lock the carriage. Feed the cross-slide outwards by hand.',
  steadySet:
    'Spindle stopped: bring the steady’s fingers up one after the other on a round, true place till they just touch; oil them; turn by hand.',
  barBehind:
    'What stands out behind the spindle whips: support and guard it there, start slowly. Key out of the chuck.',
  restFollows:
    'The following rest presses on what the tool has just turned: turn a short length, stop, set its fingers, oil them. Anew for each diameter.',
  dogClear: 'Dog tight on a protected place, its tail clear of the slot’s bottom and of the tool. Turn by hand first.',
  halfCentre: 'Half-centre, or stop short of the point: the tool breaks on it. Take the ring off later.',
  smallEndFirst: 'Oil the mandrel, small end first, press it in. Cut towards the large end.',
  drawnUpOnly: 'Draw the mandrel up, no more: it spreads the work.',
  arborStays: 'Turn the arbor to the hole and leave it in the chuck: it is true only there.',
  filmCures: 'Clean, glue, press, let it cure. Light cuts, kept cool. Warm it to take it off: no fumes in the face.',
  clampsClear: 'Clamps over solid support, heads clear of tool and ways. Balance it; turn it by hand, then slowly.',
  packedSquare:
    'Burrs off, bolts short, near the work, over the packing. Nothing slackened or moved by hand while the spindle turns.',
  barTurns:
    'The cutter turns, the work stands: bolts, clamps and slide clear of it over its whole way. Once round by hand before power; no hand near it.',
  drillTurns:
    'It turns, the work stands: bolts and slide clear of it. Draw back and clear the chips with a brush, spindle stopped; slowly where it breaks through.',
  clearDrill:
    'Lock the tailstock. Draw back and clear the chips with a brush, spindle stopped; no hand near it while it turns.',
  breaksThrough:
    'Lock the tailstock. As the point breaks through it grabs and pulls: feed slowly there. What lies behind must be clear of it.',
  neverBackwards:
    'Oil it. Slow and steady to the end, then out with the spindle still turning forward: backwards it breaks its edges.',
  barClear:
    'Stop before the bar is wound in or out. Its shank clear of the wall, its end clear of what lies behind. No finger in the hole while it turns.',
  partOff:
    'Carriage locked, guard down, oil on the blade. As it comes through, let it drop on a tray or a rod through its hole: hot, never caught by hand.',
  partStub:
    'Never right through on a centre: the part climbs on the blade. Stop at the stub; the rest with the spindle stopped and locked.',
  sawStopped: 'Spindle stopped and locked, out of gear. Cover the bed; hold the part so that it does not fall on it.',
  faceBlade:
    'Lock the cross-slide but to sweep. Blade square, on centre, its back clear of the outer wall; oil. Draw back often: chips jam between the walls.',
  bladeSquare:
    'Lock the carriage. Blade square, on centre, short; oil. Draw back as soon as it sings: it is rubbing or the slide is loose.',
  formSqueals:
    'Lock the carriage. Slow, steady feed, oil: a wide edge chatters, grabs, and pulls itself in where a slide is loose.',
  blendWithFile:
    'File with the spindle slow, handle on, left hand on the handle so that no arm crosses the jaws; emery by its ends or on the file, never wrapped.',
  knurlWet:
    'Slow, plenty of oil: the wheels shed fine slivers. Press them in firmly at the end, look at the first turns, no fingers or brush near where they run in.',
  nutsStayShut:
    'Never open the half-nuts until the thread is proved: no mark brings the tool back into its groove. Stop, draw out, run back in reverse. Nothing of yours near chuck or dog while it reverses.',
  scratchFirst:
    'Gears and levers only with the spindle stopped and its power off, the guard shut again. Fingers never between gears.',
  traverseFirst:
    'Spindle by hand and its power off while the bit is brought into the groove; then once along the whole thread without cutting. Never a finger near it.',
  marksOnly:
    'Close the half-nuts only at the marks that are told, with the compound and the cross-slide where they were. Withdraw before it reaches the end; slow rather than late. Never a finger on a thread that turns.',
  drawOut:
    'Out of the cut before it reaches the end: slow rather than late. Never a finger on a thread that turns, no gloves, sleeves up.',
  handTurned:
    'Too short for the hand at any speed of this lathe: motor off at the switch, belt slack or gears out, and turn the spindle by hand for the last turns.',
  onCentreHeight:
    'Spindle stopped, power off while the lathe is set. Tool on centre by a rule against the work or the tail centre.',
  evenByHand:
    'Both hands on the compound’s crank in turn, even and slow: wherever they stop a ring stays. Its slide must not run off its screw.',
  slackBeforeCut: 'Begin well before the work, so that the attachment’s slack is taken up before the point is in it.',
  squareOn:
    'Spindle stopped and out of gear, or locked: turn the holder by hand against the tailstock, half a turn back for each turn, oil. Never under power in a chuck by its key.',
  edgesSharp: 'Edges and chips are sharp: brush or hook, never the hand.',
};

/** What a material asks for, told once at the first chips. */
const materialCautions: Record<string, string> = {
  lead: 'Contains lead: wash hands, no dust.',
  stringyChip: 'Long stringy chips: stop and clear them with a hook.',
  hotChip: 'Chips come off hot.',
  workHardens: 'Hardens when rubbed: keep cutting, never dwell.',
  ironDust: 'Iron dust: wipe the ways, cover the bed.',
  skinFirst: 'First cut goes below the skin.',
  zeroRake: 'Zero rake, or the tool digs in.',
  flyingChips: 'Chips fly: eye protection, guard down.',
  builtUpEdge: 'Builds up on the edge: keep it sharp and wet.',
  burningChips: 'Fine chips burn: sweep them up, keep dry sand near.',
  noWater: 'Magnesium: no water on a fire, no water-based coolant.',
  keenEdge: 'Wants a keen edge.',
  heatGrows: 'Grows much with heat: let it cool before measuring.',
  swells: 'Takes up water and swells.',
  beryllium: 'Contains beryllium: its dust is poisonous. Wet, slow, extraction; never grind it dry.',
  abrasive: 'Wears the edge quickly: look at it often.',
  cracks: 'Cracks where it is clamped hard or cut with oil; no solvents.',
  resinDust: 'Resin dust: extraction and a mask.',
  fumesWhenHot: 'Gives off harmful fumes when hot: no smoking, clear the chips.',
};

export const cautionText = (code: Caution | undefined): string | undefined => code && cautions[code];
export const materialCautionText = (code: string): string => materialCautions[code] ?? code;

const sized = (value: number | undefined, unit: LengthUnit): string =>
  `${shortLength(value ?? 0, unit, unit === 'mm' ? 2 : 3)} ${unit}`;
const notes: Record<Note['code'], (note: Note, unit: LengthUnit) => string> = {
  tightenLess: ({ value }) =>
    `Hollow: tighten the jaws with only about ${value} % of the usual force, by a short pull on the key; more presses it out of shape for good.`,
  wet: () => 'Cut it wet: oil or emulsion on the edge from the first chip on, not now and then.',
  dry: () => 'Cut it dry.',
  belowSkin: ({ value }, unit) =>
    `The first cut goes below the skin, ${sized(value, unit)} deep at the least: the point of the tool stays in clean metal.`,
  interrupted: () =>
    'Corners strike the tool until they are off: a tough edge, firmly held, and no slower feed by hand.',
  halfCentre: () =>
    'So thin an end: the tool would come against the tail centre before its point is at the end. Use a half-centre, or a bit ground away behind its nose.',
  swingTool: ({ value }) =>
    `Up to a shoulder: swing the tool about ${value}°, until its side just clears a square held against the work; as it is set its upper end would come to the shoulder first.`,
  finishBeyond: ({ value, limit }) =>
    `The drawing wants Ra ${value}; turned like this about ${limit} is the best. File, emery or grind it after, or take a finer feed and a larger nose.`,
  quillAgain: ({ value }, unit) =>
    `Deeper than the quill goes in one (${sized(value, unit)}): draw it back, bring the tailstock up with the drill in the hole, lock it and go on.`,
  barLong: ({ value, limit }, unit) =>
    `The bar stands ${sized(value, unit)} out on a shank of ${sized(limit, unit)}: it springs and may sing. Light cuts, spring passes, measure both ends of the hole.`,
  knurlPushes: ({ value }) =>
    `It stands ${value} diameters out with nothing behind it: the wheels push hard. Carry the end on a centre, or take wheels that pinch from both sides.`,
  leadOff: ({ value, limit }, unit) =>
    `The lead is off by ${limit} parts in a million: ${sized(value, unit)} over its length. Its mate cut by the same train would match it.`,
  notFull: ({ value }, unit) =>
    `Up to a shoulder without a groove: the last ${sized(value, unit)} are not full. Draw a groove there where its mate goes all the way.`,
  flankRubs: ({ value, limit }) =>
    `The bit has ${value}° of clearance under its leading flank; so steep a thread wants ${limit}°: grind it, or it rubs.`,
  letCool: () => 'Let it cool before it is measured.',
  noseInCorner: ({ value, limit }, unit) =>
    limit
      ? `The tool’s nose leaves ${sized(value, unit)} round in the corner, the drawing allows ${sized(limit, unit)}: take a sharper tool for it.`
      : `The tool’s nose leaves ${sized(value, unit)} round in the corner, which is drawn sharp: does its mate clear it?`,
};
/** A note at an operation in words. */
export const noteText = (note: Note, unit: LengthUnit): string => notes[note.code](note, unit);
