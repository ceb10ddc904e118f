/** Numbers to be set one line after another at the lathe; the first column counts the lines. */
export function NumbersTable({
  count,
  heads,
  rows,
  dense = false,
}: {
  /** what a line is */
  readonly count: string;
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly dense?: boolean;
}) {
  return (
    <table className={`table max-w-md ${dense ? 'table-xs [&_td]:py-0.5' : 'table-sm'}`}>
      <thead>
        <tr>
          <th scope="col">{count}</th>
          {heads.map((head) => (
            <th key={head} scope="col" className="text-right">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((numbers, i) => (
          <tr key={numbers.join()}>
            <td>{i + 1}</td>
            {numbers.map((text, column) => (
              <td key={heads[column]} className={`text-right font-bold ${dense ? 'text-base' : 'text-lg'}`}>
                {text}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
