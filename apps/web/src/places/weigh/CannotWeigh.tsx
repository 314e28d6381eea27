import { Link } from 'react-router';
import { mapAddress } from '../../components/addresses.ts';

interface Props {
  mapId: string;
  /** What is in the way, in lower case and without a full stop. */
  trouble: string;
  /** Whether it is what was asked that is in the way; else it is the map. */
  inQuestion: boolean;
  /** Asks about the map as it is instead, where something else was asked. */
  onAskPlain: (() => void) | undefined;
}

/** Shown in place of a weighing: why there is none, and where to mend that. */
export function CannotWeigh({ mapId, trouble, inQuestion, onAskPlain }: Props) {
  return (
    <div className="teach">
      <h1>The program cannot weigh this map {inQuestion ? 'like this' : 'yet'}</h1>
      <p>{trouble.replace(/^./, (letter) => letter.toUpperCase())}.</p>
      <div className="d-flex gap-2 justify-content-center">
        <Link className="btn btn-now" to={mapAddress(mapId)}>
          To the map
        </Link>
        {onAskPlain && (
          <button type="button" className="btn btn-plain" onClick={onAskPlain}>
            Ask about the map as it is
          </button>
        )}
      </div>
    </div>
  );
}
