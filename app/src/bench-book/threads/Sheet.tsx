import type { LengthUnit } from '@whelk/core/quantity';
import {
  type NamedThread,
  NEARLY_ALL,
  NUT_DIAMETERS,
  type Side,
  type SizeLimits,
  stressAreaMm2,
  threadSheet,
} from '@whelk/core/thread';
import { measure } from '../../ui/format.ts';

const INCH_FORMS: readonly NamedThread['form'][] = [
  ...(['unified', 'whitworth', 'acme', 'acmeCentralizing', 'stubAcme', 'npt', 'buttress'] as const),
];
/** The unit that a thread is told in: its own standard's. */
export const unitOfThread = ({ form }: NamedThread): LengthUnit => (INCH_FORMS.includes(form) ? 'in' : 'mm');

/** An area in its unit. */
const area = (mm2: number, unit: LengthUnit): string =>
  unit === 'mm' ? `${mm2.toFixed(1)} mm²` : `${(mm2 / 25.4 ** 2).toFixed(4)} in²`;

/** What is turned, cut and measured of a thread. */
export function Sheet({
  thread,
  side,
  close,
  unit,
}: {
  thread: NamedThread;
  side: Side;
  close: string;
  unit: LengthUnit;
}) {
  const sheet = threadSheet(thread, side, close);
  const { limits } = sheet;
  const f = (mm: number, more = 0) => measure(mm, unit, (unit === 'mm' ? 3 : 4) + more);
  const short = (mm: number) => measure(mm, unit, unit === 'mm' ? 2 : 3);
  const outside = side === 'outside';
  const perInch = 'perInch' in thread.pitch ? `${thread.pitch.perInch} to the inch, ` : '';
  const tip = sheet.tip.kind === 'flat' ? `flat of ${f(sheet.tip.flatMm)}` : `round of ${f(sheet.tip.radiusMm)}`;
  return (
    <section aria-label="Sizes">
      {limits ? (
        <table className="table text-base">
          <caption className="text-left text-sm">
            Limits, {unit}
            {sheet.classes[0] === undefined ? '' : `, class ${close || sheet.classes[0]}`}
          </caption>
          <thead>
            <tr>
              <th scope="col">Diameter</th>
              <th scope="col" className="text-right">
                largest
              </th>
              <th scope="col" className="text-right">
                smallest
              </th>
            </tr>
          </thead>
          <tbody>
            <Row name={outside ? 'Over the crests: the blank' : 'Major, cleared'} of={limits.major} f={f} />
            <Row name="Pitch diameter" of={limits.pitchDiameter} f={f} strong />
            <Row name={outside ? 'Root' : 'Bore before it'} of={limits.minor} f={f} />
          </tbody>
        </table>
      ) : (
        <p className="field-problem">“{close}” is no class of this thread on this side.</p>
      )}
      <dl className="mt-4 grid grid-cols-[max-content_1fr] gap-x-6 gap-y-1.5 text-base">
        <dt className="muted">Pitch, lead</dt>
        <dd>
          {perInch}
          {f(thread.pitchMm, 'perInch' in thread.pitch ? 1 : 0)}
          {thread.starts > 1 ? `, ${thread.starts} starts, lead ${f(thread.leadMm)}` : ''} {unit}; it climbs{' '}
          {sheet.leadAngleDeg.toFixed(1)}°
        </dd>
        <dt className="muted">Bit</dt>
        <dd>
          {sheet.includedDeg === 2 * sheet.flanksDeg[0]
            ? `${sheet.includedDeg}°`
            : `${sheet.flanksDeg[0]}° and ${sheet.flanksDeg[1]}°`}
          , {tip}; no wider than {f(sheet.widest.flatMm)} {unit}. Clearance: leading flank{' '}
          {Math.ceil(sheet.leadAngleDeg + 3)}°, trailing 3° and more
        </dd>
        <dt className="muted">Depth with it</dt>
        <dd>
          <b>{f(sheet.depthMm)}</b> {unit} on the radius, to the middle of the limits
        </dd>
        <dt className="muted">Run-out groove</dt>
        <dd>
          {short(sheet.groove.usualMm)} wide, {short(sheet.groove.leastMm)} at the least; floor Ø
          {short(sheet.groove.floorMm)} {unit}
        </dd>
        <dt className="muted">Chamfer first</dt>
        <dd>
          {outside ? 'down' : 'out'} to Ø{short(sheet.chamferMm)} {unit}
        </dd>
        {sheet.dies && (
          <>
            <dt className="muted">Blank for a die</dt>
            <dd>
              {sheet.dies.map(({ part, blankMm }) => `Ø${short(blankMm)} (P/${part})`).join(', ')} {unit}
            </dd>
          </>
        )}
        {sheet.bores && (
          <>
            <dt className="muted">Bore for a tap</dt>
            <dd>
              {sheet.bores.map(({ share, boreMm }) => `Ø${short(boreMm)} (${Math.round(100 * share)} %)`).join(', ')}{' '}
              {unit}
            </dd>
          </>
        )}
        <dt className="muted">Strength</dt>
        <dd>
          {outside ? (
            <>
              A bolt of it breaks across {area(stressAreaMm2(thread), unit)}. In steel a nut {NUT_DIAMETERS.steel}{' '}
              diameters long holds till then; in cast iron or brass {NUT_DIAMETERS.ironOrBrass}, in aluminium{' '}
              {NUT_DIAMETERS.aluminium}
            </>
          ) : (
            <>
              {Math.round(100 * NEARLY_ALL.share)} % of the height bears about {Math.round(100 * NEARLY_ALL.bears)} % of
              what all of it does: a larger bore spares the tap and costs little
            </>
          )}
        </dd>
        {sheet.wires && (
          <>
            <dt className="muted">Three wires</dt>
            <dd>
              best Ø{f(sheet.wires.bestMm)}, from {f(sheet.wires.leastMm)} to {f(sheet.wires.mostMm)}
              {sheet.wires.over && (
                <>
                  ; over the best <b>{f(sheet.wires.over.lowerMm)}</b> to <b>{f(sheet.wires.over.upperMm)}</b>
                </>
              )}{' '}
              {unit}
            </dd>
          </>
        )}
        {sheet.oneWire && (
          <>
            <dt className="muted">One wire</dt>
            <dd>
              Ø{f(sheet.oneWire.wireMm)}, flush with the crests only where all is basic
              {sheet.oneWire.standsMm && (
                <>
                  ; in the limits its top stands <b>{f(-sheet.oneWire.standsMm.upperMm)}</b> to{' '}
                  <b>{f(-sheet.oneWire.standsMm.lowerMm)}</b> {unit} below a blank in the middle of its own
                </>
              )}
            </dd>
          </>
        )}
      </dl>
    </section>
  );
}

function Row({
  name,
  of,
  f,
  strong = false,
}: {
  name: string;
  of: SizeLimits | { readonly leastMm: number } | { readonly basicMm: number };
  f: (mm: number) => string;
  strong?: boolean;
}) {
  const [largest, smallest] =
    'upperMm' in of ? [f(of.upperMm), f(of.lowerMm)] : 'leastMm' in of ? ['', f(of.leastMm)] : [f(of.basicMm), ''];
  const cell = `text-right figure ${strong ? 'font-bold text-lg' : ''}`;
  return (
    <tr>
      <th scope="row" className={strong ? 'font-bold' : 'font-normal'}>
        {name}
      </th>
      <td className={cell}>{largest}</td>
      <td className={cell}>{smallest}</td>
    </tr>
  );
}
