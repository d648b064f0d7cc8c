import { Button, Chip, TextInput } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type BottleView, type Container, type Purpose } from '../../api/client';
import { usePeople } from '../../api/queries';
import { useOnce } from '../../api/useOnce';
import { said, saidElse } from '../../kit/fields';

/** What is usually taken out of a container, as makers say it: one tap each. */
const USUAL: Record<Container, string[]> = {
  SPRAY: ['10 strokes', '20 strokes', 'a third', 'half'],
  TRIGGER: ['5 strokes', '10 strokes', 'a third', 'half'],
  APPLICATOR: ['1 tbsp', '2 tbsp', 'a third', 'half'],
  JAR: ['1 tbsp', '2 tbsp', 'a third', 'half'],
  CUBES: ['a quarter', 'half'],
};

/** Takes some of a bottle for use: how much, and what for where there is a choice. */
export function TakeSome({
  view,
  onTaken,
}: {
  view: BottleView;
  onTaken: (next: BottleView) => Promise<void>;
}) {
  const { bottle, purposes, uses } = view;
  const [amount, setAmount] = useState('');
  // A brew for one thing is used for that; of several, the maker says which, or does not.
  const [purpose, setPurpose] = useState<Purpose | null>(
    purposes.length === 1 ? purposes[0]! : null,
  );
  const people = usePeople();
  const [person, setPerson] = useState<string | null>(null);
  const once = useOnce();
  const take = useMutation({
    mutationFn: (typed: string) => {
      const body = {
        version: bottle.version,
        amount: typed,
        purpose: purpose ?? undefined,
        person: person ?? undefined,
      };
      return once(body, (key) =>
        ask(
          api.POST('/api/bottles/{id}/take', {
            params: { path: { id: bottle.id }, header: { 'Idempotency-Key': key } },
            body,
          }),
        ),
      );
    },
    onSuccess: async (next) => {
      setAmount('');
      await onTaken(next);
    },
  });
  const elsewhere = saidElse(take.error, ['millilitres', 'amount']);
  return (
    <form
      className="stack"
      onSubmit={(e) => {
        e.preventDefault();
        take.mutate(amount);
      }}
    >
      <div className="row end">
        <TextInput
          className="fill"
          label="Take some"
          description="40, 2 tbsp, 10 strokes, a third"
          value={amount}
          onChange={(e) => setAmount(e.currentTarget.value)}
          error={said(take.error, 'amount', 'millilitres')}
          maxLength={60}
        />
        <Button type="submit" disabled={amount.trim() === ''} loading={take.isPending}>
          Take
        </Button>
      </div>
      {(people.data?.people.length ?? 0) > 0 && (
        <div className="row" role="group" aria-labelledby="for-whom">
          <span id="for-whom" className="soft">
            For
          </span>
          {people.data!.people.map((each) => (
            <Chip
              key={each.id}
              size="md"
              variant="outline"
              checked={person === each.id}
              onChange={(on) => setPerson(on ? each.id : null)}
            >
              {each.name}
            </Chip>
          ))}
        </div>
      )}
      {purposes.length > 1 && (
        <div className="row" role="group" aria-labelledby="what-for">
          <span id="what-for" className="soft">
            Used as
          </span>
          {purposes.map((each, i) => (
            <Chip
              key={each}
              size="md"
              variant="outline"
              checked={purpose === each}
              onChange={(on) => setPurpose(on ? each : null)}
            >
              {uses[i]}
            </Chip>
          ))}
        </div>
      )}
      <div className="row" role="group" aria-label="Take as usual">
        {USUAL[bottle.container].map((words) => (
          <Button
            key={words}
            className="touch"
            variant="outline"
            disabled={take.isPending}
            onClick={() => take.mutate(words)}
          >
            {words}
          </Button>
        ))}
      </div>
      {elsewhere && (
        <p className="trouble" role="alert">
          {elsewhere}
        </p>
      )}
    </form>
  );
}
