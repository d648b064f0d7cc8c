import { Button, Chip, Input } from '@mantine/core';
import { useState } from 'react';
import { usePlanned, useWanted } from '../../api/queries';
import { useFormat } from '../../kit/format';
import { WORDS } from '../../kit/words';

interface Props {
  formula: string;
  /** Told how much all that is chosen takes together, mL. */
  onAmount: (ml: number) => void;
}

/** On Measure: the heads and days that would use this brew; chosen, their doses are the amount. */
export function ForWhom({ formula, onAmount }: Props) {
  const wanted = useWanted(formula);
  const format = useFormat();
  const [chosen, setChosen] = useState<string[]>([]);
  const planned = usePlanned(formula).data?.next;
  const all = (wanted.data ?? []).slice(0, 12);
  const plan = planned && (
    <div>
      <Button variant="outline" onClick={() => onAmount(planned.millilitres)}>
        {planned.words}, on {format.day(planned.day)}
      </Button>
    </div>
  );
  if (all.length === 0) return plan ?? null;
  const key = (w: (typeof all)[number]) => `${w.person}/${w.day}/${w.slot}`;
  return (
    <div role="group" aria-label="For whom">
      {plan}
      <Input.Label component="span">For whom, on which day</Input.Label>
      <Chip.Group
        multiple
        value={chosen}
        onChange={(now) => {
          setChosen(now);
          const ml = all
            .filter((w) => now.includes(key(w)))
            .reduce((sum, w) => sum + w.millilitres, 0);
          if (ml > 0) onAmount(Math.max(10, Math.ceil(ml / 10) * 10));
        }}
      >
        <div className="row">
          {all.map((w) => (
            <Chip key={key(w)} value={key(w)} size="md" variant="outline">
              {format.day(w.day)}: {w.name}, {Math.round(w.millilitres)} mL{' '}
              <span className="sr">as {WORDS.slotKinds[w.slot]}</span>
            </Chip>
          ))}
        </div>
      </Chip.Group>
    </div>
  );
}
