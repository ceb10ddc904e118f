import { heldBy } from '@whelk/core/hold';
import { type Job, nextSetup, type PlannedSetup, planJob, type Shop, shopFileSchema } from '@whelk/core/job';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import shopJson from '../../../../demo/shop.json' with { type: 'json' };
import { SetupBar } from '../frame/SetupBar.tsx';
import AboutSetup from './AboutSetup.tsx';
import { Bears } from './Bears.tsx';
import { SetupForm } from './SetupForm.tsx';
import Together from './Together.tsx';

const demo = shopFileSchema.parse(shopJson);
const shop: Shop = { ...demo, materials: [] };
const { job } = demo.jobs.find((j) => j.job.hold.setups.length > 1)!;
const planned = planJob(job, shop);
const nameOf = (id: string | undefined): string => job.drawing.features.find((f) => f.id === id)?.name ?? id ?? '';
const nothing = () => {};
/** What a page says, without its tags. */
const said = (node: React.ReactElement): string =>
  renderToStaticMarkup(node)
    .replace(/<[^>]+>/g, ' ')
    .replace(/&#x27;/g, "'")
    .replace(/\s+/g, ' ');
const about = (setup: PlannedSetup, of: Job = job): string =>
  said(<AboutSetup job={of} planned={planJob(of, shop)} setup={setup} nameOf={nameOf} />);

describe('the row of holdings', () => {
  const bar = (of: Job, onAdd?: () => void) => {
    const planned = planJob(of, shop);
    const next = nextSetup(planned.setups, '00000000-0000-4000-8000-000000000009');
    return said(<SetupBar planned={planned} shown={1} onShow={nothing} next={next} onAdd={onAdd} />);
  };
  it('names each with its end, its operations and its time', () => {
    expect(bar(job)).toMatch(
      /1\. three-jaw 160 and tail centre right end to the tailstock · \d+ operations, 2 h \d+ min/,
    );
    expect(bar(job)).toMatch(/2\. four-jaw 200 left end to the tailstock · \d+ operations, \d+ min/);
  });
  it('offers the next one where something is left for it, and only where one can be added', () => {
    const first = { ...job, hold: { ...job.hold, setups: [job.hold.setups[0]!] } };
    expect(bar(first, nothing)).toContain('Turn it end for end');
    expect(bar(first)).not.toContain('Turn it end for end');
    expect(bar(job, nothing)).not.toContain('Turn it end for end');
  });
  it('says of one that cannot be, and of one with nothing to cut, that it is so', () => {
    const [before, setup] = job.hold.setups;
    const wrong = { ...job, hold: { ...job.hold, setups: [before!, heldBy(setup!, 'mandrel')] } };
    expect(bar(wrong)).toContain('✕ cannot be held so');
    const idle = {
      ...job,
      hold: {
        ...job.hold,
        setups: [...job.hold.setups, { ...setup!, tail: 'right' as const, support: 'auto' as const }],
      },
    };
    expect(bar(idle)).toContain('nothing to cut');
  });
});

describe('what is said of a holding', () => {
  it('is its datum, where it is held, how far it stands out, its centre and its locks', () => {
    const [first, second] = planned.setups.map((s) => about(s));
    expect(first).toContain('the right end, faced here first');
    expect(first).toContain('of spare stock');
    expect(first).toMatch(/in the right end, drilled [\d.]+ mm in this holding/);
    expect(first).toMatch(/centre hole: set tailstock/);
    expect(second).toContain('face until the whole length is right');
    expect(second).toContain('on Bearing, Ø28');
    expect(second).toContain('face the end: set carriage; touch off: loosen carriage');
    for (const text of [first, second]) expect(text).not.toMatch(/undefined|NaN|\d\.\d{4,}/);
  });
  it('stands in the job’s own unit', () => {
    const inches = demo.jobs.find((j) => j.job.drawing.unit === 'in' && j.job.stock.barId)!.job;
    const { setups } = planJob(inches, shop);
    expect(about(setups[0]!, inches)).toMatch(/Stands out [\d /]+ in,/);
    const together = said(<Together setups={planned.setups} unit="in" nameOf={nameOf} />);
    expect(together).toContain('runs out up to 0.0004 in against Bearing');
  });
  it('tells what is true to what', () => {
    const text = said(<Together setups={planned.setups} unit="mm" nameOf={nameOf} />);
    expect(text).toContain('1 Collar, Bearing, Thread, Square the bar: nothing to be true to yet');
    expect(text).toContain('2 Journal runs out up to 0.010 mm against Bearing');
  });
  it('shows what each asks of motor, work and grip, with no more digits than count', () => {
    for (const { plan } of planned.setups) {
      const text = said(<Bears plan={plan} unit="mm" nameOf={nameOf} tell={() => nothing} />);
      expect(text).toMatch(/\d\.\d\d of \d\.\d\d kW/);
      expect(text).toMatch(/0\.\d{3} of 0\.\d{3} mm on the diameter/);
      expect(text).toMatch(/\d+ % of what it is safely held with/);
    }
  });
});

describe('the choices of a holding', () => {
  const choices = (method: 'auto' | 'betweenCentres' | 'faceplate', number = 2, cast = false) => {
    const setup = planned.setups[number - 1]!;
    const lathe = shop.lathes.find((l) => l.id === job.hold.latheId)!;
    return said(
      <SetupForm
        {...{
          setup: heldBy(setup.setup, method),
          planned: setup,
          number,
          cast,
          lathe,
          clearanceMm: 5,
          nameOf,
        }}
        onChange={nothing}
        onClearance={nothing}
      />,
    );
  };
  it('are a chuck and a place for jaws, a place for a dog, neither for what needs none', () => {
    expect(choices('auto')).toContain('Chuck');
    expect(choices('auto')).toMatch(/Whelk chooses: Bearing/);
    expect(choices('auto')).toContain('Thread, Ø24 × 55 mm, thread or knurl on it');
    expect(choices('betweenCentres')).toContain('Dog on');
    expect(choices('betweenCentres')).not.toContain('Grip, mm');
    expect(choices('faceplate')).not.toMatch(/Dog on|Grip on|Between it and the work/);
  });
  it('are the same the first time, with the spare stock of a bar, which a casting has not', () => {
    for (const label of ['End at the tailstock', 'Means', 'Chuck', 'Grip on', 'What is done'])
      expect(choices('auto', 1)).toContain(label);
    expect(choices('auto', 1)).toContain('Spare stock beyond the part');
    expect(choices('auto', 1, true)).not.toContain('Spare stock');
    expect(choices('auto')).not.toContain('Spare stock');
  });
});
