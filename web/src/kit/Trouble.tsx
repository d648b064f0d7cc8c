import { saidElse } from './fields';

/** What the server said that belongs to none of the fields on screen; nothing where all does. */
export function Trouble({ error, fields = [] }: { error: unknown; fields?: string[] }) {
  const words = saidElse(error, fields);
  return words ? (
    <p className="trouble" role="alert">
      {words}
    </p>
  ) : null;
}
