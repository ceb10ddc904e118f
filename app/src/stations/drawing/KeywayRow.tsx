import type { DrawnKeyway } from '@whelk/core/part';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { type About, Row, Size } from './EndViewRow.tsx';

/** A keyway along the axis. */
export function KeywayRow(about: About<DrawnKeyway>) {
  const { drawn: k, title, unit, on, problemOf, put, onFocus, onRemove } = about;
  const choice = <Key extends 'where' | 'by' | 'from' | 'ends'>(
    key: Key,
    label: string,
    options: readonly (readonly [DrawnKeyway[Key], string])[],
  ) => (
    <label className="text-sm">
      {label}
      <select
        className="select select-sm mt-0.5 flex h-9 w-44"
        value={k[key]}
        data-field={`${k.id}-${key}`}
        onFocus={onFocus}
        onChange={(e) => put({ [key]: e.target.value } as Partial<DrawnKeyway>, `${k.id}-${key}`)}
      >
        {options.map(([value, name]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
  const size = (key: 'width' | 'depth' | 'at' | 'length', label: string, hint?: string) => (
    <Size
      id={k.id}
      label={`${label}, ${unit}`}
      hint={hint}
      field={key}
      value={k[key]}
      problem={problemOf(key)}
      onFocus={onFocus}
      onChange={(value) => put({ [key]: value }, `${k.id}-${key}`)}
    />
  );
  return (
    <Row title={title} on={on} onRemove={onRemove}>
      {choice('where', 'In the', [
        ['outside', 'outside'],
        ['bore', 'hole on the axis'],
      ])}
      {size('width', 'Wide')}
      <TextField
        className="w-28"
        label="Limits"
        hint="general"
        value={k.widthLimits}
        problem={problemOf('widthLimits')}
        data={`${k.id}-limits`}
        onFocus={onFocus}
        onChange={(widthLimits) => put({ widthLimits: widthLimits.slice(0, 64) }, `${k.id}-limits`)}
      />
      {choice('by', 'Its floor by', [
        ['depth', 'depth below the surface'],
        ['over', 'size over the far side'],
      ])}
      {size('depth', k.by === 'depth' ? 'Deep' : 'Over')}
      {choice('from', 'From the', [
        ['right', 'tailstock end'],
        ['left', 'headstock end'],
      ])}
      {size('at', 'Begins', 'at the end')}
      {size('length', 'Long', 'to the other end')}
      {choice('ends', 'Its ends are', [
        ['round', 'round'],
        ['square', 'square'],
      ])}
      <TextField
        className="w-24"
        label="At, °"
        hint="0"
        value={k.angle}
        problem={problemOf('angle')}
        data={`${k.id}-angle`}
        onFocus={onFocus}
        onChange={(angle) => put({ angle: angle.slice(0, 16) }, `${k.id}-angle`)}
      />
    </Row>
  );
}
