import { kindOf, type Operation } from '../operation/kinds.ts';
import type { OrderRule } from './rule.ts';

const putsIn = ({ kind }: Operation): boolean => kind === 'mount';

/** Nothing is done on work that is not in the lathe yet. */
export const putInFirst: OrderRule = {
  ...{ code: 'putInFirst', severity: 'never' },
  before: (one, other) => putsIn(one) && !putsIn(other),
};

/** All lengths are told from the end that is faced first. */
export const endFirst: OrderRule = {
  ...{ code: 'endFirst', severity: 'never' },
  before: (one, other) => kindOf(one.kind).makes === 'overall' && !putsIn(other) && other.kind !== one.kind,
};

/** What needs the end free comes before the centre is up, what is carried by it after. */
export const carriedFirst: OrderRule = {
  ...{ code: 'carriedFirst', severity: 'never' },
  before: (one, other) => {
    const [a, b] = [kindOf(one.kind).tailstock, kindOf(other.kind).tailstock];
    if (one.kind === 'changeSupport') return b === 'carries';
    return other.kind === 'changeSupport' && a !== 'carries';
  },
};

/** Off its spare stock the piece is no longer held: that comes last. */
export const partLast: OrderRule = {
  ...{ code: 'partLast', severity: 'never' },
  before: (one, other) => kindOf(other.kind).cutsOff === true && kindOf(one.kind).cutsOff !== true,
};
