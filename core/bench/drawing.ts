import { flatten } from '../src/contour/index.ts';
import { outsideProfile, resolveDrawing, solveChain } from '../src/part/index.ts';
import { rational } from '../src/quantity/index.ts';
import { drawingOf, feature } from '../src/testing/shop.ts';
import { median, row } from './measure.ts';

/** What drawing costs: outlines, the chain of sizes, a whole drawing read. */
const kinds = ['cylinder', 'taper', 'arc', 'cylinder'] as const;
const many = drawingOf(
  Array.from({ length: 100 }, (_, i) => ({
    ...feature(i + 1, 60 - i * 0.3, 5, '', {}),
    kind: kinds[i % 4]!,
    end: { text: String(60 - (i + 1) * 0.3), unit: 'mm' as const },
    radius: { text: '40', unit: 'mm' as const },
  })),
);
const { part } = resolveDrawing(many);
row(
  'outline of 100 features',
  `${median(200, () => flatten(outsideProfile(part), 0.01)).toFixed(3)} ms`,
  'target < 1 ms',
);
row('reading a drawing of 100 features', `${median(60, () => resolveDrawing(many)).toFixed(2)} ms`, '');

const planes = Array.from({ length: 201 }, (_, i) => `p${i}`);
const sizes = planes.slice(1).map((to, i) => ({ id: `s${i}`, from: `p${i}`, to, mm: rational(`${(i % 17) + 1}/8`) }));
row(
  'solving 200 sizes along the work',
  `${median(60, () => solveChain(planes, sizes, 'p0')).toFixed(2)} ms`,
  'target < 5 ms',
);
const wrong = [...sizes, { id: 'whole', from: 'p0', to: 'p200', mm: rational(1) }];
row(
  '  and naming the smallest set that disagrees',
  `${median(20, () => solveChain(planes, wrong, 'p0')).toFixed(2)} ms`,
  'target < 5 ms',
);
