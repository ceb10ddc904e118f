import { CUT_LIMITS, type CutLimit, type CutMap, type CutSetup, type School } from '@whelk/core/cutting';
import { type Remote, releaseProxy, wrap } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import { cutLimitText } from '../../messages/words.ts';
import type { CutMapApi, PlainSetup } from '../../workers/cut-map.ts';

interface Props {
  readonly setup: CutSetup;
  readonly school: School;
  readonly depthMm: number;
  readonly feedMm: number;
  readonly deepestMm: number;
  readonly coarsestMm: number;
  readonly label: string;
  readonly onMove: (depthMm: number, feedMm: number) => void;
}
/** Cells of the map along either axis, and pixels a cell is painted with. */
const CELLS = 100;
const CELL = 4;
const SIZE = { width: 520, height: 360, left: 62, bottom: 42, top: 8, right: 8 };
/** The limit that is told where several hold: what lathe and work bear before what the edge does. */
const ORDER: readonly CutLimit[] = ['tool', 'power', 'torque', 'bend', 'grip', 'finish', 'shallow', 'thinChip'];

const firstLimit = (bits: number): CutLimit | undefined =>
  ORDER.find((limit) => (bits & (1 << CUT_LIMITS.indexOf(limit))) !== 0);

/** Depth against feed: the free ground where nothing closes in, what bounds it, and the cut that can be moved about in it. */
export function DepthFeedMap({ setup, school, depthMm, feedMm, deepestMm, coarsestMm, label, onMove }: Props) {
  const map = useCutMap(setup, school, deepestMm, coarsestMm);
  const canvas = useRef<HTMLCanvasElement>(null);
  const svg = useRef<SVGSVGElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (map && context && canvas.current) paint(context, map, getComputedStyle(canvas.current));
  }, [map]);

  const { width, height, left, bottom, top, right } = SIZE;
  const x = (mm: number) => left + (Math.min(coarsestMm, mm) / coarsestMm) * (width - left - right);
  const y = (mm: number) => height - bottom - (Math.min(deepestMm, mm) / deepestMm) * (height - top - bottom);
  const move = (event: React.PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return;
    const px = ((event.clientX - box.left) * width) / box.width;
    const py = ((event.clientY - box.top) * height) / box.height;
    const share = (value: number) => Math.min(1, Math.max(0.02, value));
    onMove(
      share((height - bottom - py) / (height - top - bottom)) * deepestMm,
      share((px - left) / (width - left - right)) * coarsestMm,
    );
  };
  const regions = useMemo(() => (map ? regionsOf(map) : []), [map]);
  return (
    <figure className="max-w-[640px]">
      <div
        className="relative touch-none"
        role="application"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: arrow keys move the cut
        tabIndex={0}
        aria-label={`Depth and feed: ${label}. Arrow keys move the cut.`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          move(event);
        }}
        onPointerMove={(event) => event.buttons === 1 && move(event)}
        onKeyDown={(event) => {
          const step = {
            ArrowUp: [1, 0],
            ArrowDown: [-1, 0],
            ArrowRight: [0, 1],
            ArrowLeft: [0, -1],
          }[event.key];
          if (!step) return;
          event.preventDefault();
          const within = (value: number, most: number) => Math.min(most, Math.max(most * 0.02, value));
          onMove(
            within(depthMm + (step[0]! * deepestMm) / 40, deepestMm),
            within(feedMm + (step[1]! * coarsestMm) / 40, coarsestMm),
          );
        }}
      >
        <canvas ref={canvas} width={CELLS * CELL} height={CELLS * CELL} className="map-ground absolute" />
        <svg ref={svg} viewBox={`0 0 ${width} ${height}`} className="pic relative block w-full" aria-hidden="true">
          <Axes {...{ setup, x, y, deepestMm, coarsestMm }} />
          {regions.map(({ limit, feedAt, depthAt }) => (
            <text
              key={limit}
              x={x(feedAt)}
              y={y(depthAt) + 5}
              fontSize={14}
              fontWeight={600}
              textAnchor="middle"
              className="region"
            >
              {cutLimitText[limit].replace(/^the /, '')}
            </text>
          ))}
          <circle cx={x(feedMm)} cy={y(depthMm)} r={9} className="now-dot" />
        </svg>
      </div>
      <figcaption className="muted mt-1 text-sm">
        Drag the point. The plain ground bears the cut; the small marks at the foot are feeds this lathe has.
      </figcaption>
    </figure>
  );
}

