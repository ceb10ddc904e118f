import type { OrderRuleCode } from '@whelk/core/route';
import { orderRuleText } from './order-rules.ts';
import { plain, text, type Wording } from './wording.ts';

/** Words for what a route lacks, or asks too much of. */
export const routeWordings = {
  'route.noTool': (p) => ({ what: `The shop has no ${plain(p.value)}.`, right: 'Add one under Tools & gauges.' }),
  'route.nothing': () => ({
    what: 'Nothing is turned in any holding of this job.',
    right: 'See at Hold which end stands at the tailstock, and what waits for another holding.',
  }),
  'route.lacks.drill': (p, u) => ({
    what: `No drill of the drawer makes the hole of Ø${u.len(p.value)} as deep as it is${p.limit === undefined ? '' : `; the nearest is ${u.len(p.limit)}`}.`,
    right: 'Add that drill under Tools & gauges; what is wider can be bored where a bar enters.',
  }),
  'route.lacks.reamer': (p, u) => ({
    what: `No reamer of the drawer makes Ø${u.len(p.value)}${p.limit === undefined ? '' : `; the nearest is ${u.len(p.limit)}`}, and no bar bores it.`,
    right: 'Add the reamer, or a bar that enters, under Tools & gauges.',
  }),
  'route.lacks.room': (p, u) => ({
    what: `No drill of the drawer opens the hole of Ø${u.len(p.value)} so far that a bar of it enters, and faces its bottom with its back clear of the wall.`,
    right:
      'Add a larger drill, for a shallow hole one with a flat end (its point 180°), or a smaller bar, under Tools & gauges.',
  }),
  'route.lacks.bar': (p, u) => ({
    what: `No boring bar of the drawer enters Ø${u.len(p.value)} and reaches its bottom${p.limit === undefined ? '' : `; the nearest enters Ø${u.len(p.limit)}`}.`,
    right:
      'Add a smaller or longer bar, a larger drill to go before it, or a reamer of the size, under Tools & gauges.',
  }),
  'route.lacks.blade': (p, u) => ({
    what: `No square blade of the drawer goes into a groove ${u.len(p.value)} wide and ${u.len(p.limit)} deep.`,
    right: 'Add a narrower or longer one under Tools & gauges; it can be ground from a bit.',
  }),
  'route.lacks.insideBlade': (p, u) => ({
    what: `No blade on a bar enters this hole, goes into a groove ${u.len(p.value)} wide and ${u.len(p.limit)} deep, and reaches it.`,
    right: 'Add an inside grooving blade under Tools & gauges; one can be ground on a bar.',
  }),
  'route.lacks.insideVee': (p, u) => ({
    what: `No pointed bit on a bar is ground to ${plain(p.value)}°, enters this hole and goes ${u.len(p.limit)} deep there.`,
    right: 'Add an inside threading bit of that angle under Tools & gauges, or draw the groove square.',
  }),
  'route.lacks.form': (p, u) => ({
    what: `No tool of the drawer has the form of a groove ${u.len(p.value)} wide and ${u.len(p.limit)} deep.`,
    right: 'Grind one to its form and add it under Tools & gauges, or draw the groove square.',
  }),
  'route.lacks.faceBlade': (p, u) => ({
    what: `No blade for faces goes into a groove ${u.len(p.value)} wide and ${u.len(p.limit)} deep and clears its outer wall.`,
    right: 'Grind one, its back round enough for the outer wall, and add it under Tools & gauges.',
  }),
  'route.lacks.floorBlade': (p, u) => ({
    what: `No blade for faces reaches the bottom of this hole for a groove ${u.len(p.value)} wide and ${u.len(p.limit)} deep, and clears its walls.`,
    right:
      'Grind one on a bar that enters the hole, and add it under Tools & gauges with the hole it enters and how far it reaches.',
  }),
  'route.lacks.vee': (p, u) => ({
    what: `No pointed bit of the drawer is ground to ${plain(p.value)}° and goes ${u.len(p.limit)} deep.`,
    right: 'Grind one to that angle and add it under Tools & gauges, or draw the groove square.',
  }),
  'route.lacks.threading': (p) => ({
    what: `No threading bit of the drawer has flanks of ${plain(p.value)}° and goes ${p.limit} mm deep with a point narrow enough.`,
    right: 'Grind one to the form by its grinding sheet, and add it under Tools & gauges.',
  }),
  'route.lacks.insideThreading': (p) => ({
    what: `No inside threading bit of the drawer has flanks of ${plain(p.value)}°, enters the hole and reaches all along it.`,
    right: 'Add one that does under Tools & gauges, or a tap of that thread.',
  }),
  'route.lacks.knurl': (p, u) => ({
    what: `No knurling wheels of the drawer are ${p.limit === 1 ? 'straight' : 'for a diamond'} with a pitch of ${u.len(p.value)}.`,
    right: 'Buy a pair of that pitch and add it under Tools & gauges, or draw one that you have.',
  }),
  'route.lacks.nose': (p, u) => ({
    what: `${text(p)}: no round nose of the drawer goes all along its curve in 80 steps${p.limit === undefined ? '' : `, whose hollow is R${u.len(p.limit)}`}.`,
    right:
      'Grind a bit with a full round nose, as wide as twice its radius, smaller than a hollow and as large as may be, and add it under Tools & gauges as a form tool.',
  }),
  'route.lacks.countersink': (p, u) => ({
    what: `No countersink of the drawer makes a cone of ${plain(p.value)}° up to Ø${u.len(p.limit)}.`,
    right: 'Add one under Tools & gauges.',
  }),
  'route.moveRefused': (p) => ({
    what: `An operation that was moved stays where it is planned. ${orderRuleText[p.limit as OrderRuleCode]?.why ?? 'A rule that is never broken says so.'}`,
    right: 'Move it elsewhere, or plan the order anew under Route.',
  }),
  'route.noTaperWay': (p, u) => ({
    what: `${text(p)} is not turned: no one setting of this lathe goes along all of it${p.limit === undefined ? '' : `, ${u.len(p.limit)}`}.`,
    right:
      'Between centres the tailstock set over, a lathe with a taper attachment or a longer compound. In two settings of a short compound it is blended by hand and eye.',
  }),
  'route.exceeds.bar': (p) => ({
    what: `${text(p)} is not bored: even the lightest cut bends the bar more than its limits bear.`,
    right: 'Take a stiffer or shorter bar, or ream it.',
  }),
  'route.exceeds.power': (p) => ({
    what: `${text(p)} is not cut: even the lightest cut asks more than the motor gives.`,
    right: 'Choose a stronger lathe or a slower speed.',
  }),
  'route.exceeds.bend': (p) => ({
    what: `${text(p)} is not cut: even the lightest cut bends the work more than its limits bear.`,
    right: 'Carry it nearer to the cut: a tail centre, a rest, or less standing out.',
  }),
  'route.exceeds.grip': (p) => ({
    what: `${text(p)} is not cut: even the lightest cut slips or tips it in the jaws.`,
    right: 'Grip more of it, carry its end, or use a stronger chuck.',
  }),
  'route.tooFine.ring': (p, u) => ({
    what: `Limits of ${u.len(p.value)} are finer than this lathe’s rings are sure to hit, the swung compound’s too.`,
    right: 'It is roughed and left with metal on it: a finer lathe, a grinder, or wider limits.',
  }),
  'route.tooFine.gauge': (p, u) => ({
    what: `Limits of ${u.len(p.value)} are finer than any gauge here can judge.`,
    right: 'It is roughed and left with metal on it: add a finer gauge under Tools & gauges, or widen the limits.',
  }),
  'route.tooFine.edge': (p, u) => ({
    what: `Limits of ${u.len(p.value)} want last cuts finer than the finishing edge takes.`,
    right: 'It is roughed and left with metal on it: add a keen HSS finisher, or widen the limits.',
  }),
} as const satisfies Readonly<Record<string, Wording>>;
