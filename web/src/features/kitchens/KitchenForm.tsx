import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type Kitchen } from '../../api/client';
import { Outcome } from './Outcome';
import type { Part } from './part';
import { ClimatePart, WaterPart } from './Surroundings';
import { HobsPart, MeasuresPart, StrainersPart, VesselsPart } from './Things';

/** Climate, hobs, vessels, strainers and measures: what the model needs to know. */
export function KitchenForm({ kitchen, version }: { kitchen: Kitchen; version: number }) {
  const client = useQueryClient();
  const [form, setForm] = useState(kitchen);
  const [since, setSince] = useState('');
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.PUT('/api/kitchen', {
          body: { kitchen: form, version, climateSince: since || undefined },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.all }),
  });
  const part: Part = {
    form,
    set: (change) => setForm({ ...form, ...change }),
    error: save.error,
  };
  const shown = [
    'kitchen.roomC',
    'kitchen.fridgeC',
    'kitchen.freezerC',
    'climateSince',
    'kitchen.scaleStep',
    'kitchen.altitudeM',
    'kitchen.alkalinityMgL',
    ...form.hobs.flatMap((_, i) =>
      ['name', 'lowW', 'mediumW', 'highW'].map((f) => `kitchen.hobs[${i}].${f}`),
    ),
    ...form.vessels.flatMap((_, i) => [
      `kitchen.vessels[${i}].name`,
      `kitchen.vessels[${i}].diameterCm`,
      `kitchen.vessels[${i}].capacityMl`,
    ]),
  ];
  return (
    <form
      className="stack"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <ClimatePart {...part} since={since} onSince={setSince} />
      <WaterPart {...part} />
      <HobsPart {...part} />
      <VesselsPart {...part} />
      <StrainersPart {...part} />
      <MeasuresPart {...part} />
      <Outcome mutation={save} fields={shown} word="Save the kitchen" />
    </form>
  );
}
