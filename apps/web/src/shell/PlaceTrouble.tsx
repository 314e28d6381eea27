import { say } from './words.ts';
import './shell.module.scss';
import { Link, useLocation, useNavigate } from 'react-router';

/** What stands in a place in which something went wrong. One key shows the place again; nothing that was typed is lost. */
export function PlaceTrouble() {
  const navigate = useNavigate();
  const { pathname, search } = useLocation();
  return (
    <div className="teach" role="alert">
      <h1>Something went wrong here</h1>
      <p>{say.ourBugNotMistake}</p>
      <div className="d-flex gap-2">
        <button
          type="button"
          className="btn btn-now"
          autoFocus
          // Being at an address anew shows the place anew.
          onClick={() => void navigate(pathname + search, { replace: true })}
        >
          Go on
        </button>
        <Link className="btn btn-plain" to={pathname} replace>
          Close what was open and show the page
        </Link>
      </div>
    </div>
  );
}
