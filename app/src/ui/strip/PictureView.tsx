import { type FeatureEnd, type Picture, pathData, type Shape } from '@whelk/core/picture';
import { memo } from 'react';

const path = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');

type Select = (id: string, end?: FeatureEnd) => void;

function ShapeView({ shape, textSize, onSelect }: { shape: Shape; textSize: number; onSelect?: Select }) {
  const role = `r-${shape.role}`;
  if (shape.kind === 'text')
    return (
      <text
        className={role}
        x={shape.at[0]}
        y={shape.at[1]}
        textAnchor={shape.anchor}
        transform={shape.upright ? `rotate(-90 ${shape.at[0]} ${shape.at[1]})` : undefined}
        fontSize={shape.size ?? (shape.role === 'scale' ? textSize * 0.85 : textSize)}
      >
        {shape.text}
      </text>
    );
  if (shape.kind === 'path') {
    const { id } = shape;
    const data = pathData(shape.corners, shape.closed, 1);
    if (id && onSelect)
      return (
        // biome-ignore lint/a11y/noStaticElementInteractions: the picture's list of holes is the keyboard's way to them
        <path className={`${role} hit`} d={data} onClick={() => onSelect(id)} data-feature={id} />
      );
    return <path className={role} d={data} />;
  }
  if (shape.kind === 'polyline') return <polyline className={role} points={path(shape.points)} />;
  const { id, end } = shape;
  if (shape.role === 'stock' || shape.role === 'section')
    return (
      <>
        <polygon className={role} points={path(shape.points)} />
        <polygon className={`${role}-hatch`} points={path(shape.points)} />
      </>
    );
  // selecting by pointer; the keyboard has the columns and the strip's own arrow keys
  if (id && onSelect)
    return (
      // biome-ignore lint/a11y/noStaticElementInteractions: the strip as a whole is the keyboard's target
      <polygon
        className={`${role} hit`}
        points={path(shape.points)}
        onClick={() => onSelect(id, end)}
        data-feature={end ? undefined : id}
        data-end={end && `${id}-${end}`}
      />
    );
  return <polygon className={role} points={path(shape.points)} />;
}

/** Draws a picture of core as SVG at its own size. Without a label it is decoration beside a text that says the same. */
export const PictureView = memo(function PictureView({
  picture,
  label,
  textSize = 15,
  onSelect,
  box,
  className = '',
}: {
  picture: Picture;
  label: string;
  textSize?: number;
  onSelect?: Select;
  /** the piece of it that is shown: left, top, width, height; otherwise the whole */
  box?: readonly [number, number, number, number];
  className?: string;
}) {
  return (
    <svg
      className={`pic ${className}`}
      viewBox={(box ?? [0, 0, picture.width, picture.height]).join(' ')}
      role={label ? 'img' : undefined}
      aria-label={label || undefined}
      aria-hidden={label ? undefined : true}
    >
      <defs>
        <pattern id="hatch" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="9" stroke="var(--stock-line)" strokeWidth="0.8" />
        </pattern>
        <pattern id="metal" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" stroke="currentColor" strokeWidth="0.7" />
        </pattern>
      </defs>
      {picture.shapes.map((shape, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the list is drawn afresh and shapes have no state
        <ShapeView key={i} shape={shape} textSize={textSize} onSelect={onSelect} />
      ))}
    </svg>
  );
});
