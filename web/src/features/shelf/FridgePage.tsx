import { Button, FileButton, NumberInput, SegmentedControl } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, keys, type FridgeOutcome } from '../../api/client';
import { useFridge } from '../../api/queries';
import { CelsiusInput } from '../../kit/CelsiusInput';
import { said } from '../../kit/fields';
import { useFormat } from '../../kit/format';
import { done, tell } from '../../kit/states';
import { Before, Seen } from './FridgeSeen';
import { Choice } from '../../kit/Choice';
import { Trouble } from '../../kit/Trouble';

type What = 'POWER_CUT' | 'WARM' | 'LOG';

interface Typed {
  hours: number | string;
  celsius: number | string;
  /** Hours since it was over. */
  ago: number | string;
}

interface Log {
  file?: { name: string; text: string };
  unit: 'AUTO' | 'C' | 'F';
  zone: string;
}

/** One event for all that stands in the fridge, seen before it counts. */
export function FridgePage() {
  const format = useFormat();
  const client = useQueryClient();
  const before = useFridge();
  const [what, setWhat] = useState<What>('POWER_CUT');
  const [typed, setTyped] = useState<Typed>({ hours: 6, celsius: 12, ago: 0 });
  const [log, setLog] = useState<Log>({ unit: 'AUTO', zone: '' });
  const takeBack = useMutation({
    mutationFn: (id: string) => ask(api.DELETE('/api/fridge/{id}', { params: { path: { id } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.all }),
    onError: tell,
  });
  const run = useMutation({
    mutationFn: (look: boolean): Promise<FridgeOutcome> =>
      what === 'LOG'
        ? ask(
            api.POST('/api/fridge/fridge-log', {
              params: { query: { unit: log.unit, zone: log.zone, look } },
              body: log.file?.text ?? '',
              bodySerializer: (body) => body,
              headers: { 'Content-Type': 'text/csv' },
            }),
          )
        : ask(
            api.POST('/api/fridge', {
              params: { query: { look } },
              body: {
                what,
                hours: Number(typed.hours),
                celsius: what === 'WARM' ? Number(typed.celsius) : undefined,
                endedHoursAgo: Number(typed.ago) || 0,
              },
            }),
          ),
    onSuccess: async (outcome) => {
      if (!outcome.id) return;
      const id = outcome.id;
      done(outcome.words, () => takeBack.mutate(id));
      await client.invalidateQueries({ queryKey: keys.all });
    },
  });
  const seen = run.data;
  const fields = ['hours', 'celsius', 'endedHoursAgo', 'file', 'unit', 'zone'];
  return (
    <main className="page reading" id="main">
      <p className="soft">
        <Link to="/keep">The shelf</Link>
      </p>
      <h1>Something happened to the fridge</h1>
      <div className="stack above">
        <SegmentedControl
          aria-label="What happened"
          data={[
            { value: 'POWER_CUT', label: 'Power cut' },
            { value: 'WARM', label: 'It was warm' },
            { value: 'LOG', label: 'A logger’s file' },
          ]}
          value={what}
          onChange={(w) => {
            setWhat(w as What);
            run.reset();
          }}
        />
        {what === 'LOG' ? (
          <LogFields log={log} set={setLog} error={run.error} reset={run.reset} />
        ) : (
          <TypedFields what={what} typed={typed} set={setTyped} error={run.error} />
        )}
        {said(run.error, 'file') && <p className="trouble">{said(run.error, 'file')}</p>}
        <Trouble error={run.error} fields={fields} />
        <div className="row">
          <Button
            className="touch"
            onClick={() => run.mutate(true)}
            variant="outline"
            loading={run.isPending}
            disabled={what === 'LOG' && !log.file}
          >
            See what it does
          </Button>
          {seen && !seen.id && (
            <Button className="touch" onClick={() => run.mutate(false)}>
              It happened
            </Button>
          )}
        </div>
        {seen && <Seen outcome={seen} format={format} />}
        {(before.data?.length ?? 0) > 0 && (
          <Before events={before.data!} format={format} onTakeBack={(id) => takeBack.mutate(id)} />
        )}
      </div>
    </main>
  );
}

function TypedFields({
  what,
  typed,
  set,
  error,
}: {
  what: What;
  typed: Typed;
  set: (typed: Typed) => void;
  error: unknown;
}) {
  return (
    <div className="row end">
      <NumberInput
        label="For how many hours"
        value={typed.hours}
        onChange={(hours) => set({ ...typed, hours })}
        error={said(error, 'hours')}
        w={170}
      />
      {what === 'WARM' && (
        <CelsiusInput
          label="How warm"
          value={typed.celsius}
          onChange={(celsius) => set({ ...typed, celsius })}
          error={said(error, 'celsius')}
          w={130}
        />
      )}
      <NumberInput
        label="Over since, hours ago"
        value={typed.ago}
        onChange={(ago) => set({ ...typed, ago })}
        error={said(error, 'endedHoursAgo')}
        w={180}
      />
    </div>
  );
}

function LogFields({
  log,
  set,
  error,
  reset,
}: {
  log: Log;
  set: (log: Log) => void;
  error: unknown;
  reset: () => void;
}) {
  return (
    <div className="row end">
      <FileButton
        accept=".csv,.txt,text/csv,text/plain"
        onChange={(f) => {
          reset();
          if (f) void f.text().then((text) => set({ ...log, file: { name: f.name, text } }));
        }}
      >
        {(props) => (
          <Button className="touch" {...props} variant="outline">
            {log.file ? log.file.name : 'Choose the file'}
          </Button>
        )}
      </FileButton>
      <Choice
        label="Its unit"
        data={[
          { value: 'AUTO', label: 'as it says' },
          { value: 'C', label: '°C' },
          { value: 'F', label: '°F' },
        ]}
        value={log.unit}
        onChange={(u) => set({ ...log, unit: u as Log['unit'] })}
        error={said(error, 'unit')}
        w={140}
      />
      <Choice
        label="Its clock"
        data={[{ value: '', label: 'this household’s' }, ...Intl.supportedValuesOf('timeZone')]}
        value={log.zone}
        onChange={(zone) => set({ ...log, zone })}
        error={said(error, 'zone')}
        w={220}
      />
    </div>
  );
}
