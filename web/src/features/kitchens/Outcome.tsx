import { Button } from '@mantine/core';
import { Trouble } from '../../kit/Trouble';

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
      <Trouble error={mutation.error} fields={fields} />
      <div className="row">
        <Button type="submit" loading={mutation.isPending}>
          {word}
        </Button>
        {mutation.isSuccess && <span role="status">Saved.</span>}
      </div>
    </>
  );
}
