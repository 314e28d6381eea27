import type { LineError } from '@aftersquall/core/formats';

const SHOWN = 5;

/** What is wrong with lines: where, and what to do. */
export function LineTrouble({ errors }: { errors: readonly LineError[] }) {
  if (errors.length === 0) return null;
  return (
    <ul className="list-unstyled hazard mb-1" aria-label="Errors">
      {errors.slice(0, SHOWN).map(({ line, column, message }) => (
        <li key={`${line} ${column}`}>
          Line {line}, column {column}: {message}
        </li>
      ))}
      {errors.length > SHOWN && <li>and {errors.length - SHOWN} more</li>}
    </ul>
  );
}
