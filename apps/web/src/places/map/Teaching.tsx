import { Plus } from 'lucide-react';
import { say } from './words.ts';

interface TeachingProps {
  filtered: boolean;
  inSystem: boolean;
  /** The system of the address is not in the map. */
  unknown: boolean;
  onName: () => void;
  onLines: () => void;
}

/** What stands where there is nothing to draw: how to begin. */
export function Teaching({ filtered, inSystem, unknown, onName, onLines }: TeachingProps) {
  if (unknown)
    return (
      <div className="teach flex-grow-1">
        <h1>This map has no such guard system</h1>
        <p>{say.somebodyRemovedAddressBelongs}</p>
      </div>
    );
  return (
    <div className="teach flex-grow-1">
      <h1>{filtered ? (inSystem ? say.noPositionSystemYet : say.nothingFitsFilters) : 'An empty map'}</h1>
      <p>{say.startWhereRoundsStart}</p>
      <p>
        {say.writeLinesWouldSay}
        <br />
        <code>Knee shield: underhook | crossface -&gt; passed 30% else Knee shield</code>
      </p>
      <div className="d-flex gap-2">
        <button type="button" className="btn btn-now" onClick={onName}>
          <Plus size={14} aria-hidden /> Name the first position
        </button>
        <button type="button" className="btn btn-plain" onClick={onLines}>
          Write lines
        </button>
      </div>
    </div>
  );
}
