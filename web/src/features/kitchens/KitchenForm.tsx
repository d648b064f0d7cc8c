import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, ProblemError, type Kitchen } from '../../api/client';
import { Fold } from '../../kit/Fold';
import { useFormat } from '../../kit/format';
import { WORDS } from '../../kit/words';
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
  const format = useFormat();
  const changed = since !== '' || JSON.stringify(form) !== JSON.stringify(kitchen);
  /** Whether a field of a part is refused: the part opens then. */
  const wrong = (fields: string[], other = '') =>
    save.error instanceof ProblemError &&
    (save.error.problem.errors ?? []).some(
      (e) => e.field === other || fields.some((f) => e.field.startsWith(`kitchen.${f}`)),
    );
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
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <Fold
        id="climate"
        title="Climate"
        says={`room ${format.celsius(form.roomC)}, fridge ${format.celsius(form.fridgeC)}`}
        wrong={wrong(['roomC', 'fridgeC', 'freezerC'], 'climateSince')}
      >
        <ClimatePart {...part} since={since} onSince={setSince} />
      </Fold>
      <Fold
        id="water"
        title="Height and water"
        says={
          form.water && form.water !== 'UNKNOWN'
            ? WORDS.waters[form.water]
            : 'not said: the ranges are as wide'
        }
        wrong={wrong(['altitudeM', 'alkalinityMgL'])}
      >
        <WaterPart {...part} />
      </Fold>
      <Fold id="hobs" title="Hobs" says={names(form.hobs)} wrong={wrong(['hobs'])}>
        <HobsPart {...part} />
      </Fold>
      <Fold
        id="vessels"
        title="Pots, bowls and jars"
        says={names(form.vessels)}
        wrong={wrong(['vessels'])}
      >
        <VesselsPart {...part} />
      </Fold>
      <Fold
        id="strainers"
        title="Strainers"
        says={form.strainers.map((s) => WORDS.strainers[s]).join(', ')}
      >
        <StrainersPart {...part} />
      </Fold>
      <Fold
        id="measures"
        title="Scale, spoons and cups"
        says={form.scaleStep ? `the scale shows ${form.scaleStep} g` : 'no scale'}
        wrong={wrong(['scaleStep', 'counts'])}
      >
        <MeasuresPart {...part} />
      </Fold>
      {changed || save.isError ? (
        <div className="keep-bar">
          <Outcome mutation={save} fields={shown} word="Save the kitchen" />
        </div>
      ) : null}
    </form>
  );
}

const names = (things: { name: string }[]) => things.map((t) => t.name).join(', ') || 'none';
