import { Plus } from 'lucide-react';

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
        <h1>This guard system is not in the map</h1>
        <p>It was removed, or the address is from another map. Choose a system above.</p>
      </div>
    );
  return (
    <div className="teach flex-grow-1">
      <h1>
        {filtered
          ? inSystem
            ? 'No position in this system yet'
            : 'Nothing fits the filters'
          : 'An empty map'}
      </h1>
      <p>
        Begin where rounds begin: name the position you coach from most often, say what bottom holds there,
        then what top does about it.
      </p>
      <p>
        Or write it down in lines, as you would say it:
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
