import { Button, Checkbox, NumberInput, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { api, ask, keys, type Household, type Kitchen } from '../../api/client';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import { Rows } from '../../kit/Rows';
import { capital, options, WORDS } from '../../kit/words';
import { n, ownId, type Part } from './part';

const HEATS = [
  ['lowW', 'Low, W'],
  ['mediumW', 'Medium, W'],
  ['highW', 'High, W'],
] as const;

export function HobsPart({ form, set, error }: Part) {
  const hob = (i: number, part: Partial<Kitchen['hobs'][number]>) =>
    set({ hobs: form.hobs.map((h, at) => (at === i ? { ...h, ...part } : h)) });
  return (
    <>
      <p className="soft small">
        Watts that reach the pot. A trial below tells them; until then the usual ones are taken.
      </p>
      <Rows
        of={form.hobs}
        known={(h) => ({ key: h.id, name: h.name })}
        more="One more hob"
        onMore={() =>
          set({
            hobs: [
              ...form.hobs,
              { id: ownId(), name: 'Ring', lowW: 250, mediumW: 700, highW: 1300 },
            ],
          })
        }
        onLeaveOut={(i) => set({ hobs: form.hobs.filter((_, at) => at !== i) })}
      >
        {(h, i) => (
          <>
            <TextInput
              className="field-s"
              label="Name"
              value={h.name}
              onChange={(e) => hob(i, { name: e.currentTarget.value })}
              error={said(error, `kitchen.hobs[${i}].name`)}
            />
            {HEATS.map(([f, label]) => (
              <NumberInput
                key={f}
                label={label}
                w={110}
                value={h[f]}
                onChange={(v) => hob(i, { [f]: n(v) })}
                error={said(error, `kitchen.hobs[${i}].${f}`)}
                description={f === 'highW' && h.trial ? 'from a trial' : undefined}
              />
            ))}
          </>
        )}
      </Rows>
    </>
  );
}

export function VesselsPart({ form, set, error }: Part) {
  const vessel = (i: number, part: Partial<Kitchen['vessels'][number]>) =>
    set({ vessels: form.vessels.map((v, at) => (at === i ? { ...v, ...part } : v)) });
  return (
    <>
      <Rows
        of={form.vessels}
        known={(v) => ({ key: v.id, name: v.name })}
        more="One more vessel"
        onMore={() =>
          set({
            vessels: [
              ...form.vessels,
              {
                id: ownId(),
                name: 'Jar',
                kind: 'JAR',
                diameterCm: 10,
                capacityMl: 1000,
                lid: true,
              },
            ],
          })
        }
        onLeaveOut={(i) => set({ vessels: form.vessels.filter((_, at) => at !== i) })}
      >
        {(v, i) => (
          <>
            <Choice
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
              error={said(error, `kitchen.vessels[${i}].name`)}
            />
            <NumberInput
              label="Wide, cm"
              w={96}
              value={v.diameterCm}
              onChange={(x) => vessel(i, { diameterCm: n(x) })}
              error={said(error, `kitchen.vessels[${i}].diameterCm`)}
            />
            <NumberInput
              label="Holds, mL"
              w={110}
              value={v.capacityMl}
              onChange={(x) => vessel(i, { capacityMl: n(x) })}
              error={said(error, `kitchen.vessels[${i}].capacityMl`)}
            />
          </>
        )}
      </Rows>
    </>
  );
}

export function StrainersPart({ form, set }: Part) {
  return (
    <>
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
    </>
  );
}

/** Scale, pinch and handful, spoons and jugs. */
export function MeasuresPart({ form, set, error }: Part) {
  const client = useQueryClient();
  return (
    <>
      <div className="row end">
        <NumberInput
          label="The scale shows steps of, g"
          description="0 without a scale"
          w={210}
          decimalScale={1}
          value={form.scaleStep ?? 1}
          onChange={(v) => set({ scaleStep: n(v) })}
          error={said(error, 'kitchen.scaleStep')}
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
      <h3>Spoons, cups and jugs</h3>
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
    </>
  );
}
