import { cuttingSpeedMPerMin, rpmFor, type SpeedPolicy } from '@whelk/core/cutting';
import type { Speed } from '@whelk/core/lathe';
import { useRef } from 'react';
import { cuttingSpeed, length } from '../../ui/format.ts';
import { useWidth } from '../../ui/useWidth.ts';

interface Props {
  readonly speeds: readonly Speed[];
  readonly range?: { readonly minRpm: number; readonly maxRpm: number };
  readonly speedMPerMin: number;
  readonly policy: SpeedPolicy;
  readonly diameterMm: number;
  readonly largestMm: number;
  readonly chosen: Speed;
  readonly unit: 'mm' | 'in';
  readonly onDiameter: (mm: number) => void;
}
const HEIGHT = 330;
const LEFT = 190;
const RIGHT = 20;
const TOP = 10;
const BOTTOM = 36;
const MARKS_MM = [3, 5, 8, 12, 20, 30, 50, 80, 120, 200, 300, 500];
const MARKS_IN = [1 / 8, 1 / 4, 3 / 8, 1 / 2, 3 / 4, 1, 1.5, 2, 3, 4, 6, 8, 12, 20].map((x) => x * 25.4);

/** Every speed the lathe has against diameter; where one is inside the band of this cut its line is thick. Drag the diameter. */
export function SpeedChart(props: Props) {
  const { speeds, range, speedMPerMin, policy, diameterMm, largestMm, chosen, unit, onDiameter } = props;
  const [ref, width] = useWidth<HTMLDivElement>(980);
  const svg = useRef<SVGSVGElement>(null);
  const smallest = 3;
  const rpms = range ? [range.minRpm, range.maxRpm] : speeds.map((s) => s.rpm);
  const [low, high] = [Math.min(...rpms) * 0.85, Math.max(...rpms) * 1.15];
  const along = Math.log(largestMm / smallest);
  const x = (mm: number) =>
    LEFT + (Math.log(Math.min(largestMm, Math.max(smallest, mm)) / smallest) / along) * (width - LEFT - RIGHT);
  const y = (rpm: number) =>
    TOP + (1 - Math.log(Math.min(high, Math.max(low, rpm)) / low) / Math.log(high / low)) * (HEIGHT - TOP - BOTTOM);
  // D and n change places in n = 1000·v/(π·D)
  const diameterAt = (rpm: number, share: number) => rpmFor(speedMPerMin * share, rpm);
  const [slow, fast] = [1 - policy.belowShare, 1 + policy.aboveShare];
  const band = [slow, fast].map((share) =>
    Array.from({ length: 40 }, (_, i) => {
      const mm = smallest * Math.exp((along * i) / 39);
      return `${x(mm).toFixed(1)},${y(rpmFor(speedMPerMin * share, mm)).toFixed(1)}`;
    }),
  );
  const toMm = (clientX: number) => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return diameterMm;
    const share = (clientX - box.left - LEFT) / (width - LEFT - RIGHT);
    return smallest * Math.exp(along * Math.min(1, Math.max(0, share)));
  };
  const rounded = (mm: number) =>
    unit === 'mm' ? Math.max(1, Math.round(mm * 2) / 2) : Math.max(1, Math.round(mm / 1.5875)) * 1.5875;
  const marks = (unit === 'mm' ? MARKS_MM : MARKS_IN).filter((m) => m >= smallest && m <= largestMm);
  const now = x(diameterMm);
  const text = `${chosen.rpm} rpm, ${cuttingSpeed(cuttingSpeedMPerMin(chosen.rpm, diameterMm), unit)}`;
  const textRight = now < width - 190;
  return (
    <div
      ref={ref}
      className="touch-none"
      role="slider"
      tabIndex={0}
      aria-label="Diameter, on a chart of every speed the lathe has"
      aria-valuemin={smallest}
      aria-valuemax={largestMm}
      aria-valuenow={Number(diameterMm.toFixed(2))}
      aria-valuetext={`Ø ${length(diameterMm, unit)} ${unit}: ${chosen.label}, ${text}`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        onDiameter(rounded(toMm(event.clientX)));
      }}
      onPointerMove={(event) => event.buttons === 1 && onDiameter(rounded(toMm(event.clientX)))}
      onKeyDown={(event) => {
        const by = { ArrowRight: 1.05, ArrowUp: 1.05, ArrowLeft: 1 / 1.05, ArrowDown: 1 / 1.05 }[event.key];
        if (!by) return;
        event.preventDefault();
        onDiameter(rounded(diameterMm * by + (by > 1 ? 0.5 : -0.5)));
      }}
    >
      <svg ref={svg} width={width} height={HEIGHT} className="pic block" aria-hidden="true">
        <polygon points={[...band[0]!, ...band[1]!.toReversed()].join(' ')} className="band" />
        {marks.map((mm) => (
          <g key={mm}>
            <line x1={x(mm)} x2={x(mm)} y1={TOP} y2={HEIGHT - BOTTOM} className="grid" />
            <text x={x(mm)} y={HEIGHT - BOTTOM + 18} fontSize={13} textAnchor="middle" className="ladder-small">
              Ø{length(mm, unit)}
            </text>
          </g>
        ))}
        {speeds.map((s) => {
          const from = diameterAt(s.rpm, slow);
          const to = diameterAt(s.rpm, fast);
          const on = s.rpm === chosen.rpm;
          return (
            <g key={`${s.label}${s.rpm}`}>
              <line x1={LEFT} x2={width - RIGHT} y1={y(s.rpm)} y2={y(s.rpm)} className="grid" />
              {from < largestMm && to > smallest && (
                <line x1={x(from)} x2={x(to)} y1={y(s.rpm)} y2={y(s.rpm)} className={on ? 'rung on' : 'rung'} />
              )}
              <text x={LEFT - 10} y={y(s.rpm) + 4.5} fontSize={13} textAnchor="end" fontWeight={on ? 700 : 400}>
                {s.label} · {s.rpm}
              </text>
            </g>
          );
        })}
        {range && (
          <text x={LEFT - 10} y={TOP + 14} fontSize={13} textAnchor="end">
            {range.minRpm}–{range.maxRpm} rpm, stepless
          </text>
        )}
        <line x1={now} x2={now} y1={TOP} y2={HEIGHT - BOTTOM} className="now-line" />
        <circle cx={now} cy={y(chosen.rpm)} r={7} className="now-dot" />
        <text
          x={textRight ? now + 12 : now - 12}
          y={y(chosen.rpm) - 10}
          fontSize={15}
          fontWeight={700}
          textAnchor={textRight ? 'start' : 'end'}
          className="now-text"
        >
          {text}
        </text>
        <text x={width - RIGHT} y={HEIGHT - 2} fontSize={13} textAnchor="end" className="ladder-small">
          {unit}
        </text>
      </svg>
    </div>
  );
}
