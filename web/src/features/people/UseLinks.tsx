import { NavLink } from 'react-router';

/** What lies under Use. */
export function UseLinks() {
  return (
    <nav className="under" aria-label="Use">
      <NavLink to="/use" end>
        Weeks
      </NavLink>
      <NavLink to="/use/sheet">Wash day</NavLink>
      <NavLink to="/use/people">People</NavLink>
    </nav>
  );
}
