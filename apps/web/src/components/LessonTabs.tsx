import { NavLink } from 'react-router';
import { classAddress, termAddress } from './addresses.ts';

/** The two sides of the place: single classes, and the term they stand in. */
export function LessonTabs() {
  return (
    <nav className="place-tabs" aria-label="Lessons">
      <NavLink to={classAddress()}>Classes</NavLink>
      <NavLink to={termAddress}>Term</NavLink>
    </nav>
  );
}
