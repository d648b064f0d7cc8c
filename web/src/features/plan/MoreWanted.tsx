import { Button, NumberInput, TextInput } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Plans } from '../../api/client';
import { useFormulas } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import { Fold } from '../../kit/Fold';
import type { Format } from '../../kit/format';
import { tell } from '../../kit/states';
import { Trouble } from '../../kit/Trouble';
import type { Planning } from './usePlanning';

interface Props {
  plans: Plans;
  planning: Planning;
  format: Format;
}

/** What is wanted for nobody's routine, and a brew that somebody puts in by hand. */
export function MoreWanted({ plans, planning, format }: Props) {
  const formulas = useFormulas();
  const [formula, setFormula] = useState('');
  const [ml, setMl] = useState<number | string>(250);
  const [by, setBy] = useState(plans.evenings[1]?.day ?? plans.today);
  const [words, setWords] = useState('');
  const demand = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/plan/demands', {
          body: { formula, millilitres: Number(ml), by, words },
        }),
      ),
    onSuccess: (view) => {
      setWords('');
      planning.put(view);
    },
  });
  const forget = useMutation({
    mutationFn: (id: string) =>
      ask(api.DELETE('/api/plan/demands/{id}', { params: { path: { id } } })),
    onSuccess: planning.put,
    onError: tell,
  });
  return (
    <Fold
      id="more-wanted"
      title="Also wanted"
      says={
        plans.demands.length === 0
          ? 'a gift, a jar for a friend, a brew besides'
          : plans.demands.map((d) => d.words).join(', ')
      }
      wrong={Boolean(demand.error)}
    >
      <ul className="lines">
        {plans.demands.map((d) => (
          <li key={d.id} className="spread">
            <span>
              {d.words}: {Math.round(d.millilitres)} mL of {d.name} by {format.day(d.by)}
            </span>
            <Button variant="subtle" onClick={() => forget.mutate(d.id)}>
              No more
            </Button>
          </li>
        ))}
      </ul>
      <div className="row end">
        <Choice
          label="Of what"
          data={(formulas.data ?? []).map((f) => ({ value: f.id, label: f.name }))}
          value={formula}
          placeholder="choose a formula"
          onChange={setFormula}
          error={said(demand.error, 'formula')}
        />
        <NumberInput
          label="How much, mL"
          w={130}
          value={ml}
          onChange={setMl}
          error={said(demand.error, 'millilitres')}
        />
        <label className="day-field">
          By
          <input
            type="date"
            value={by}
            min={plans.today}
            onChange={(e) => setBy(e.currentTarget.value)}
          />
        </label>
        <TextInput
          label="What for"
          placeholder="A jar for a friend"
          value={words}
          onChange={(e) => setWords(e.currentTarget.value)}
          error={said(demand.error, 'words')}
        />
        <Button
          disabled={!formula || !by || !(Number(ml) > 0)}
          loading={demand.isPending}
          onClick={() => demand.mutate()}
        >
          Put it down
        </Button>
        <Button
          variant="outline"
          disabled={!formula || !by || !(Number(ml) > 0)}
          onClick={() =>
            planning.tryOut([
              ...planning.brews.filter((b) => b.day !== by || b.formula !== formula),
              { formula, millilitres: Number(ml), day: by, pinned: false },
            ])
          }
        >
          See it brewed on that day
        </Button>
      </div>
      <Trouble error={demand.error} fields={['formula', 'millilitres', 'by', 'words']} />
    </Fold>
  );
}
