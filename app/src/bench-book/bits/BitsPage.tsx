import type { Material } from '@whelk/core/material';
import { grindingSheetPicture } from '@whelk/core/picture';
import { BIT_SHAPES, type BitShape } from '@whelk/core/tool';
import { useState } from 'react';
import { bitShapeNames, grindingSheetOf } from '../../messages/grinding.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { Pick } from '../speeds/Sentence.tsx';

/** How to grind a bit for what it will cut, as a sheet that can be printed for the grinder. */
function BitsPage({ materials }: { materials: readonly Material[] }) {
  const [shape, setShape] = useState<BitShape>('rougher');
  const [materialId, setMaterialId] = useState('low-carbon-steel');
  const material = materials.find((m) => m.id === materialId) ?? materials[0];
  if (!material) return null;
  const sheet = grindingSheetOf(material, shape);
  const query = `material=${material.id}&shape=${shape}`;
  return (
    <>
      <h1 className="visually-hidden">Grinding bits</h1>
      <div className="flex flex-wrap items-center gap-4">
        <p className="sentence mr-auto">
          A{' '}
          <Pick
            label="Shape"
            value={shape}
            choices={BIT_SHAPES.map((s) => [s, bitShapeNames[s]])}
            onChange={(value) => setShape(value as BitShape)}
          />{' '}
          of high-speed steel for{' '}
          <Pick
            label="Material"
            value={materialId}
            choices={materials.map((m) => [m.id, m.name.toLowerCase()])}
            onChange={setMaterialId}
          />
          .
        </p>
        <a className="btn btn-primary" href={`/api/grinding.pdf?${query}`} download>
          For the grinder, .pdf
        </a>
        <a className="btn" href={`/api/grinding.svg?${query}`} download>
          .svg
        </a>
      </div>
      <div className="paper mt-4 max-w-4xl">
        <PictureView
          picture={grindingSheetPicture(sheet)}
          label={`${sheet.title}, ${sheet.underTitle}: ${sheet.rows.map((r) => r.join(' ')).join(', ')}`}
          textSize={4}
        />
      </div>
      <p className="muted mt-2 text-sm">
        Ordinary grinding angles; change them by what the chip shows. The wheel’s own guard, rest and rules come first.
      </p>
    </>
  );
}

export default fromJson(BitsPage);
