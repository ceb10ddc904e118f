import type { Part } from '@whelk/core/part';
import { TAPER_BY, TAPER_GRADES, type TaperBy, type TaperWish } from '@whelk/core/route';
import { taperWayNames } from '../../messages/taper.ts';

/** Whether a drawing has a cone, outside or in a hole. */
export const hasCones = (part: Part): boolean => part.surfaces.some((s) => s.kind === 'taper');

/** How cones are turned where several means can, and to which grade of angle. */
export function TaperFields({
  wish = {},
  onChange,
}: {
  wish: TaperWish | undefined;
  onChange: (wish: TaperWish | undefined) => void;
}) {
  const { by, grade } = wish;
  const set = (next: TaperWish): void => onChange(next.by === undefined && next.grade === undefined ? undefined : next);
  const select = 'select select-sm w-56';
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-2 text-sm">
      <label className="flex items-center gap-2">
        Turned by
        <select
          className={select}
          data-field="taper-by"
          value={by ?? ''}
          onChange={(e) => set({ ...wish, by: (e.target.value || undefined) as TaperBy | undefined })}
        >
          <option value="">what suits the cone</option>
          {TAPER_BY.map((name) => (
            <option key={name} value={name}>
              {taperWayNames[name]}, where it can
            </option>
          ))}
        </select>
      </label>
      <label className="flex items-center gap-2">
        Angle to grade
        <select
          className={select}
          data-field="taper-grade"
          value={grade ?? ''}
          onChange={(e) => set({ ...wish, grade: e.target.value === '' ? undefined : Number(e.target.value) })}
        >
          <option value="">AT8 where it holds itself, else AT10</option>
          {TAPER_GRADES.map((at) => (
            <option key={at} value={at}>
              AT{at}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
