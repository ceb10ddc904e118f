import { useEffect, useId, useRef } from 'react';

/** A dialog over the step: closes with Escape, keeps the keyboard inside. */
export function Panel({
  title,
  onClose,
  wide,
  children,
}: {
  title: string;
  onClose: () => void;
  wide?: boolean;
  children: React.ReactNode;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();
  useEffect(() => {
    dialog.current?.showModal();
    // what is typed comes first, whatever stands above it
    dialog.current?.querySelector<HTMLElement>('input[data-field], textarea')?.focus();
  }, []);
  return (
    <dialog
      ref={dialog}
      className={`sheet m-auto max-w-[92vw] p-5 ${wide ? 'w-[60rem]' : 'w-[34rem]'} text-base-content backdrop:bg-black/50`}
      aria-labelledby={id}
      onClose={onClose}
    >
      <h2 id={id} className="mb-2">
        {title}
      </h2>
      {children}
    </dialog>
  );
}
