import type { Finding } from '@aftersquall/core/check';
import { Stethoscope } from 'lucide-react';

interface FindingsButtonProps {
  findings: readonly Finding[];
  fresh: boolean;
  on: boolean;
  onClick: () => void;
}

/** How many holes and errors there are; the rest behind it. */
export function FindingsButton({ findings, fresh, on, onClick }: FindingsButtonProps) {
  const holes = findings.filter(({ code }) => code === 'hole').length;
  const errors = findings.filter(({ severity }) => severity === 'error').length;
  return (
    <button
      type="button"
      className={`btn ${on ? 'btn-dark' : 'btn-plain'} ${fresh ? '' : 'stale'}`}
      aria-pressed={on}
      title="What needs work"
      aria-label={`What needs work: ${holes} ${holes === 1 ? 'hole' : 'holes'}, ${errors} ${errors === 1 ? 'error' : 'errors'}`}
      onClick={onClick}
    >
      <Stethoscope size={15} aria-hidden /> {holes} {holes === 1 ? 'hole' : 'holes'}
      {errors > 0 && (
        <b className="hazard">
          , {errors} {errors === 1 ? 'error' : 'errors'}
        </b>
      )}
    </button>
  );
}
