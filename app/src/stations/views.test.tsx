import type { Dial } from '@whelk/core/lathe';
import fc from 'fast-check';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { DialWindow } from '../ui/dial-window/DialWindow.tsx';
import { aimed, byRule, cuttingSpeed, feed, length, measure, minutes } from '../ui/format.ts';
import { LoadBar } from '../ui/LoadBar.tsx';
import { TextField } from '../ui/number-field/TextField.tsx';
import { Ladder } from './cut/run/Ladder.tsx';

const dial: Dial = {
  means: 'dial',
  unit: 'mm',
  travelPerTurn: '2',
  divisions: 100,
  kind: 'radius',
  clockwiseMoves: 'in',
  numbersRise: 'clockwise',
  resettable: true,
  slackMm: 0.1,
  travelMm: 100,
};
interface Label {
  readonly x: number;
  readonly y: number;
  readonly text: string;
}
/** Texts of an SVG with their places. */
function labels(svg: string): Label[] {
  return [...svg.matchAll(/<text[^>]*?x="([\d.-]+)"[^>]*?y="([\d.-]+)"[^>]*>([^<]+)/g)].map((m) => ({
    x: Number(m[1]),
    y: Number(m[2]),
    text: m[3]!,
  }));
}

describe('figures', () => {
  it('have no more digits than a drawing, a dial or a rule', () => {
    expect([length(28, 'mm'), length(12.34567, 'mm'), length(12.7, 'in')]).toEqual(['28', '12.346', '0.5']);
    expect([aimed(28.7895, 'mm'), aimed(24.376, 'in')]).toEqual(['28.79', '0.96']);
    expect([byRule(34.2, 'mm'), byRule(20, 'in'), byRule(121.125, 'in')]).toEqual(['34', '25/32', '4 25/32']);
    expect([measure(28.4105, 'mm'), measure(25.4, 'in')]).toEqual(['28.411', '1.0000']);
    expect([feed(0.2, 'mm'), feed(0.1058, 'in'), cuttingSpeed(30, 'mm'), cuttingSpeed(30.48, 'in')]).toEqual([
      '0.20',
      '0.0042',
      '30 m/min',
      '100 ft/min',
    ]);
    expect([minutes(0.2), minutes(59.4), minutes(61)]).toEqual(['1 min', '59 min', '1 h 1 min']);
  });
});

describe('dial window', () => {
  const draw = (more: Partial<Parameters<typeof DialWindow>[0]> = {}) =>
    renderToStaticMarkup(
      <DialWindow
        name="Cross-slide"
        dial={dial}
        fromLines={7}
        toLines={118}
        fullTurns={1}
        rest="0.22"
        hand="clockwise"
        {...more}
      />,
    );
  it('says in words what it draws', () => {
    expect(draw()).toContain(
      'aria-label="Cross-slide: go to 0.36, 1 full turn and 0.22, clockwise. One line is 0.02 mm."',
    );
    expect(draw({ hand: 'none', fullTurns: 0 })).toContain('already there');
  });
  it('counts full turns in the window, many of them as a figure', () => {
    expect(draw({ fullTurns: 3 }).match(/<circle/g)).toHaveLength(3);
    expect(draw({ fullTurns: 24 })).toContain('24 turns');
    expect(draw({ fullTurns: 0 })).not.toContain('<circle');
  });
  it('never lets two numbers on the ring touch, wherever it stands', () => {
    fc.assert(
      fc.property(fc.integer({ min: -500, max: 500 }), fc.constantFrom(50, 100, 125, 200), (toLines, divisions) => {
        const onRing = labels(draw({ toLines, dial: { ...dial, divisions } }))
          .filter((l) => l.y > 60 && l.y < 90)
          .sort((a, b) => a.x - b.x);
        for (let i = 1; i < onRing.length; i++) expect(onRing[i]!.x - onRing[i - 1]!.x).toBeGreaterThan(28);
        return onRing.every((l) => l.x >= 0 && l.x <= 440);
      }),
    );
  });
});

describe('tolerance ladder', () => {
  const limits = { upperMm: 28, lowerMm: 27.979, how: 'zone' as const };
  it('tells limits, reading and what is left in words', () => {
    const svg = renderToStaticMarkup(
      <Ladder limits={limits} unit="mm" readingsMm={[28.412]} nowMm={28.412} uncertaintyMm={0.004} targetMm={27.99} />,
    );
    expect(svg).toContain('Limits 27.979 to 28.000 mm. Measured 28.412 plus or minus 0.004. To take off: 0.422.');
  });
  it('keeps its figures apart and inside, whatever is measured', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 27.8, max: 30, noNaN: true }),
        fc.double({ min: 0.001, max: 0.03, noNaN: true }),
        (nowMm, uncertaintyMm) => {
          const found = labels(
            renderToStaticMarkup(
              <Ladder
                limits={limits}
                unit="mm"
                readingsMm={[nowMm]}
                nowMm={nowMm}
                uncertaintyMm={uncertaintyMm}
                targetMm={nowMm > 27.99 ? 27.99 : undefined}
              />,
            ),
          ).filter((l) => /^\d/.test(l.text));
          const sorted = [...found].sort((a, b) => a.y - b.y);
          for (let i = 1; i < sorted.length; i++) expect(sorted[i]!.y - sorted[i - 1]!.y).toBeGreaterThan(12);
          return sorted.every((l) => l.y > 10 && l.y < 425);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('fields and bars', () => {
  it('name what is wrong beside the field and tie it to it', () => {
    const html = renderToStaticMarkup(
      <TextField
        label="Length"
        value="3/0"
        onChange={() => {}}
        problem={{ code: 'length.divisionByZero', path: [], value: '3/0' }}
      />,
    );
    expect(html).toContain('aria-invalid="true"');
    const id = /aria-describedby="([^"]+)"/.exec(html)![1];
    expect(html).toContain(`id="${id}"`);
    expect(html).toContain('divides by zero');
  });
  it('warn without calling the field wrong', () => {
    const html = renderToStaticMarkup(
      <TextField
        label="Limits"
        value="h7"
        onChange={() => {}}
        problem={{ code: 'route.tooFine.ring', path: [], value: 0.021, severity: 'warning' }}
        note="28.000 / 27.979"
      />,
    );
    expect(html).toContain('aria-invalid="false"');
    expect(html).toContain('28.000 / 27.979');
  });
  it('say in words what a load’s colour says', () => {
    expect(renderToStaticMarkup(<LoadBar name="Grip" share={1.2} text="120 %" />)).toContain('too much');
    expect(renderToStaticMarkup(<LoadBar name="Grip" share={0.8} text="80 %" />)).toContain('near');
    expect(renderToStaticMarkup(<LoadBar name="Grip" share={0.3} text="30 %" />)).not.toMatch(/near|too much/);
  });
});
