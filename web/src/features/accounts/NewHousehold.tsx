import { Button, NumberInput, PasswordInput, SegmentedControl, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, keys, type MeasureSystem } from '../../api/client';
import { CelsiusInput } from '../../kit/CelsiusInput';
import { said } from '../../kit/fields';
import { MEASURES, TEMPERATURES, ZONES, ownZone } from './choices';
import { Choice } from '../../kit/Choice';
import { Trouble } from '../../kit/Trouble';

interface Form {
  name: string;
  signIn: string;
  called: string;
  password: string;
  measures: MeasureSystem;
  degrees: string;
  timeZone: string;
  roomC: number | string;
  fridgeC: number | string;
  jarMl: number | string;
}

const BLANK: Omit<Form, 'timeZone'> = {
  name: '',
  signIn: '',
  called: '',
  password: '',
  measures: 'METRIC',
  degrees: 'C',
  roomC: 21,
  fridgeC: 5,
  jarMl: 1000,
};

interface Part {
  form: Form;
  set: (change: Partial<Form>) => void;
  error: unknown;
}

/** Makes a household: who, how it measures, and as much of the kitchen as the first brew needs. */
export function NewHousehold() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [form, setForm] = useState<Form>(() => ({ ...BLANK, timeZone: ownZone() }));
  const set = (change: Partial<Form>) => setForm({ ...form, ...change });
  const make = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/households', {
          body: {
            name: form.name,
            signIn: form.signIn,
            called: form.called.trim() || undefined,
            password: form.password,
            measures: form.measures,
            fahrenheit: form.degrees === 'F',
            timeZone: form.timeZone,
            kitchen: {
              roomC: Number(form.roomC),
              fridgeC: Number(form.fridgeC),
              largestJarMl: Number(form.jarMl),
            },
          },
        }),
      ),
    onSuccess: async () => {
      client.removeQueries({ queryKey: keys.all });
      // First the address, then the session: the frame opens where the first brew is chosen.
      await navigate('/choose');
      await client.invalidateQueries({ queryKey: keys.session });
    },
  });
  const fields = [
    'name',
    'signIn',
    'called',
    'password',
    'timeZone',
    'kitchen.roomC',
    'kitchen.fridgeC',
    'kitchen.largestJarMl',
  ];
  return (
    <main className="page narrow" id="main">
      <form
        className="stack wide"
        onSubmit={(e) => {
          e.preventDefault();
          make.mutate();
        }}
      >
        <div className="stack">
          <h1>Make a household</h1>
          <TextInput
            label="What is it called?"
            placeholder="The kitchen at home"
            value={form.name}
            onChange={(e) => set({ name: e.currentTarget.value })}
            error={said(make.error, 'name')}
            required
          />
          <TextInput
            label="Your sign-in name"
            value={form.signIn}
            onChange={(e) => set({ signIn: e.currentTarget.value })}
            autoComplete="username"
            error={said(make.error, 'signIn')}
            required
          />
          <TextInput
            label="What the others call you"
            description="If others will sign in as well; otherwise leave it."
            value={form.called}
            onChange={(e) => set({ called: e.currentTarget.value })}
            autoComplete="nickname"
            error={said(make.error, 'called')}
          />
          <PasswordInput
            label="A password, 8 characters or more"
            value={form.password}
            onChange={(e) => set({ password: e.currentTarget.value })}
            autoComplete="new-password"
            error={said(make.error, 'password')}
            required
          />
        </div>
        <Measuring form={form} set={set} error={make.error} />
        <FirstKitchen form={form} set={set} error={make.error} />
        <Trouble error={make.error} fields={fields} />
        <div className="row">
          <Button type="submit" loading={make.isPending}>
            Make it and choose a brew
          </Button>
          <Button variant="subtle" component={Link} to="/sign-in">
            Back
          </Button>
        </div>
      </form>
    </main>
  );
}

function Measuring({ form, set, error }: Part) {
  return (
    <div className="stack">
      <h2>How you measure</h2>
      <Choice
        label="Spoons and cups"
        data={MEASURES}
        value={form.measures}
        onChange={(v) => set({ measures: v as MeasureSystem })}
      />
      <div>
        <p id="degrees">Temperatures</p>
        <SegmentedControl
          aria-labelledby="degrees"
          data={TEMPERATURES}
          value={form.degrees}
          onChange={(degrees) => set({ degrees })}
        />
      </div>
      <Choice
        label="Time zone"
        data={ZONES}
        value={form.timeZone}
        onChange={(v) => set({ timeZone: v! })}
        error={said(error, 'timeZone')}
      />
    </div>
  );
}

/** As much of the kitchen as the first brew needs. */
function FirstKitchen({ form, set, error }: Part) {
  return (
    <div className="stack">
      <h2>Your kitchen</h2>
      <p className="soft">
        Enough for the first brew. Pots, spoons and the rest are set to what a home usually has;
        change them under the household&rsquo;s name in the top line.
      </p>
      <div className="row end">
        <CelsiusInput
          fahrenheit={form.degrees === 'F'}
          label="Room"
          value={form.roomC}
          onChange={(roomC) => set({ roomC })}
          error={said(error, 'kitchen.roomC')}
          w={130}
        />
        <CelsiusInput
          fahrenheit={form.degrees === 'F'}
          label="Fridge"
          value={form.fridgeC}
          onChange={(fridgeC) => set({ fridgeC })}
          error={said(error, 'kitchen.fridgeC')}
          w={130}
        />
        <NumberInput
          label="Largest jar, mL"
          value={form.jarMl}
          onChange={(jarMl) => set({ jarMl })}
          error={said(error, 'kitchen.largestJarMl')}
          w={160}
        />
      </div>
    </div>
  );
}
