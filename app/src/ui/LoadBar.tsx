/** How much of what is allowed a cut asks for; the figure stands beside, never colour alone. */
export function LoadBar({
  name,
  share,
  text,
  after,
}: {
  name: string;
  share: number;
  text: string;
  after?: React.ReactNode;
}) {
  const over = share > 1;
  const near = share > 0.75;
  return (
    <div className="flex items-start gap-3">
      <span className="w-14 flex-none text-sm">{name}</span>
      <span className="flex-1">
        <svg
          viewBox="0 0 200 10"
          preserveAspectRatio="none"
          className="block h-2.5 w-full"
          role="img"
          aria-label={`${name}: ${Math.round(share * 100)} % of what is allowed`}
        >
          <rect width="200" height="10" fill="var(--bench)" />
          <rect
            width={Math.min(1, share) * 200}
            height="10"
            fill={over ? 'var(--stop)' : near ? 'var(--brass)' : 'var(--good)'}
          />
        </svg>
        <span className="text-sm">
          {over ? '✕ too much: ' : near ? '▲ near: ' : ''}
          {text} {after}
        </span>
      </span>
    </div>
  );
}
