import { say } from './words.ts';
import './shell.module.scss';

/** What stands where a place could not be fetched: the server is away, or there is a newer program on it. */
export function NotFetched() {
  return (
    <div className="teach" role="alert">
      <h1>This page did not load</h1>
      <p>{say.serverDoesNotAnswer}</p>
      <button type="button" className="btn btn-now" autoFocus onClick={() => location.reload()}>
        Load the page again
      </button>
    </div>
  );
}
