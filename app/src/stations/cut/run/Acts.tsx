/** The row of big buttons at the foot; it stays in view. */
export function Acts({ children }: { children: React.ReactNode }) {
  return <div className="sticky bottom-0 flex flex-wrap gap-3 bg-[var(--bench)] px-5 py-3">{children}</div>;
}
/** The key that does the same as its button, where single keys are on. */
export function KeyMark({ keys, children }: { keys: boolean; children: React.ReactNode }) {
  return keys ? (
    <span className="key" aria-hidden="true">
      {children}
    </span>
  ) : null;
}
