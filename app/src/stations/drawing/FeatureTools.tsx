import { BetweenVerticalEnd, BetweenVerticalStart, SquareSplitHorizontal, Trash2 } from 'lucide-react';

interface Props {
  readonly onBefore: () => void;
  readonly onAfter: () => void;
  /** undefined: this shape has no middle to be cut at */
  readonly onSplit: (() => void) | undefined;
  readonly onRemove: () => void;
}

/** What can be done to the feature that is selected on the strip. */
export function FeatureTools({ onBefore, onAfter, onSplit, onRemove }: Props) {
  const tools = [
    ['Before', 'Put a feature before the selected one', BetweenVerticalEnd, onBefore],
    ['After', 'Put a feature after the selected one', BetweenVerticalStart, onAfter],
    ['Split', 'Split the selected feature in two', SquareSplitHorizontal, onSplit],
    ['Remove', 'Remove the selected feature', Trash2, onRemove],
  ] as const;
  return (
    <span className="mr-3 flex items-center gap-1 border-r border-[var(--line)] pr-3">
      {tools.map(([name, label, Icon, act]) => (
        <button
          key={name}
          type="button"
          className="quiet inline-flex items-center gap-1"
          aria-label={label}
          title={label}
          disabled={!act}
          onClick={act}
        >
          <Icon size={16} aria-hidden="true" /> {name}
        </button>
      ))}
    </span>
  );
}
