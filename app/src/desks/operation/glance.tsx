import { turnsOver } from '@whelk/core/hold';
import { carriageMove } from '@whelk/core/run';
import { wayWith } from '../../ui/dial-window/HandsList.tsx';
import { byRule } from '../../ui/format.ts';
import type { ShownOperation } from './shown.ts';

export const glance: ShownOperation<'glance'> = {
  name: 'A look before power',
  title: () => 'A look before the feed goes in: once round by hand',
  Detail: ({ operation: o, unit }) => (
    <p>
      {o.gapMm === undefined ? '' : `The tool comes to ${byRule(o.gapMm, unit)} ${unit} from what holds the work. `}The
      first feed is thrown out {byRule(o.throwOutMm, unit)} {unit} from the finished end.
    </p>
  ),
  stepTitle: (_, { frozen }) =>
    `A look before the feed goes in: turn the ${turnsOver(frozen.plan.held.method) ? 'bar' : 'work'} once round by hand`,
  Panel: ({ step, frozen }) => {
    const { lathe } = frozen.means;
    const { unit, slides } = lathe;
    const stands = turnsOver(frozen.plan.held.method) !== undefined;
    const { setting } = frozen.plan.operations.find((o) => o.passes.length > 0) ?? {};
    const move = carriageMove(lathe, 0, step.throwOutMm);
    return (
      <ol className="flex max-w-4xl list-decimal flex-col gap-2 pl-6 text-lg md:col-span-2">
        <li>
          Spindle stopped and out of gear.{' '}
          {stands
            ? 'Bring the work along its whole way past the cutter by hand, clear of bolts, clamps and slide at either end'
            : 'With the cross-slide drawn back, bring the tool to where it comes nearest to what holds the work'}
          {step.gapMm !== undefined && (
            <>
              , <b className="figure">{byRule(step.gapMm, unit)}</b> {unit} from it
            </>
          )}
          , and turn the {stands ? 'bar' : 'work'} once round by hand: nothing touches, neither tool, holder, slide nor
          guard.
        </li>
        {setting && (
          <li>
            Levers for the first cut: <b>{setting.speedLabel}</b>
            {setting.feedLabel ? (
              <>
                , feed <b>{setting.feedLabel}</b>
              </>
            ) : null}
            . Feed engaged by nothing yet.
          </li>
        )}
        <li>
          The first feed is thrown out <b className="figure">{byRule(step.throwOutMm, unit)}</b> {unit} from the
          finished end
          {move && slides.carriage.means === 'dial'
            ? `, ${wayWith(move.fullTurns, move.rest, slides.carriage.unit)} on the carriage from there`
            : ''}
          : know the lever, a hand on it.
        </li>
        <li>{stands ? 'Nothing left on slide or ways' : 'Key out of the chuck'}, guard down, sleeves, eyes.</li>
      </ol>
    );
  },
};
