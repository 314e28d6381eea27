import './shell.module.scss';
import { Link, useRouteError } from 'react-router';

/** For addresses that lead nowhere and for what went wrong while showing a place. */
export function NotHere() {
  const error = useRouteError();
  return (
    <div className="teach">
      <h1>{error ? 'This page did not open' : 'There is nothing at this address'}</h1>
      {error !== undefined && <p>Something in it went wrong. Your changes are saved.</p>}
      <Link to="/">Back to the map</Link>
    </div>
  );
}
