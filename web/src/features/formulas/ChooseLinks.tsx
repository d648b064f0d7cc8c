import { NavLink } from 'react-router';
import './formulas.css';

/** What lies under Choose. */
export function ChooseLinks() {
  return (
    <nav className="under" aria-label="Choose">
      <NavLink to="/choose" end>
        Formulas
      </NavLink>
      <NavLink to="/choose/stores">Stores</NavLink>
      <NavLink to="/choose/materials">Materials</NavLink>
      <NavLink to="/choose/note">From a note</NavLink>
      <NavLink to="/choose/new">Begin a formula</NavLink>
      <NavLink to="/choose/take-in">Take formulas in</NavLink>
    </nav>
  );
}
