import { Button, Checkbox, NumberInput, Select, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type Household, type Kitchen } from '../../api/client';
import { CelsiusInput } from '../../kit/CelsiusInput';
import { said } from '../../kit/fields';
import { Outcome } from './Outcome';
import { PastClimates } from './PastClimates';
import { capital, options, WORDS } from '../../kit/words';

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
  const set = (part: Partial<Kitchen>) => setForm({ ...form, ...part });
  // An emptied field stays empty and is sent so: the server says what it wants there.
  const n = (v: number | string) => v as number;
  const vessel = (i: number, part: Partial<Kitchen['vessels'][number]>) =>
    set({ vessels: form.vessels.map((v, at) => (at === i ? { ...v, ...part } : v)) });
  const hob = (i: number, part: Partial<Kitchen['hobs'][number]>) =>
    set({ hobs: form.hobs.map((h, at) => (at === i ? { ...h, ...part } : h)) });
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
      <h2>Climate</h2>
      <div className="row end">
        <CelsiusInput
          label="Room"
          w={130}
          value={form.roomC}
          onChange={(v) => set({ roomC: n(v) })}
          error={said(save.error, 'kitchen.roomC')}
        />
        <CelsiusInput
          label="Fridge"
          w={130}
          value={form.fridgeC}
          onChange={(v) => set({ fridgeC: n(v) })}
          error={said(save.error, 'kitchen.fridgeC')}
        />
        <CelsiusInput
          label="Freezer"
          w={130}
          value={form.freezerC}
          onChange={(v) => set({ freezerC: n(v) })}
          error={said(save.error, 'kitchen.freezerC')}
        />
        <TextInput
          type="date"
          label="It has been so since"
          description="today, when left empty"
          w={190}
          value={since}
          onChange={(e) => setSince(e.currentTarget.value)}
          error={said(save.error, 'climateSince')}
        />
      </div>
      <PastClimates />
      <h2>Height and water</h2>
      <p className="soft small">
        High up water boils cooler; hard water holds acids off. Until you say, a low place and any
        tap water are taken, and the ranges are as wide.
      </p>
      <div className="row end">
        <NumberInput
          label="Above the sea, m"
          placeholder="not said"
          w={150}
          value={form.altitudeM ?? ''}
          onChange={(v) => set({ altitudeM: v === '' ? undefined : n(v) })}
          error={said(save.error, 'kitchen.altitudeM')}
        />
        <Select
          label="Tap water"
          w={170}
          data={[{ value: '', label: 'not said' }, ...options(WORDS.waters)]}
          value={form.water ?? ''}
          allowDeselect={false}
          onChange={(v) =>
            set({ water: (v || undefined) as Kitchen['water'], alkalinityMgL: undefined })
          }
        />
        <NumberInput
          label="or its alkalinity, mg/L"
          description="as CaCO₃, from a water report"
          placeholder="not said"
          w={210}
          value={form.alkalinityMgL ?? ''}
          onChange={(v) => set({ alkalinityMgL: v === '' ? undefined : n(v) })}
          error={said(save.error, 'kitchen.alkalinityMgL')}
        />
      </div>
      <h2>Hobs</h2>
      <p className="soft small">
        Watts that reach the pot. A trial below tells them; until then the usual ones are taken.
      </p>
      {form.hobs.map((h, i) => (
        <div className="row end" key={h.id}>
          <TextInput
            className="field-s"
            label="Name"
            value={h.name}
            onChange={(e) => hob(i, { name: e.currentTarget.value })}
            error={said(save.error, `kitchen.hobs[${i}].name`)}
          />
          {(['lowW', 'mediumW', 'highW'] as const).map((f) => (
            <NumberInput
              key={f}
              label={{ lowW: 'Low, W', mediumW: 'Medium, W', highW: 'High, W' }[f]}
              w={110}
              value={h[f]}
              onChange={(v) => hob(i, { [f]: n(v) })}
              error={said(save.error, `kitchen.hobs[${i}].${f}`)}
              description={f === 'highW' && h.trial ? 'from a trial' : undefined}
            />
          ))}
          <Button
            variant="subtle"
            aria-label={`Leave ${h.name} out`}
            onClick={() => set({ hobs: form.hobs.filter((_, at) => at !== i) })}
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
              hobs: [
                ...form.hobs,
                {
                  id: `own-${crypto.randomUUID().slice(0, 8)}`,
                  name: 'Ring',
                  lowW: 250,
                  mediumW: 700,
                  highW: 1300,
                },
              ],
            })
          }
        >
          One more hob
        </Button>
      </div>
      <h2>Pots, bowls and jars</h2>
      {form.vessels.map((v, i) => (
        <div className="row end" key={v.id}>
          <Select
            label="Kind"
            w={120}
            data={options(WORDS.vessels, capital)}
            value={v.kind}
            onChange={(kind) => vessel(i, { kind: kind as typeof v.kind })}
          />
          <TextInput
            className="field-s"
            label="Name"
            value={v.name}
            onChange={(e) => vessel(i, { name: e.currentTarget.value })}
            error={said(save.error, `kitchen.vessels[${i}].name`)}
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
                  id: `own-${crypto.randomUUID().slice(0, 8)}`,
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
          One more vessel
        </Button>
      </div>
      <h2>Strainers</h2>
      <div className="row">
        {options(WORDS.strainers).map((t) => (
          <Checkbox
            key={t.value}
            size="md"
            label={t.label}
            checked={form.strainers.some((s) => s === t.value)}
            onChange={(e) =>
              set({
                strainers: e.currentTarget.checked
                  ? [...form.strainers, t.value as Kitchen['strainers'][number]]
                  : form.strainers.filter((s) => s !== t.value),
              })
            }
          />
        ))}
      </div>
      <h2>Scale and loose measures</h2>
      <div className="row end">
        <NumberInput
          label="The scale shows steps of, g"
          description="0 without a scale"
          w={210}
          decimalScale={1}
          value={form.scaleStep ?? 1}
          onChange={(v) => set({ scaleStep: n(v) })}
          error={said(save.error, 'kitchen.scaleStep')}
        />
        {Object.entries(form.counts ?? {}).map(([id, ml]) => (
          <NumberInput
            key={id}
            label={`A ${id}, mL`}
            w={130}
            decimalScale={2}
            value={ml}
            onChange={(v) => set({ counts: { ...form.counts, [id]: n(v) } })}
          />
        ))}
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
