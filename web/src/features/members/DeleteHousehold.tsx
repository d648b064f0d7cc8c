import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys } from '../../api/client';
import { Trouble } from '../../kit/Trouble';
import { YourPassword } from './YourPassword';

/** Deletes all there is, after a last backup was offered. */
export function DeleteHousehold({ name }: { name: string }) {
  const client = useQueryClient();
  const [password, setPassword] = useState('');
  const end = useMutation({
    mutationFn: () => ask(api.POST('/api/household/end', { body: { password } })),
    onSuccess: async () => {
      client.removeQueries({ queryKey: keys.all });
      await client.invalidateQueries({ queryKey: keys.session });
    },
  });
  return (
    <form
      className="stack short"
      onSubmit={(e) => {
        e.preventDefault();
        end.mutate();
      }}
    >
      <p>
        {name} goes with everything in it: formulas, batches, bottles, photos, people, and all who
        sign in. It cannot be taken back. Backups that Dremsa made by itself stay in their folder
        until somebody deletes them. Take a last one first:
      </p>
      <div>
        <Button variant="outline" component="a" href="/api/backup.zip" download>
          Everything in one file
        </Button>
      </div>
      <YourPassword value={password} onChange={setPassword} error={end.error} />
      <Trouble error={end.error} fields={['password']} />
      <div>
        <Button type="submit" color="madder" loading={end.isPending}>
          Delete {name}
        </Button>
      </div>
    </form>
  );
}
