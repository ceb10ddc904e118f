import { describe, expect, it } from 'vitest';
import type { Move } from '../../hold/index.ts';
import { boreStep, drawer, holeGauges, hollow } from '../../testing/drawer.ts';
import { type AskedMore, feature, planInput, planRoute } from '../../testing/shop.ts';
import { judged, moved, ordered, withMove } from './moves.ts';
import { brokenBy, orderRules, placesIn } from './rules.ts';

const bush = hollow(
  [feature(1, 50, 10), feature(2, 40, 30, 'h7', { details: [] })],
  [boreStep('h2', 20, '', { limits: 'H7', kind: 'reamed' })],
);
const more: AskedMore = { tools: drawer, instruments: holeGauges, cutsOff: true };
const input = planInput(bush, 52, more);
const plan = planRoute(input);
const { part } = input.piece;
const about = { part, planned: placesIn(plan.operations) };
const ids = plan.operations.map((o) => o.id);
const planMoved = (...moves: Move[]) => planRoute(planInput(bush, 52, { ...more, setup: { moves } }));
const place = (list: readonly string[], id: string): number => list.indexOf(id);
const says = (id: string, before: string | null) => {
  const { refused, against } = judged(plan.operations, { id, before }, about);
  return [refused?.code, against.map((b) => b.code)];
};

describe('the order of work', () => {
  it('is planned so that no rule is broken', () => {
    expect(brokenBy(plan.operations, about)).toEqual([]);
    expect(plan.planned).toEqual(ids);
    expect(ids).toEqual(expect.arrayContaining(['face', 'h2-drill', 'h2-ream', 'f2-finish', 'breakEdges']));
  });
  it.each([
    ['mount', null, 'putInFirst'],
    ['face', 'f1-rough', 'endFirst'],
    ['h2-ream', 'h2-drill', 'reamAfterBore'],
    ['f2-finish', 'f2-rough', 'metalOff'],
    ['f2-after', 'f2-finish', 'sizeInTurn'],
    ['touchOff', 'f2-rough', 'toolKnown'],
    ['glance', 'f2-rough', 'lookFirst'],
    [ids.at(-1)!, 'f1-rough', 'partLast'],
  ])('%s before %s is refused: %s', (id, before, code) => {
    expect(says(id, before)[0]).toBe(code);
  });
  it.each([
    ['h2-ream', 'breakEdges', 'easierLast'],
    ['breakEdges', 'h2-ream', 'edgesLast'],
  ])('%s before %s is spoken against: %s', (id, before, code) => {
    const [refused, against] = says(id, before);
    expect(refused).toBeUndefined();
    expect(against).toContain(code);
  });
  it('nothing is said of what no rule forbids', () => {
    // a hole may be drilled after the outside was roughed as well
    const [refused, against] = says('spot', 'touchOff');
    expect([refused, against]).toEqual(['metalOff', []]);
    expect(says('f1-rough', 'f2-rough')).toEqual([undefined, []]);
    const free = judged(plan.operations, { id: 'h2-ream', before: 'f1-finish' }, about);
    expect(free.refused).toBeUndefined();
  });
  it('every rule has a severity, the dangerous ones are never broken', () => {
    expect(orderRules.filter((r) => r.severity === 'never').map((r) => r.code)).toEqual([
      ...[
        'putInFirst',
        'partLast',
        'endFirst',
        'carriedFirst',
        'reamAfterBore',
        'threadAfter',
        'metalOff',
        'sizeInTurn',
        'toolKnown',
        'lookFirst',
      ],
    ]);
    expect(orderRules).toHaveLength(15);
  });
});

describe('an operation that is moved', () => {
  it('stands where it was put, all others in their order, and settings follow it', () => {
    const next = planMoved({ id: 'breakEdges', before: 'f2-finish' });
    const order = next.operations.map((o) => o.id);
    expect(place(order, 'breakEdges') + 1).toBe(place(order, 'f2-finish'));
    expect(order.filter((id) => id !== 'breakEdges')).toEqual(ids.filter((id) => id !== 'breakEdges'));
    expect(next.planned).toEqual(ids);
    expect(next.after.contour).toEqual(plan.after.contour);
    expect(brokenBy(next.operations, about).map((b) => b.code)).toContain('edgesLast');
  });
  it('one that would break a rule that is never broken stays, and that is told', () => {
    const next = planMoved({ id: 'h2-ream', before: 'h2-drill' });
    expect(next.operations.map((o) => o.id)).toEqual(ids);
    expect(next.problems).toContainEqual(
      expect.objectContaining({
        code: 'route.moveRefused',
        value: 'h2-ream',
        limit: 'reamAfterBore',
        severity: 'warning',
      }),
    );
  });
  it('moves of what is not there any more mean nothing', () => {
    const gone = [
      { id: 'f9-rough', before: 'f1-rough' },
      { id: 'f2-finish', before: 'f9-rough' },
    ];
    const next = planMoved(...gone);
    expect(next.operations.map((o) => o.id)).toEqual(ids);
    expect(next.problems.map((p) => p.code)).not.toContain('route.moveRefused');
  });
  it('one operation is moved once: its last place counts', () => {
    const moves = withMove(
      [
        { id: 'a', before: 'b' },
        { id: 'c', before: null },
      ],
      { id: 'a', before: null },
    );
    expect(moves).toEqual([
      { id: 'c', before: null },
      { id: 'a', before: null },
    ]);
    expect(moved(plan.operations, { id: 'face', before: 'face' })).toBeUndefined();
    expect(ordered(plan.operations, [], part)).toEqual({ order: plan.operations, refused: [] });
  });
});

describe('what is left for a later holding', () => {
  it('is not cut in this one, nor what lies behind it in a hole, and waits for the other', () => {
    const next = planRoute(planInput(bush, 52, { ...more, setup: { leave: ['f2', 'h2'] } }));
    expect(next.operations.some((o) => o.featureId === 'f2' || o.featureId === 'h2')).toBe(false);
    expect(next.waiting).toEqual(
      expect.arrayContaining([
        { id: 'f2', why: 'otherSetup' },
        { id: 'h2', why: 'otherSetup' },
      ]),
    );
    expect(next.operations.some((o) => o.featureId === 'f1')).toBe(true);
  });
});
