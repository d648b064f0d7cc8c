import { NavLink } from 'react-router';

/** What lies under Learn. */
export function LearnLinks() {
  return (
    <nav className="under" aria-label="Learn">
      <NavLink to="/learn" end>
        Handbook
      </NavLink>
      <NavLink to="/learn/journal">Journal</NavLink>
      <NavLink to="/learn/causes">What went wrong?</NavLink>
      <NavLink to="/learn/practice">Practice</NavLink>
      <NavLink to="/learn/kitchen">Your kitchen</NavLink>
      <NavLink to="/learn/versus">Side by side</NavLink>
      <NavLink to="/learn/trials">Trials</NavLink>
      <NavLink to="/learn/courses">Courses</NavLink>
      <NavLink to="/learn/lengths">Lengths</NavLink>
    </nav>
  );
}
