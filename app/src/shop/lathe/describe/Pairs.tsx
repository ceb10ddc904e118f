import { ListInput } from './ListInput.tsx';

const PAIR = /^\s*(\d+(?:\.\d+)?)\s*\/\s*(\d+(?:\.\d+)?)\s*$/;
type Pair = readonly [driver: number, driven: number];

/** Pairs of a train of gears or belts, driver and driven: `20/80, 20/75`. */
export function Pairs({ name, label, example }: { name: string; label: string; example: string }) {
  return (
    <ListInput<Pair>
      {...{ name, label, example }}
      show={(pairs) => pairs.map((p) => p.join('/')).join(', ')}
      read={(text) => {
        const pairs = text.split(',').map((p) => PAIR.exec(p));
        return pairs.every((p) => p !== null) ? pairs.map((p): Pair => [Number(p[1]), Number(p[2])]) : text;
      }}
      right={`Type pairs such as ${example}.`}
    />
  );
}
