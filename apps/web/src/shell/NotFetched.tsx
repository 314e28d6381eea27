import './shell.module.scss';

/** What stands where a place could not be fetched: the server is away, or there is a newer program on it. */
export function NotFetched() {
  return (
    <div className="teach" role="alert">
      <h1>This place could not be fetched</h1>
      <p>
        The server does not answer, or the program on it is newer than this page. Everything you changed is
        kept.
      </p>
      <button type="button" className="btn btn-now" autoFocus onClick={() => location.reload()}>
        Load the page again
      </button>
    </div>
  );
}
