/** Whether an arc is curved into the metal instead of out of it. */
export function IntoMetal({ on, data, onChange }: { on: boolean; data: string; onChange: (hollow: boolean) => void }) {
  return (
    <label className="flex min-h-8 cursor-pointer items-center gap-2 text-[0.82rem]">
      <input
        type="checkbox"
        className="h-4 w-4"
        checked={on}
        data-field={data}
        onChange={(e) => onChange(e.target.checked)}
      />
      curved into the metal
    </label>
  );
}
