import { SegmentedControl, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type Household, type MeasureSystem } from '../../api/client';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import { capital, options, WORDS } from '../../kit/words';
import { MEASURES, TEMPERATURES, ZONES } from '../accounts/choices';
import { Outcome } from './Outcome';

/** How the household is called, where it is, and how amounts and dates are written for it. */
export function HouseholdForm({ household }: { household: Household }) {
  const client = useQueryClient();
  const [form, setForm] = useState(household);
  const save = useMutation({
    mutationFn: () => {
      const { name, measures, fahrenheit, timeZone, school, version } = form;
      return ask(
        api.PUT('/api/household', {
          body: { name, measures, fahrenheit, timeZone, school, version },
        }),
      );
    },
    onSuccess: () => client.invalidateQueries({ queryKey: keys.all }),
  });
  const set = (part: Partial<Household>) => setForm({ ...form, ...part });
  return (
    <form
      className="stack"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <TextInput
        label="Name"
        value={form.name}
        onChange={(e) => set({ name: e.currentTarget.value })}
        error={said(save.error, 'name')}
      />
      <div className="row end">
        <Choice
          className="field"
          label="Spoons and cups"
          data={MEASURES}
          value={form.measures}
          onChange={(v) => set({ measures: v as MeasureSystem })}
        />
        <SegmentedControl
          aria-label="Temperatures"
          data={TEMPERATURES}
          value={form.fahrenheit ? 'F' : 'C'}
          onChange={(v) => set({ fahrenheit: v === 'F' })}
        />
        <Choice
          label="Time zone"
          data={ZONES}
          value={form.timeZone}
          onChange={(v) => set({ timeZone: v! })}
          error={said(save.error, 'timeZone')}
        />
      </div>
      <div>
        <p id="school">How long to keep things</p>
        <SegmentedControl
          aria-labelledby="school"
          value={form.school}
          onChange={(v) => set({ school: v as Household['school'] })}
          data={options(WORDS.schools, capital)}
        />
        <p className="soft small">{WORDS.aboutSchools[form.school]}</p>
      </div>
      <Outcome mutation={save} fields={['name', 'timeZone']} word="Save the household" />
    </form>
  );
}
