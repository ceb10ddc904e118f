/** Whether a holding cuts all within reach, or only makes its end. */
export function ExtentSelect({
  extent,
  onChange,
}: {
  extent: 'all' | 'ends' | undefined;
  onChange: (extent: 'all' | 'ends') => void;
}) {
  return (
    <label className="text-sm">
      What is done
      <select
        className="select mt-0.5 flex w-full"
        value={extent ?? 'all'}
        onChange={(e) => onChange(e.target.value as 'all')}
      >
        <option value="all">All within reach</option>
        <option value="ends">Only face and centre this end</option>
      </select>
    </label>
  );
}
