import { X } from 'lucide-react';

interface Props {
  label: string;
  className?: string;
  onClick: () => void;
}

/** The cross at the end of a row or a chip that takes it out of its list. */
export function TakeOut({ label, className = '', onClick }: Props) {
  return (
    <button type="button" className={`bare ${className}`} aria-label={label} onClick={onClick}>
      <X size={14} aria-hidden />
    </button>
  );
}
