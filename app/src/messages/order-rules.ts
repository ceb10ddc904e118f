import type { OrderRuleCode } from '@whelk/core/route';

/** What each rule of the order of work is called, and why it is one. */
export const orderRuleText: Readonly<Record<OrderRuleCode, { readonly name: string; readonly why: string }>> = {
  putInFirst: { name: 'Put in first', why: 'Nothing is done on work that is not in the lathe yet.' },
  endFirst: { name: 'The end first', why: 'All lengths are told from the end that is faced first.' },
  carriedFirst: {
    name: 'As it is carried',
    why: 'What needs the end free comes before the centre is up, what is carried by it after.',
  },
  reamAfterBore: {
    name: 'Reamer after the bore',
    why: 'A reamer follows the hole that is there: it is drilled and bored true before.',
  },
  metalOff: {
    name: 'What stands over it',
    why: 'Metal over a place comes off before anything is cut there: each cut is told for the metal that it finds.',
  },
  sizeInTurn: {
    name: 'A size in its turn',
    why: 'Cuts and measurements of one surface follow each other: each goes by what the one before left.',
  },
  toolKnown: {
    name: 'The tool known',
    why: 'A dial’s number means something only once its tool has touched the work.',
  },
  lookFirst: {
    name: 'A look before power',
    why: 'Before the first feed under power the work is turned once by hand.',
  },
  partLast: { name: 'Cut off last', why: 'Off its spare stock the piece is no longer held.' },
  roughFirst: {
    name: 'Rough before finish',
    why: 'Everything is roughed before a close size is finished: heat, and what is set free in the metal, move it.',
  },
  weakLate: { name: 'Weak places late', why: 'Nothing heavy is cut beyond a groove or a neck: it bends there.' },
  coolToMeasure: { name: 'Cool before measuring', why: 'Hot work is not measured for a close size: it shrinks.' },
  easierLast: {
    name: 'Easier to correct goes last',
    why: 'A reamed or bored hole is as it is; an outside is still cut or polished to its mate.',
  },
  threadAfter: {
    name: 'Thread when all is ready',
    why: 'A thread comes when its length is to size, its groove cut and its end chamfered: cut afterwards they would leave burrs in it, and nothing to run out in.',
  },
  edgesLast: { name: 'Edges last', why: 'Edges are broken once nothing is cut any more that leaves a new one.' },
};

/** Rules over all holdings of a job, with the problems that tell where one is broken. */
export const acrossRules: readonly {
  readonly name: string;
  readonly why: string;
  readonly codes: readonly string[];
}[] = [
  {
    name: 'Concentric surfaces together',
    why: 'What is to run true to each other is turned in one holding, or in one that keeps it true.',
    codes: ['hold.losesTruth', 'hold.losesSquare'],
  },
  {
    name: 'Bore before its outside on a mandrel',
    why: 'A mandrel or an arbor holds by a hole that is at its size.',
    codes: ['hold.notBoredYet', 'hold.noThroughHole'],
  },
];
