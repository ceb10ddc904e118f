import type { LengthUnit, Problem, ProblemCode } from '@whelk/core/quantity';
import type { AppCode } from './app-code.ts';
import { drawingWordings } from './drawing-problems.ts';
import { exchangeWordings } from './exchange.ts';
import { holdWordings } from './hold-problems.ts';
import { inUnit } from './in-unit.ts';
import { routeWordings } from './route-problems.ts';
import { shopWordings } from './shop-problems.ts';
import { plain, text, type Worded, type Wording } from './wording.ts';

export type { Worded } from './wording.ts';

/** One table for every problem's code, used on screen, by the API and on the command line. */
const wordings: Record<ProblemCode | AppCode, Wording> = {
  ...drawingWordings,
  ...exchangeWordings,
  ...holdWordings,
  ...routeWordings,
  ...shopWordings,
  'length.empty': () => ({ what: 'Nothing is typed here.', right: 'Give a length such as 12.5, 1/2" or 30 thou.' }),
  'length.tooLong': () => ({ what: 'That is longer than any length.', right: 'Use at most 64 characters.' }),
  'length.notALength': (p) => ({
    what: `${text(p)} is not a length.`,
    right: 'Type 12.5, 12.5mm, .492in, 1/2", 1 3/8, 0.5+.010 or 30 thou.',
  }),
  'length.ambiguousComma': (p) => ({
    what: `${text(p)} can be read two ways.`,
    right: 'Use a point for decimals (1.000) and no mark for thousands (1000).',
  }),
  'length.divisionByZero': (p) => ({
    what: `${text(p)} divides by zero.`,
    right: 'The lower number of a fraction is at least 1, as in 3/8".',
  }),
  'length.exponent': (p) => ({
    what: `${text(p)} is written with an exponent.`,
    right: 'Write the number out, as 0.001.',
  }),
  'length.tenthInMetric': () => ({
    what: 'In a metric field a “tenth” could be 0.1 mm or 0.0001 in.',
    right: 'Type 0.1 mm or 0.0001 in.',
  }),
  'length.negative': (p) => ({ what: `${text(p)} is less than nothing.`, right: 'A size is more than 0.' }),
  'length.zero': () => ({ what: 'A size of 0 cannot be turned.', right: 'Give a length above 0.' }),
  'length.tooLarge': (p) => ({ what: `${text(p)} is longer than 100 m.`, right: 'Check the digits and the unit.' }),
  'limit.notLimits': (p) => ({
    what: `${text(p)} is not a limit.`,
    right: 'Type ±0.1, +0.02/-0.01, 28.00/27.98, h7, or nothing for the general tolerance.',
  }),
  'limit.reversed': () => ({
    what: 'The lower limit stands above the upper one.',
    right: 'Give the upper limit first, as +0.02/-0.01.',
  }),
  'limit.noTolerance': () => ({ what: 'These limits leave no room at all.', right: 'The two limits must differ.' }),
  'limit.belowZero': () => ({
    what: 'The lower limit is below zero.',
    right: 'Give a smaller tolerance than the size itself.',
  }),
  'limit.zoneUnknown': (p) => ({
    what: `${text(p)} is not a zone of ISO 286.`,
    right: 'Shafts have small letters and holes capitals: a–h, j, js, k, m, n, p … zc with a grade, as h7 or H7.',
  }),
  'limit.holeZone': (p) => ({
    what: `${text(p)} is a zone for holes.`,
    right: 'An outside size takes a small letter, as h7.',
  }),
  'limit.shaftZone': (p) => ({
    what: `${text(p)} is a zone for shafts.`,
    right: 'An inside size takes a capital letter, as H7.',
  }),
  'limit.gradeOutside': (p) => ({
    what: `The grade of ${text(p)} is not in the table.`,
    right: 'Use a grade from 5 to 13.',
  }),
  'limit.sizeOutside': (_, u) => ({
    what: `ISO 286 is held here up to ${u.len(500)}.`,
    right: 'Give the limits as numbers.',
  }),
  'limit.zoneNotForSize': (p) => ({
    what: `The standard gives no ${text(p)} at this size.`,
    right: 'Choose another letter or give the limits as numbers.',
  }),
  'limit.noGeneral': () => ({
    what: 'There is no general tolerance for this size.',
    right: 'Give limits such as ±0.05.',
  }),
  'finish.unknown': (p) => ({
    what: `${text(p)} is not a finish.`,
    right: 'Type Ra 1.6, 1.6, Rz 6.3 or N7; Ra 0.025 to 50.',
  }),
  'material.unknown': (p) => ({
    what: `${text(p)} is not a known material.`,
    right: 'Choose one from the list of materials.',
  }),
  'run.setupBefore': (p) => ({
    what: `Piece ${text(p)} has not been through holding ${plain(p.limit)} yet.`,
    right: 'Cut that one first and close it.',
  }),
  'lathe.noSpeeds': () => ({ what: 'This lathe has no spindle speeds.', right: 'Give it at least one.' }),
  'lathe.noSuchPosition': (p) => ({
    what: `A speed names the position ${text(p)}, which its lever does not have.`,
    right: 'Use a position of that lever.',
  }),
  'lathe.torqueOverMotor': (p) => ({
    what: `${plain(p.value)} N·m at that speed is more than the motor gives.`,
    right: `About ${plain(p.limit)} N·m at the most: check the torque, the speed, or the motor’s power.`,
  }),
  'lathe.baseOutside': (p) => ({
    what: `The base speed of ${plain(p.value)} rpm lies above its range.`,
    right: `Its range ends at ${plain(p.limit)} rpm.`,
  }),
  'lathe.speedApart': (p) => ({
    what: `${plain(p.value)} rpm lies far above the next speed of ${plain(p.limit)} rpm.`,
    right: 'A figure too many? Check it on the plate.',
  }),
  'lathe.feedCoarse': (p, u) => ({
    what: `A feed of ${u.len(p.value)} a turn is far too coarse to cut with.`,
    right: `Usual ones are below ${u.len(p.limit)}: check the figure, its unit, or the gears.`,
  }),
  'lathe.rangeReversed': (p, u) => ({
    what: `This range goes from ${p.unit ? u.len(p.value) : plain(p.value)} to ${p.unit ? u.len(p.limit) : plain(p.limit)}, backwards.`,
    right: 'Give the smaller figure first.',
  }),
  'lathe.noSuchControl': (p) => ({
    what: `A setting names ${text(p)}, and there is no such belt, lever or gear.`,
    right: 'Use one that is described.',
  }),
  'lathe.sameControl': (p) => ({ what: `${text(p)} stands twice.`, right: 'Give each its own name.' }),
  'lathe.samePosition': (p) => ({
    what: `The position ${text(p)} stands twice.`,
    right: 'Give each position its own mark.',
  }),
  'lathe.sameSetting': () => ({
    what: 'The same positions are written down twice.',
    right: 'Keep one of the two lines.',
  }),
  'lathe.speedMissing': (p) => ({
    what: `No speed is written down for ${text(p)}${Number(p.limit) > 1 ? ` and ${Number(p.limit) - 1} more positions` : ''}.`,
    right: 'Give its rpm, or say that these must not stand together.',
  }),
  'lathe.feedUnmeasured': () => ({
    what: 'This feed has no figure yet.',
    right: 'Run it for a fixed time and read the distance, under Calibrations.',
  }),
  'lathe.gearNotOwned': (p) => ({
    what: `A train uses a gear of ${plain(p.value)} teeth, which is not among the gears owned.`,
    right: 'Add it to the gears owned, or change the train.',
  }),
  'lathe.gearTwice': (p) => ({
    what: `A train uses the gear of ${plain(p.value)} teeth more often than it is owned.`,
    right: 'Write the gear down as often as it is there, or change the train.',
  }),
  'lathe.dialNoTravel': () => ({
    what: 'A turn of this dial moves nothing.',
    right: 'Give the slide’s travel for one turn.',
  }),
  'lathe.dialDoesNotDivide': (p) => ({
    what: `${plain(p.limit)} a turn in ${plain(p.value)} divisions gives no plain figure for a line.`,
    right: 'Count the lines once more; check whether it counts the diameter.',
  }),
  'lathe.slackOverTurn': (p, u) => ({
    what: `A slack of ${u.len(p.value)} is more than a whole turn.`,
    right: `Give less than ${u.len(p.limit)}.`,
  }),
  'lathe.swingReversed': (p, u) => ({
    what: `More swings over the cross-slide (${u.len(p.value)}) than over the bed.`,
    right: `At most ${u.len(p.limit)}.`,
  }),
  'lathe.depthsReversed': (p, u) => ({
    what: `The usual depth of ${u.len(p.value)} is more than the deepest cut.`,
    right: `At most ${u.len(p.limit)}.`,
  }),
  'material.idTaken': () => ({
    what: 'That is one of the materials that come along.',
    right: 'Change its figures, or give yours another name.',
  }),
  'material.noSuchFigure': (p) => ({
    what: `${text(p)} is no figure of a material.`,
    right: 'Choose one of those that are listed.',
  }),
  'material.outOfRange': () => ({
    what: 'This figure is outside of what any material has.',
    right: 'Look at the figure that came along for the order of magnitude.',
  }),
  'calibration.noSetting': () => ({
    what: 'The lathe has no such setting.',
    right: 'Choose one of its positions.',
  }),
  'calibration.already': () => ({
    what: 'This calibration is kept already.',
    right: 'Add another one; none is ever overwritten.',
  }),
  'calibration.noDial': () => ({ what: 'That slide has no ring.', right: 'Choose one that has.' }),
  'calibration.farOff': () => ({
    what: 'That is too far from what is written down to be a correction.',
    right: 'Read once more; if it is so, change the description.',
  }),
  'calibration.notSmaller': () => ({
    what: 'This diameter is not smaller than the one before it.',
    right: 'Read them in their order: before, after the shallow cut, after the deep one.',
  }),
  'calibration.depthsAlike': (_, u) => ({
    what: 'Both cuts are about as deep: they show nothing of the spring.',
    right: `Make the second several times as deep as the first, as ${u.len(0.1)} and ${u.len(0.5)}.`,
  }),
  'calibration.springNegative': () => ({
    what: 'The cut took off more than was asked: that is no spring.',
    right: 'Take up the slack from the same side and try again.',
  }),
  'gauge.noneFineEnough': (p, u) => ({
    what: `No gauge of the shop can judge ${u.len(p.value)} at this size.`,
    right: 'It wants an uncertainty of at most a quarter of the limits.',
  }),
  'gauge.outOfRange': (p) => ({
    what: `${text(p)} is outside what this gauge reaches.`,
    right: `Check the reading, or choose another gauge than ${plain(p.limit)}.`,
  }),
  'dial.notANumber': (p) => ({
    what: `${text(p)} is not a number on the dial.`,
    right: `Type the number as it stands at the index${p.limit === undefined ? '' : `, e.g. ${p.limit}`}.`,
  }),
  'dial.beyondTurn': (p) => ({
    what: 'The ring has no such number.',
    right: `It reads from 0 to below ${plain(p.limit)}.`,
  }),
  'mechanics.beyondEnd': (p, u) => ({
    what: 'The tool stands beyond the end of the work.',
    right: `At most ${u.len(p.limit)} from the chuck.`,
  }),
  'bore.cornerNotRound': (p) => ({
    what: `${text(p)} is no round for the corner of a hole.`,
    right: 'Type R and its radius, R1.5; empty is a sharp corner.',
  }),
  'bore.cornerTooLarge': (p, u) => ({
    what: `There is no room for ${text(p)} in this corner.`,
    right: `At most ${u.len(p.limit)}, at the flat bottom of a bored or counterbored step.`,
  }),
  'faceGroove.offFace': (p, u) => ({
    what: `A groove at Ø${u.len(p.value)} does not lie in its face.`,
    right: `Its diameters lie within the face, the outer one larger than the inner; the limit here is Ø${u.len(p.limit)}.`,
  }),
  'faceGroove.noFace': () => ({
    what: 'The face that this groove lies in is no longer drawn.',
    right: 'Choose another face for it.',
  }),
  'faceGroove.tooDeep': (p, u) => ({
    what: `A groove ${u.len(p.value)} deep breaks through.`,
    right: `It has to be less than ${u.len(p.limit)}.`,
  }),
  'hole.countersinkSmall': (p, u) => ({
    what: `A countersink of ${u.len(p.value)} does not open a hole of ${u.len(p.limit)}.`,
    right: 'Give it a larger diameter than its hole.',
  }),
  'hole.notTapping': (p, u) => ({
    what: `${u.len(p.value)} is no hole for this thread.`,
    right: `Leave the diameter empty for ${u.len(p.limit)}, or check the thread.`,
  }),
  'hole.sinkAngle': (p) => ({
    what: `${text(p)} is no angle of a countersink.`,
    right: 'Type its included angle, 60, 82, 90 or 120; empty is 90.',
  }),
  'hole.thread': (p) => ({
    what: `${text(p)} is no thread that can be read.`,
    right: 'Type it as M6, M8x1, 1/4-20 or G 1/8; empty where the hole is plain.',
  }),
  'keyway.depth': (p, u) => ({
    what: `The keyway’s floor does not lie in the metal with ${text(p)}.`,
    right: `Give a depth below the surface of less than ${u.len(p.limit)}, or what is left over the far side.`,
  }),
  'keyway.noHole': () => ({
    what: 'There is no hole on the axis where this keyway lies.',
    right: 'Put it where the hole is, or into the outside.',
  }),
  'keyway.width': (p, u) => ({
    what: `A keyway ${u.len(p.value)} wide does not go into this diameter.`,
    right: `Make it narrower than ${u.len(p.limit)}.`,
  }),
  'mechanics.holeTooWide': (p, u) => ({
    what: 'The hole is as wide as the work round it.',
    right: `It has to be below ${u.len(p.limit)}.`,
  }),
  'worn.neverCloses': (p, u) => ({
    what: 'No circle goes through holes this far apart.',
    right: `All other spans together are no longer than ${u.len(p.value)}: look whether each goes from one hole to the next, all the way round.`,
  }),
  'input.oneOfTwo': (p) => ({
    what: 'Exactly one of two is wanted here.',
    right: `Give this or ${plain(p.limit)}, not both and not neither.`,
  }),
  'input.unknownKey': (p) => ({
    what: `${text(p)} is not a name that is known here.`,
    right: 'Leave it out; --schema lists the names.',
  }),
  'input.tooBig': (p) => ({ what: 'This is too large.', right: `At most ${plain(p.limit)}.` }),
  'input.tooSmall': (p) => ({
    what: 'This is too small.',
    right: `At least ${plain(p.limit)}; above it where 0 makes no sense.`,
  }),
  'input.wrongType': (p) => ({ what: 'This is missing or of the wrong kind.', right: `Expected: ${plain(p.limit)}.` }),
  'input.notOneOf': (p) => ({ what: 'This is none of the choices.', right: `One of: ${plain(p.limit)}.` }),
  'input.invalid': (p) => ({
    what: 'This is not as it should be.',
    right: p.limit ? `It wants ${p.limit}.` : 'See the schema.',
  }),
  'input.notJson': () => ({ what: 'The text is not JSON.', right: 'Send one JSON object.' }),
  'input.tooDeep': (p) => ({ what: 'The JSON is nested too deeply.', right: `At most ${plain(p.limit)} levels.` }),
  'input.tooLarge': (p) => ({ what: 'The message is too large.', right: `At most ${plain(p.limit)} bytes.` }),
  'input.notJsonType': () => ({ what: 'Only JSON is taken here.', right: 'Send content-type: application/json.' }),
  'calc.unknown': (p) => ({ what: `There is no calculation ${text(p)}.`, right: '--list names them all.' }),
  'file.newer': () => ({ what: 'The file was written by a newer version.', right: 'Update this shop first.' }),
  'file.unknown': () => ({ what: 'This is not a job file.', right: 'Choose a .json that was saved with Export.' }),
  'file.notALathe': () => ({
    what: 'This is not a lathe’s file.',
    right: 'Choose a .json that was exported from a lathe’s page.',
  }),
  'not.found': () => ({ what: 'It is not here.', right: 'It may have been deleted; look in the list.' }),
  'save.stale': () => ({ what: 'It was changed elsewhere meanwhile.', right: 'Choose which version to keep.' }),
  'run.planMissing': () => ({
    what: 'The job is not planned yet.',
    right: 'Finish drawing, stock, hold and route first.',
  }),
  'run.open': () => ({ what: 'This piece is already being cut.', right: 'Go on with it.' }),
  'run.sameSequence': () => ({
    what: 'Another device has used this number already.',
    right: 'It is given a number of its own and sent again.',
  }),
  'record.inUse': (p) => ({
    what: `${plain(p.value)} job(s) still use it.`,
    right: 'Choose another one in those jobs first.',
  }),
  'database.away': () => ({
    what: 'The database does not answer.',
    right: 'What you typed is kept here; it is saved when the database is back.',
  }),
  'database.full': () => ({
    what: 'The disk is full: nothing more can be saved.',
    right: 'Free some space; what you typed is kept here and saved then.',
  }),
  'host.refused': () => ({
    what: 'This address is not one of the shop’s.',
    right: 'Use the address that npm start prints.',
  }),
  'origin.refused': () => ({ what: 'The request came from another site.', right: 'Open the shop’s own page.' }),
  'server.failed': () => ({
    what: 'Something went wrong in the server.',
    right: 'It has been written to the server’s output; try again.',
  }),
};

/** Every code that has words; a test holds the codes of core against it. */
export const wordedCodes: readonly string[] = Object.keys(wordings);

/** Words for a problem, its lengths in the unit of the page; an unknown code says so plainly. */
export function wordProblem(problem: Problem<string>, unit: LengthUnit = 'mm'): Worded {
  return (
    (wordings as Partial<Record<string, Wording>>)[problem.code]?.(problem, inUnit(unit)) ?? {
      what: `Something is wrong (${problem.code}).`,
      right: 'Check the value.',
    }
  );
}

/** A problem with its words, as endpoints and the command line answer it. */
export function tellProblem<Code extends string>(problem: Problem<Code>): Problem<Code> & Worded {
  return { ...problem, ...wordProblem(problem) };
}