/** The map of a cut, worked out off the page; only what it is of makes a new one, not where the cut stands in it. */
function useCutMap(setup: CutSetup, school: School, deepestMm: number, coarsestMm: number): CutMap | undefined {
  const [map, setMap] = useState<CutMap>();
  const api = useRef<Remote<CutMapApi>>(undefined);

  useEffect(() => {
    const worker = new Worker(new URL('../../workers/cut-map.ts', import.meta.url), { type: 'module' });
    api.current = wrap<CutMapApi>(worker);
    return () => {
      api.current?.[releaseProxy]();
      worker.terminate();
    };
  }, []);
  // depth and feed move about in the map; only what the map is of makes a new one
  const { lathe, material, table, feeds: _feeds, ...small } = setup;
  const key = JSON.stringify([{ ...small, mostRpm: table.mostRpm }, school, deepestMm, coarsestMm]);
  useEffect(() => {
    const [of, ...rest] = JSON.parse(key) as [Omit<PlainSetup, 'lathe' | 'material'>, School, number, number];
    let late = false;
    void api.current?.map({ ...of, lathe, material }, ...rest).then((made) => {
      if (!late) setMap(made);
    });
    return () => {
      late = true;
    };
  }, [key, lathe, material]);
  return map;
}

/** Frame, figures and the lathe's own feeds. */
function Axes({
  setup,
  x,
  y,
  deepestMm,
  coarsestMm,
}: Pick<Props, 'setup' | 'deepestMm' | 'coarsestMm'> & { x: (mm: number) => number; y: (mm: number) => number }) {
  const { width, height, left, bottom, top, right } = SIZE;
  const { unit } = setup.lathe;
  const inUnit = unit === 'mm' ? 1 : 25.4;
  return (
    <>
      <rect
        x={left}
        y={top}
        width={width - left - right}
        height={height - top - bottom}
        fill="none"
        className="frame"
      />
      {roundMarks(coarsestMm / inUnit).map((m) => (
        <text key={m} x={x(m * inUnit)} y={height - bottom + 18} fontSize={13} textAnchor="middle">
          {m}
        </text>
      ))}
      {roundMarks(deepestMm / inUnit).map((m) => (
        <text key={m} x={left - 8} y={y(m * inUnit) + 5} fontSize={13} textAnchor="end">
          {m}
        </text>
      ))}
      <text x={(left + width) / 2} y={height - 4} fontSize={13} textAnchor="middle" className="ladder-small">
        feed, {unit}/rev
      </text>
      <text
        fontSize={13}
        textAnchor="middle"
        className="ladder-small"
        transform={`translate(14 ${(top + height - bottom) / 2}) rotate(-90)`}
      >
        depth on the radius, {unit}
      </text>
      {setup.feeds
        .filter((f) => f.mmPerRev <= coarsestMm)
        .map((f) => (
          <line
            key={f.label}
            x1={x(f.mmPerRev)}
            x2={x(f.mmPerRev)}
            y1={height - bottom}
            y2={height - bottom - 8}
            className="feed-mark"
          />
        ))}
    </>
  );
}

/** Four or five round figures up to the end of an axis. */
function roundMarks(most: number): number[] {
  const rough = most / 4;
  const ten = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 2.5, 5, 10].map((m) => m * ten).find((m) => m >= rough * 0.8) ?? rough;
  return Array.from({ length: Math.floor(most / step + 1e-9) }, (_, i) => Number(((i + 1) * step).toPrecision(3)));
}

/** Where a limit's name stands: the middle of the cells that it holds, when they are enough to write on. */
function regionsOf(map: CutMap): { limit: CutLimit; depthAt: number; feedAt: number }[] {
  const count = map.depthsMm.length;
  const sums = new Map<CutLimit, { n: number; d: number; f: number }>();
  for (let i = 0; i < count; i++)
    for (let k = 0; k < count; k++) {
      const limit = firstLimit(map.bits[i * count + k]!);
      if (!limit) continue;
      const sum = sums.get(limit) ?? { n: 0, d: 0, f: 0 };
      sums.set(limit, { n: sum.n + 1, d: sum.d + i, f: sum.f + k });
    }
  return [...sums]
    .filter(([, { n }]) => n > 350)
    .map(([limit, { n, d, f }]) => {
      const [i, k] = [Math.round(d / n), Math.min(count - 16, Math.max(14, Math.round(f / n)))];
      return { limit, depthAt: map.depthsMm[i]!, feedAt: map.feedsMmPerRev[k]! };
    });
}

/** Free ground stays clear; each limit has its own tint, and a line where the ground changes. */
function paint(context: CanvasRenderingContext2D, map: CutMap, style: CSSStyleDeclaration): void {
  const count = map.depthsMm.length;
  const at = (i: number, k: number) => firstLimit(map.bits[i * count + k] ?? 0);
  const edge = style.getPropertyValue('--map-edge');
  context.clearRect(0, 0, count * CELL, count * CELL);
  for (let i = 0; i < count; i++)
    for (let k = 0; k < count; k++) {
      const limit = at(i, k);
      const [left, top] = [k * CELL, (count - 1 - i) * CELL];
      if (limit) {
        context.fillStyle = style.getPropertyValue(`--map-${limit}`);
        context.fillRect(left, top, CELL, CELL);
      }
      context.fillStyle = edge;
      if (k + 1 < count && at(i, k + 1) !== limit) context.fillRect(left + CELL - 1, top, 1, CELL);
      if (i + 1 < count && at(i + 1, k) !== limit) context.fillRect(left, top, CELL, 1);
    }
}
