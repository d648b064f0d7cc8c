import { Button, SegmentedControl, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type Household, type MeasureSystem } from '../../api/client';
import { useHousehold, useKitchen } from '../../api/queries';
import { useServerClock } from '../../kit/clock';
import { said } from '../../kit/fields';
import { formatFor } from '../../kit/format';
import { Failed, Waiting } from '../../kit/states';
import { MEASURES, TEMPERATURES, ZONES } from '../accounts/choices';
import { ContainersForm } from '../containers/ContainersForm';
import { HobTrials } from './HobTrials';
import { BackupForm } from './BackupForm';
import { KitchenForm } from './KitchenForm';
import { KitchenPicture } from './KitchenPicture';
import { TablesForm } from './TablesForm';
import { Outcome } from './Outcome';
import { capital, options, WORDS } from '../../kit/words';
import { Choice } from '../../kit/Choice';

/** The kitchen and the household: what the model needs to know, and how it is written. */
export function KitchenPage() {
  const household = useHousehold();
  const kitchen = useKitchen();
  const now = useServerClock(household.data?.now, household.dataUpdatedAt, 30_000);
  if (household.isPending || kitchen.isPending) return <Waiting />;
  if (household.isError || kitchen.isError) {
    return (
      <main className="page" id="main">
        <Failed error={household.error ?? kitchen.error} />
      </main>
    );
  }
  return (
    <main className="page reading" id="main">
      <h1>{household.data.name}</h1>
      <div className="stack wide above-l">
        <KitchenPicture
          kitchen={kitchen.data.kitchen}
          now={now}
          format={formatFor(household.data)}
        />
        <HouseholdForm key={`h${household.data.version}`} household={household.data} />
        <KitchenForm
          key={`k${kitchen.data.version}`}
          kitchen={kitchen.data.kitchen}
          version={kitchen.data.version}
        />
        <ContainersForm />
        <HobTrials kitchen={kitchen.data.kitchen} version={kitchen.data.version} />
        <TablesForm />
        <BackupForm />
        <SignOut />
      </div>
    </main>
  );
}

function HouseholdForm({ household }: { household: Household }) {
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
      <h2>Household</h2>
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

function SignOut() {
  const client = useQueryClient();
  const out = useMutation({
    mutationFn: () => ask(api.DELETE('/api/session')),
    onSuccess: async () => {
      client.removeQueries({ queryKey: keys.all });
      await client.invalidateQueries({ queryKey: keys.session });
    },
  });
  return (
    <div>
      <Button variant="outline" onClick={() => out.mutate()} loading={out.isPending}>
        Sign out
      </Button>
    </div>
  );
}
