import { Button } from '@mantine/core';
import { saidElse } from '../../kit/fields';

/** The button that saves a form, and what came of it. */
export function Outcome({
  mutation,
  fields,
  word,
}: {
  mutation: { error: unknown; isPending: boolean; isSuccess: boolean };
  fields: string[];
  word: string;
}) {
  return (
    <>
      {saidElse(mutation.error, fields) && (
        <p className="trouble" role="alert">
          {saidElse(mutation.error, fields)}
        </p>
      )}
      <div className="row">
        <Button type="submit" loading={mutation.isPending}>
          {word}
        </Button>
        {mutation.isSuccess && <span role="status">Saved.</span>}
      </div>
    </>
  );
}
