import { Link } from 'react-router';

/** Said where no material is called what was typed, with the way out. */
export function NotThere() {
  return (
    <>
      Nothing here is called that. Try what it is (seed, oil, preservative), or{' '}
      <Link to="/choose/materials/new">write it down as one of your own</Link>.
    </>
  );
}
