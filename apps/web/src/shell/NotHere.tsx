import { say } from './words.ts';
import './shell.module.scss';
import { Link, useRouteError } from 'react-router';

/** For addresses that lead nowhere and for what went wrong while showing a place. */
export function NotHere() {
  const error = useRouteError();
  return (
    <div className="teach">
      <h1>{error ? say.pageDidNotOpen : say.thereNothingAddress}</h1>
      {error !== undefined && <p>{say.somethingWentWrongChanges}</p>}
      <Link to="/">Back to Tonight</Link>
    </div>
  );
}
