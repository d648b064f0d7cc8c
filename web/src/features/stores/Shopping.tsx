import { Button, Checkbox, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys } from '../../api/client';
import { useShopping } from '../../api/queries';
import { tell } from '../../kit/states';
import './stores.css';

/** What is to be got: what somebody put on the list, and what the stores say. */
export function Shopping() {
  const list = useShopping();
  const client = useQueryClient();
  const [words, setWords] = useState('');
  const put = (next: unknown) => client.setQueryData(keys.shopping, next);
  const add = useMutation({
    mutationFn: () => ask(api.POST('/api/shopping', { body: { words } })),
    onSuccess: (next) => {
      put(next);
      setWords('');
    },
  });
  const bought = useMutation({
    mutationFn: (v: { id: string; bought: boolean }) =>
      ask(
        api.PUT('/api/shopping/{id}', {
          params: { path: { id: v.id } },
          body: { bought: v.bought },
        }),
      ),
    onSuccess: put,
    onError: tell,
  });
  const strike = useMutation({
    mutationFn: (id: string) => ask(api.DELETE('/api/shopping/{id}', { params: { path: { id } } })),
    onSuccess: put,
    onError: tell,
  });
  return (
    <section className="sheet to-get" aria-labelledby="shopping">
      <h2 id="shopping">To get</h2>
      <ul className="lines">
        {list.data?.map((line) => (
          <li key={line.id ?? line.words} className="beside-end">
            {line.id ? (
              <>
                <Checkbox
                  size="md"
                  label={line.words}
                  checked={line.bought}
                  onChange={(e) => bought.mutate({ id: line.id!, bought: e.currentTarget.checked })}
                />
                <Button
                  variant="subtle"
                  size="compact-md"
                  aria-label={`Strike ${line.words}`}
                  onClick={() => strike.mutate(line.id!)}
                >
                  ✕
                </Button>
              </>
            ) : (
              <span>
                <b>{line.words}</b> <span className="soft small">{line.why}</span>
              </span>
            )}
          </li>
        ))}
      </ul>
      {list.data?.length === 0 && <p className="soft">Nothing to get.</p>}
      <form
        className="row end"
        onSubmit={(e) => {
          e.preventDefault();
          if (words.trim()) add.mutate();
        }}
      >
        <TextInput
          className="field-s"
          aria-label="Something to get"
          placeholder="spray bottles"
          value={words}
          onChange={(e) => setWords(e.currentTarget.value)}
          error={add.error?.message}
        />
        <Button type="submit" variant="outline" loading={add.isPending}>
          Add
        </Button>
      </form>
      <Button variant="subtle" onClick={() => window.print()}>
        Print the list
      </Button>
    </section>
  );
}
