import './shell.module.scss';
import { Link, useRouteError } from 'react-router';

/** For addresses that lead nowhere and for what went wrong while showing a place. */
export function NotHere() {
  const error = useRouteError();
  return (
    <div className="teach">
      <h1>{error ? 'This place could not be shown' : 'There is nothing at this address'}</h1>
      {error !== undefined && <p>Something in it went wrong. What you wrote is kept.</p>}
      <Link to="/">Back to the map</Link>
    </div>
  );
}
