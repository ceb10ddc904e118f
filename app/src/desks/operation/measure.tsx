import { fitness } from '@whelk/core/gauge';
import { fitnessText } from '../../messages/words.ts';
import { length } from '../../ui/format.ts';
import { measuredAfterText } from './at-lathe.ts';
import type { ShownOperation } from './shown.ts';

export const measure: ShownOperation<'measure'> = {
  name: 'Measure',
  title: ({ last, limits }, { name, unit }) => {
    if (!last) return `Measure ${name}, between the cuts`;
    return `Measure ${name} ${limits ? `${length(limits.lowerMm, unit)} … ${length(limits.upperMm, unit)}` : ''}`;
  },
  Detail: ({ operation: { limits }, gauge }) => (
    <p className="mt-1">
      {gauge && limits ? (
        <>
          With <b>{gauge.name}</b>, {fitnessText[fitness(limits.upperMm - limits.lowerMm, gauge.uncertaintyMm)]}
        </>
      ) : (
        'No gauge of the shop reaches this size.'
      )}
    </p>
  ),
  stepTitle: (step, { name }) => `Measure ${name}, ${measuredAfterText(step)}`,
};
