import type { Picture } from '@whelk/core/picture';
import { useRef } from 'react';

/** A line of the part that can be dragged: along the axis for a length, away from it for a diameter. */
export interface Handle {
  readonly key: string;
  readonly label: string;
  /** of what is told of it */
  readonly unit: 'mm' | 'in';
  readonly way: 'along' | 'across';
  /** place on the part: zPart and radius, mm */
  readonly zMm: number;
  readonly rMm: number;
  /** the size it changes, now: a length, or a diameter, mm */
  readonly valueMm: number;
  readonly onMove: (aboutMm: number, unitsPerMm: number, by: 0 | 1 | -1) => void;
}

/** Grips on the selected feature's lines. Arrow keys move them as well as a pointer does. */
export function StripHandles({ picture, handles }: { picture: Picture; handles: readonly Handle[] }) {
  const drag = useRef<{ key: string; from: number; valueMm: number; unitsPerMm: number }>(undefined);
  const { origin, unitsPerMm } = picture;
  const place = (node: HTMLElement | null, x: number, y: number) => {
    node?.style.setProperty('left', `${x - 11}px`);
    node?.style.setProperty('top', `${y - 11}px`);
  };
  return handles.map((h) => {
    const x = origin[0] + h.zMm * unitsPerMm;
    const y = origin[1] - h.rMm * unitsPerMm;
    const at = (event: React.PointerEvent) => (h.way === 'along' ? event.clientX : -event.clientY);
    return (
      <button
        key={h.key}
        ref={(node) => place(node, x, y)}
        type="button"
        role="slider"
        className={`strip-handle ${h.way}`}
        aria-label={h.label}
        aria-orientation={h.way === 'along' ? 'horizontal' : 'vertical'}
        aria-valuenow={Number((h.unit === 'mm' ? h.valueMm : h.valueMm / 25.4).toFixed(h.unit === 'mm' ? 3 : 4))}
        aria-valuemin={0}
        title={`${h.label}: drag, or arrow keys`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          // the strip may grow smaller while it is dragged: the hand keeps the scale it began with
          drag.current = { key: h.key, from: at(event), valueMm: h.valueMm, unitsPerMm };
        }}
        onPointerMove={(event) => {
          const d = drag.current;
          if (d?.key !== h.key) return;
          const moved = (at(event) - d.from) / d.unitsPerMm;
          if (Math.abs(at(event) - d.from) < 3) return;
          h.onMove(d.valueMm + (h.way === 'along' ? moved : 2 * moved), d.unitsPerMm, 0);
        }}
        onPointerUp={() => {
          drag.current = undefined;
        }}
        onPointerCancel={() => {
          drag.current = undefined;
        }}
        onKeyDown={(event) => {
          const by =
            event.key === (h.way === 'along' ? 'ArrowRight' : 'ArrowUp')
              ? 1
              : event.key === (h.way === 'along' ? 'ArrowLeft' : 'ArrowDown')
                ? -1
                : 0;
          if (by === 0) return;
          event.preventDefault();
          event.stopPropagation();
          h.onMove(h.valueMm, unitsPerMm, by);
        }}
      />
    );
  });
}
