import { Button, NumberInput, SegmentedControl, Select, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type Household, type Kitchen, type MeasureSystem } from '../../api/client';
import { useHousehold, useKitchen } from '../../api/queries';
import { said, saidElse } from '../../app/fields';
import { Failed, Waiting } from '../../app/states';
import { MEASURES, TEMPERATURES, ZONES } from '../accounts/choices';

/** The kitchen and the household: what the model needs to know, and how it is written. */
export function KitchenPage() {
  const household = useHousehold();
  const kitchen = useKitchen();
  if (household.isPending || kitchen.isPending) return <Waiting />;
  if (household.isError || kitchen.isError) {
    return (
      <main className="page" id="main">
        <Failed error={household.error ?? kitchen.error} />
      </main>
    );
  }
  return (
    <main className="page" id="main" style={{ maxWidth: 980 }}>
      <h1>{household.data.name}</h1>
      <div className="stack wide" style={{ marginTop: 16 }}>
        <HouseholdForm key={`h${household.data.version}`} household={household.data} />
        <KitchenForm
          key={`k${kitchen.data.version}`}
          kitchen={kitchen.data.kitchen}
          version={kitchen.data.version}
        />
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
        <Select
          label="Spoons and cups"
          data={MEASURES}
          value={form.measures}
          onChange={(v) => set({ measures: v as MeasureSystem })}
          style={{ flex: '1 1 300px' }}
        />
        <SegmentedControl
          aria-label="Temperatures"
          data={TEMPERATURES}
          value={form.fahrenheit ? 'F' : 'C'}
          onChange={(v) => set({ fahrenheit: v === 'F' })}
        />
        <Select
          label="Time zone"
          data={ZONES}
          searchable
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
          data={[
            { value: 'CAREFUL', label: 'Careful' },
            { value: 'PRACTICE', label: 'Practice' },
          ]}
        />
        <p className="soft small">
          {form.school === 'CAREFUL'
            ? 'The shortest credible times, with published backing (FDA Food Code, USP <795>). Our choice for everyone who has no reason to choose otherwise.'
            : 'What many makers do. Dates beyond the published figures are marked, and ask for clean working: sterilised bottles, a fine strain, a fridge at 5 °C.'}
        </p>
      </div>
      <Outcome mutation={save} fields={['name', 'timeZone']} word="Save the household" />
    </form>
  );
}

function KitchenForm({ kitchen, version }: { kitchen: Kitchen; version: number }) {
  const client = useQueryClient();
  const [form, setForm] = useState(kitchen);
  const save = useMutation({
    mutationFn: () => ask(api.PUT('/api/kitchen', { body: { kitchen: form, version } })),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.all }),
  });
  const set = (part: Partial<Kitchen>) => setForm({ ...form, ...part });
  // An emptied field stays empty and is sent so: the server says what it wants there.
  const n = (v: number | string) => v as number;
  const vessel = (i: number, part: Partial<Kitchen['vessels'][number]>) =>
    set({ vessels: form.vessels.map((v, at) => (at === i ? { ...v, ...part } : v)) });
  const shown = [
    'kitchen.roomC',
    'kitchen.fridgeC',
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
      <h2>Climate</h2>
      <div className="row end">
        <NumberInput
          label="Room, °C"
          w={130}
          value={form.roomC}
          onChange={(v) => set({ roomC: n(v) })}
          error={said(save.error, 'kitchen.roomC')}
        />
        <NumberInput
          label="Fridge, °C"
          w={130}
          value={form.fridgeC}
          onChange={(v) => set({ fridgeC: n(v) })}
          error={said(save.error, 'kitchen.fridgeC')}
        />
      </div>
      <h2>Pots, bowls and jars</h2>
      {form.vessels.map((v, i) => (
        <div className="row end" key={v.id}>
          <Select
            label="Kind"
            w={120}
            data={[
              { value: 'POT', label: 'Pot' },
              { value: 'BOWL', label: 'Bowl' },
              { value: 'JAR', label: 'Jar' },
              { value: 'BLENDER', label: 'Blender' },
            ]}
            value={v.kind}
            onChange={(kind) => vessel(i, { kind: kind as typeof v.kind })}
          />
          <TextInput
            label="Name"
            value={v.name}
            onChange={(e) => vessel(i, { name: e.currentTarget.value })}
            error={said(save.error, `kitchen.vessels[${i}].name`)}
            style={{ flex: '1 1 140px' }}
          />
          <NumberInput
            label="Wide, cm"
            w={96}
            value={v.diameterCm}
            onChange={(x) => vessel(i, { diameterCm: n(x) })}
            error={said(save.error, `kitchen.vessels[${i}].diameterCm`)}
          />
          <NumberInput
            label="Holds, mL"
            w={110}
            value={v.capacityMl}
            onChange={(x) => vessel(i, { capacityMl: n(x) })}
            error={said(save.error, `kitchen.vessels[${i}].capacityMl`)}
          />
          <Button
            variant="subtle"
            aria-label={`Leave ${v.name} out`}
            onClick={() => set({ vessels: form.vessels.filter((_, at) => at !== i) })}
          >
            ✕
          </Button>
        </div>
      ))}
      <div>
        <Button
          variant="subtle"
          onClick={() =>
            set({
              vessels: [
                ...form.vessels,
                {
                  id: `own-${Date.now()}`,
                  name: 'Jar',
                  kind: 'JAR',
                  diameterCm: 10,
                  capacityMl: 1000,
                  lid: true,
                },
              ],
            })
          }
        >
          One more
        </Button>
      </div>
      <h2>Spoons, cups and jugs</h2>
      <p className="row">
        {form.scoops.map((s, i) => (
          <Button
            key={s.id}
            variant="outline"
            size="compact-md"
            aria-label={`Leave ${s.label} out`}
            onClick={() => set({ scoops: form.scoops.filter((_, at) => at !== i) })}
          >
            {s.label} ✕
          </Button>
        ))}
        <Button
          variant="subtle"
          size="compact-md"
          onClick={async () => {
            const system = client.getQueryData<Household>(keys.household)?.measures ?? 'METRIC';
            const usual = await ask(
              api.GET('/api/kitchens/usual/{system}', { params: { path: { system } } }),
            );
            set({ scoops: usual.scoops });
          }}
        >
          The usual set of my measures
        </Button>
      </p>
      <Outcome mutation={save} fields={shown} word="Save the kitchen" />
    </form>
  );
}

function Outcome({
  mutation,
  fields,
  word,
}: {
  mutation: { error: unknown; isPending: boolean; isSuccess: boolean };
  fields: string[];
  word: string;
}) {
  return (
    <>
      {saidElse(mutation.error, fields) && (
        <p className="trouble" role="alert">
          {saidElse(mutation.error, fields)}
        </p>
      )}
      <div className="row">
        <Button type="submit" loading={mutation.isPending}>
          {word}
        </Button>
        {mutation.isSuccess && <span role="status">Saved.</span>}
      </div>
    </>
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
