import './shell.scss';
import { isRouteErrorResponse, Link, useRouteError } from 'react-router';

/** For addresses that lead nowhere and for what went wrong while showing a place. */
export function NotHere() {
  const error = useRouteError();
  const what = error instanceof Error ? error.message : isRouteErrorResponse(error) ? error.statusText : '';
  return (
    <div className="teach">
      <h1>{what ? 'This place could not be shown' : 'There is nothing at this address'}</h1>
      {what && <p>{what}. What you saved is safe.</p>}
      <Link to="/">Back to the map</Link>
    </div>
  );
}
