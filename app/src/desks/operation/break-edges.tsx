import type { ShownOperation } from './shown.ts';

const edges = (count: number): string => (count === 1 ? 'one edge' : `${count} edges`);

export const breakEdges: ShownOperation<'breakEdges'> = {
  name: 'Break the edges',
  title: ({ count }) => `Break ${edges(count)} that the drawing says nothing of`,
  stepTitle: ({ count }) => `Break the sharp edges: ${edges(count)}`,
  Panel: ({ frozen }) => (
    <p className="max-w-2xl text-lg">
      With a fine file, spindle slow, a stroke or two on each edge that is still sharp, about{' '}
      {frozen.means.lathe.unit === 'mm' ? '0.2 mm' : '.008 in'}: no burr may stay, and no edge that cuts a hand. In the
      mouth of a hole a scraper or a countersink turned by hand, spindle stopped.
    </p>
  ),
};
