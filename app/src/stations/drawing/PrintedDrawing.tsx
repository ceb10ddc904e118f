import type { Job } from '@whelk/core/job';
import { blocks, resolveDrawing } from '@whelk/core/part';
import { drawingSheets, PAPERS, type PaperName } from '@whelk/core/sheet';
import { useMemo, useState } from 'react';
import { sheetWish } from '../../messages/sheet.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { Problems } from '../frame/Problems.tsx';

interface Props {
  readonly id: string;
  readonly job: Job;
  readonly material: string;
  readonly date: string;
}

/** The drawing as it is printed: sheet by sheet, with what may be chosen about it and the files that it goes out as. */
function PrintedDrawing({ id, job, material, date }: Props) {
  const [paper, setPaper] = useState<PaperName>('A4');
  const [lying, setLying] = useState(true);
  const [both, setBoth] = useState(false);
  const [shown, setShown] = useState(0);
  const resolved = useMemo(() => resolveDrawing(job.drawing), [job]);
  // with a fault in it a size would be missing on paper, and nobody would see which
  const faults = useMemo(() => resolved.problems.filter(blocks), [resolved]);
  const sheets = useMemo(
    () =>
      faults.length > 0
        ? undefined
        : drawingSheets(job.drawing, resolved, sheetWish(job, material, date, { paper, lying, both })),
    [job, resolved, faults, material, date, paper, lying, both],
  );
  const query = `?paper=${paper}${lying ? '' : '&stands=1'}${both ? '&both=1' : ''}`;
  const file = (name: string) => `/api/jobs/${id}/${name}`;
  const page = sheets?.pages[Math.min(shown, sheets.pages.length - 1)];
  return (
    <div className="page">
      <p className="text-sm">
        <a className="link" href={`/jobs/${id}/drawing`}>
          {job.title}
        </a>
      </p>
      <div className="flex flex-wrap items-center gap-2">
        <h1 className="mr-auto">Printed drawing</h1>
        {sheets && (
          <>
            <a className="btn btn-primary" href={file(`drawing.pdf${query}`)} download>
              Print, .pdf
            </a>
            <a className="btn" href={file(`drawing.svg${query}&sheet=${shown + 1}`)} download>
              This sheet, .svg
            </a>
            <a className="btn" href={file(`drawing.dxf${query}`)} download>
              Drawing, .dxf
            </a>
          </>
        )}
        {faults.length === 0 && (
          <a className="btn" href={file('outline.dxf')} download>
            Outline only, .dxf
          </a>
        )}
        <a className="btn" href={file('export')} download>
          Job, .json
        </a>
      </div>
      <div className="mt-4 grid gap-6 lg:grid-cols-[1fr_13rem]">
        {page ? (
          <div>
            <div className={`paper sheet-page ${lying ? '' : 'standing'}`}>
              <PictureView
                picture={page}
                label={`Drawing of ${job.title}, sheet ${shown + 1} of ${sheets.pages.length}, scale ${sheets.scale.join(' to ')}`}
                textSize={3}
              />
            </div>
            {sheets.pages.length > 1 && (
              <nav aria-label="Sheets" className="mt-2 flex gap-2">
                {sheets.pages.map((_, i) => (
                  <button
                    // biome-ignore lint/suspicious/noArrayIndexKey: sheets are told apart by their number alone
                    key={i}
                    type="button"
                    className="position"
                    aria-pressed={i === shown}
                    onClick={() => setShown(i)}
                  >
                    Sheet {i + 1}
                  </button>
                ))}
              </nav>
            )}
          </div>
        ) : (
          <div role="alert">
            <h2>Not printed while something is wrong</h2>
            <Problems problems={faults.length > 0 ? faults : [{ code: 'sheet.tooCrowded', path: [] }]} />
            <a className="btn btn-primary mt-2" href={`/jobs/${id}/drawing`}>
              Back to the drawing
            </a>
          </div>
        )}
        <form onSubmit={(e) => e.preventDefault()} className="flex flex-col gap-4 lg:mt-1">
          <fieldset>
            <legend className="font-bold">Sheet</legend>
            <div className="mt-1 flex flex-wrap gap-2">
              {(Object.keys(PAPERS) as PaperName[]).map((name) => (
                <button
                  key={name}
                  type="button"
                  className="position"
                  aria-pressed={paper === name}
                  onClick={() => setPaper(name)}
                >
                  {name}
                </button>
              ))}
            </div>
            <div className="mt-2 flex flex-wrap gap-2">
              {[true, false].map((way) => (
                <button
                  key={String(way)}
                  type="button"
                  className="position"
                  aria-pressed={lying === way}
                  onClick={() => setLying(way)}
                >
                  {way ? 'Lying' : 'Standing'}
                </button>
              ))}
            </div>
          </fieldset>
          <label className="flex min-h-11 items-center gap-2">
            <input type="checkbox" className="h-5 w-5" checked={both} onChange={(e) => setBoth(e.target.checked)} />
            Both units
          </label>
          {sheets && (
            <p className="muted text-sm">
              Scale {sheets.scale.join(' : ')}
              {sheets.pages.length > 1 ? `, ${sheets.pages.length} sheets` : ''}. Print at its own size, without fitting
              it to the page.
            </p>
          )}
          <p className="muted text-sm">Issue, limits and general tolerance are set at the drawing.</p>
        </form>
      </div>
    </div>
  );
}

export default fromJson(PrintedDrawing);
