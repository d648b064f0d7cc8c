import { Button, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, keys, type Method } from '../../api/client';
import { useMethods } from '../../api/queries';
import { useOnce } from '../../api/useOnce';
import { said } from '../../kit/fields';
import { Failed, Waiting } from '../../kit/states';
import { ChooseLinks } from './ChooseLinks';
import './formulas.css';
import { Trouble } from '../../kit/Trouble';

/** Begins a formula: its method gives the first draft of steps. */
export function NewFormulaPage() {
  const methods = useMethods();
  const [name, setName] = useState('');
  const navigate = useNavigate();
  const client = useQueryClient();
  const once = useOnce();
  const begin = useMutation({
    mutationFn: (method: Method) => {
      const body = { method, ...(name.trim() ? { name: name.trim() } : {}) };
      return once(body, (key) =>
        ask(api.POST('/api/formulas', { params: { header: { 'Idempotency-Key': key } }, body })),
      );
    },
    onSuccess: async (made) => {
      await client.invalidateQueries({ queryKey: keys.formulas });
      await navigate(`/choose/${made.id}/change`);
    },
  });
  if (methods.isPending) return <Waiting />;
  return (
    <main className="page reading" id="main">
      <ChooseLinks />
      <h1>Begin a formula</h1>
      <p className="soft">
        Name it, and pick the method. Its steps are laid out as a first draft; change anything.
      </p>
      <TextInput
        className="short around"
        label="Name"
        placeholder="Saturday rinse"
        value={name}
        maxLength={400}
        onChange={(e) => setName(e.currentTarget.value)}
        error={said(begin.error, 'name')}
      />
      <Trouble error={begin.error} fields={['name']} />
      {methods.isError && <Failed error={methods.error} again={() => methods.refetch()} />}
      <ul className="lines">
        {methods.data?.map((m) => (
          <li key={m.method}>
            <div className="formula-line plain">
              <div>
                <h2>{m.name}</h2>
                <p>{m.about}</p>
                <p className="soft small">
                  {m.equipment.join(', ')} · {m.steps.length} steps
                </p>
              </div>
              <Button
                variant="outline"
                loading={begin.isPending && begin.variables === m.method}
                onClick={() => begin.mutate(m.method)}
                aria-label={`Begin with ${m.name}`}
              >
                Begin
              </Button>
            </div>
          </li>
        ))}
      </ul>
    </main>
  );
}
