import type { ReactNode } from 'react';

interface Props {
  /** What it does: read out, and shown when the pointer rests on it. */
  label: string;
  /** The same with the keys that do it, to be shown. */
  title?: string;
  disabled?: boolean;
  /** Without a frame, among others. */
  bare?: boolean;
  onClick: () => void;
  children: ReactNode;
}

/** A plain button with a picture alone. */
export function IconButton({ label, title = label, disabled, bare, onClick, children }: Props) {
  return (
    <button
      type="button"
      className={bare ? 'bare' : 'btn btn-sm btn-plain'}
      aria-label={label}
      title={title}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
