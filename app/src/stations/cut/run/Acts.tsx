/** The row of big buttons at the foot and the one caution above it; both stay in view, whatever is scrolled. */
export function Acts({ caution, children }: { caution?: string; children: React.ReactNode }) {
  return (
    <div className="sticky bottom-0">
      {caution && (
        <p className="caution">
          <span aria-hidden="true">▲</span>
          {caution}
        </p>
      )}
      <div className="flex flex-wrap gap-3 bg-[var(--bench)] px-5 py-3">{children}</div>
    </div>
  );
}
/** The key that does the same as its button, where single keys are on. */
export function KeyMark({ keys, children }: { keys: boolean; children: React.ReactNode }) {
  return keys ? (
    <span className="key max-lg:hidden" aria-hidden="true">
      {children}
    </span>
  ) : null;
}
