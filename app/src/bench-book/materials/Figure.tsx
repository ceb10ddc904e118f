import { type Material, materialById, type ToolMaterial } from '@whelk/core/material';
import { RotateCcw } from 'lucide-react';
import { useState } from 'react';

const provenanceText = { formula: 'follows from the others', recalled: 'published', shop: 'yours' } as const;

const valueAt = (material: Material, path: string): number | null => {
  const [first, tool, figure] = path.split('.') as [string, ToolMaterial?, string?];
  return tool && figure
    ? (material.speeds[tool] as unknown as Record<string, number>)[figure]!
    : (material as unknown as Record<string, number | null>)[first]!;
};

/** A figure of a material, typed over in its place; one that is the shop's own can be taken back. */
export function Figure({
  label,
  material,
  path,
  onSet,
}: {
  label: string;
  material: Material;
  path: string;
  onSet: (material: Material, path: string, value: number | undefined) => void;
}) {
  const value = valueAt(material, path);
  const provenance = material.provenance[path] ?? 'recalled';
  const came = materialById(material.id);
  const [typed, setTyped] = useState<string>();
  const scale = path === 'expansionPerK' ? 1e6 : 1;
  const told = (figure: number | null) => (figure === null ? '' : String(Number((figure * scale).toPrecision(6))));
  const text = typed ?? told(value);
  const good = /^(\d+(\.\d*)?|\.\d+)(e-\d+)?$/.test(text.trim()) && Number(text) > 0;
  const commit = () => {
    if (typed === undefined) return;
    setTyped(undefined);
    if (good && typed !== told(value)) onSet(material, path, Number((Number(typed) / scale).toPrecision(6)));
  };
  return (
    <span className="inline-flex items-center gap-1">
      <input
        className={`figure-cell ${provenance === 'formula' ? 'italic' : ''} ${provenance === 'shop' ? 'mine' : ''}`}
        aria-label={`${label}: ${provenanceText[provenance]}`}
        title={provenanceText[provenance]}
        value={text}
        aria-invalid={typed !== undefined && !good}
        data-field={path}
        size={Math.max(4, text.length)}
        onChange={(e) => setTyped(e.target.value.slice(0, 12))}
        onBlur={commit}
        onKeyDown={(e) => {
          if (e.key === 'Enter') commit();
          else if (e.key === 'Escape') setTyped(undefined);
        }}
      />
      {provenance === 'shop' && came && (
        <button
          type="button"
          className="quiet mark"
          aria-label={`Take ${label} back to ${told(valueAt(came, path))}`}
          title={`back to ${told(valueAt(came, path))}`}
          onClick={() => onSet(material, path, undefined)}
        >
          <RotateCcw size={14} aria-hidden="true" />
        </button>
      )}
    </span>
  );
}
