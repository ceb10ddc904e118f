import { inUnit } from '../../messages/in-unit.ts';
import { byRule } from '../../ui/format.ts';
import type { ShownOperation } from './shown.ts';

export const mark: ShownOperation<'mark'> = {
  name: 'Set out the lengths',
  title: ({ marksMm }, { unit }) =>
    `Set out the lengths: ${marksMm.map((mm) => byRule(mm, unit)).join(', ')} ${unit} from the finished end`,
  stepTitle: ({ marksMm }) => `Set out the lengths: ${marksMm.length === 1 ? 'one line' : `${marksMm.length} lines`}`,
  Panel: ({ step, frozen }) => {
    const { unit } = frozen.means.lathe;
    return (
      <div className="flex max-w-3xl flex-col gap-3 text-lg md:col-span-2">
        <p>
          The carriage has no ring: lengths are stopped at lines. Spindle stopped and out of gear. Blue the metal; with
          rule and square from the finished end scribe a line at
        </p>
        <p>
          {step.marksMm.map((mm, i) => (
            <span key={mm}>
              {i > 0 ? ', ' : ''}
              <b className="text-3xl">{byRule(mm, unit)}</b>
            </span>
          ))}{' '}
          {unit}
        </p>
        <p>
          The line’s edge towards the finished end counts. With the tool’s point turn each once round by hand, a hair
          deep, so that it stays when the blue is off. Roughing stops {inUnit(unit).len(step.leavesMm, 2)} before it:
          that comes off with the shoulder, which then splits the line.
        </p>
      </div>
    );
  },
};
