import { Button, FileButton, NumberInput, SegmentedControl, Select } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, keys, type FridgeOutcome } from '../../api/client';
import { useFridge } from '../../api/queries';
import { CelsiusInput } from '../../kit/CelsiusInput';
import { said, saidElse } from '../../kit/fields';
import { useFormat } from '../../kit/format';
import { done, tell } from '../../kit/states';

type What = 'POWER_CUT' | 'WARM' | 'LOG';

/** One event for all that stands in the fridge, seen before it counts. */
export function FridgePage() {
  const format = useFormat();
  const client = useQueryClient();
  const before = useFridge();
  const [what, setWhat] = useState<What>('POWER_CUT');
  const [hours, setHours] = useState<number | string>(6);
  const [celsius, setCelsius] = useState<number | string>(12);
  const [ago, setAgo] = useState<number | string>(0);
  const [file, setFile] = useState<{ name: string; text: string }>();
  const [unit, setUnit] = useState<'AUTO' | 'C' | 'F'>('AUTO');
  const [zone, setZone] = useState('');
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
              params: { query: { unit, zone, look } },
              body: file?.text ?? '',
              bodySerializer: (body) => body,
              headers: { 'Content-Type': 'text/csv' },
            }),
          )
        : ask(
            api.POST('/api/fridge', {
              params: { query: { look } },
              body: {
                what,
                hours: Number(hours),
                celsius: what === 'WARM' ? Number(celsius) : undefined,
                endedHoursAgo: Number(ago) || 0,
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
  const touched = seen?.bottles.filter((b) => b.before !== b.after) ?? [];
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
        {what !== 'LOG' && (
          <div className="row end">
            <NumberInput
              label="For how many hours"
              value={hours}
              onChange={setHours}
              error={said(run.error, 'hours')}
              w={170}
            />
            {what === 'WARM' && (
              <CelsiusInput
                label="How warm"
                value={celsius}
                onChange={setCelsius}
                error={said(run.error, 'celsius')}
                w={130}
              />
            )}
            <NumberInput
              label="Over since, hours ago"
              value={ago}
              onChange={setAgo}
              error={said(run.error, 'endedHoursAgo')}
              w={180}
            />
          </div>
        )}
        {what === 'LOG' && (
          <div className="row end">
            <FileButton
              accept=".csv,.txt,text/csv,text/plain"
              onChange={(f) => {
                run.reset();
                if (f) void f.text().then((text) => setFile({ name: f.name, text }));
              }}
            >
              {(props) => (
                <Button className="touch" {...props} variant="outline">
                  {file ? file.name : 'Choose the file'}
                </Button>
              )}
            </FileButton>
            <Select
              label="Its unit"
              data={[
                { value: 'AUTO', label: 'as it says' },
                { value: 'C', label: '°C' },
                { value: 'F', label: '°F' },
              ]}
              value={unit}
              onChange={(u) => setUnit((u as typeof unit) ?? 'AUTO')}
              error={said(run.error, 'unit')}
              allowDeselect={false}
              w={140}
            />
            <Select
              label="Its clock"
              data={[
                { value: '', label: 'this household’s' },
                ...Intl.supportedValuesOf('timeZone'),
              ]}
              value={zone}
              onChange={(z) => setZone(z ?? '')}
              searchable
              error={said(run.error, 'zone')}
              w={220}
            />
          </div>
        )}
        {said(run.error, 'file') && <p className="trouble">{said(run.error, 'file')}</p>}
        {saidElse(run.error, fields) && (
          <p className="trouble" role="alert">
            {saidElse(run.error, fields)}
          </p>
        )}
        <div className="row">
          <Button
            className="touch"
            onClick={() => run.mutate(true)}
            variant="outline"
            loading={run.isPending}
            disabled={what === 'LOG' && !file}
          >
            See what it does
          </Button>
          {seen && !seen.id && (
            <Button className="touch" onClick={() => run.mutate(false)}>
              It happened
            </Button>
          )}
        </div>
        {seen && (
          <section aria-live="polite">
            <h2>
              {seen.words}
              {seen.id ? ': noted' : ''}
            </h2>
            <p className="soft">
              {format.moment(seen.from)} to {format.moment(seen.to)}
              {seen.warmest != null &&
                `, ${format.celsius(seen.coldest ?? 0)} to ${format.celsius(seen.warmest)}`}
            </p>
            {seen.gaps.map((g) => (
              <p key={g.from} className="caution">
                Nothing was written from {format.moment(g.from)} to {format.moment(g.to)}: that time
                is not billed.
              </p>
            ))}
            {seen.left.length > 0 && (
              <p className="caution">
                Not taken:{' '}
                {seen.left
                  .slice(0, 6)
                  .map((l) => `line ${l.line} (${l.why})`)
                  .join(', ')}
                {seen.left.length > 6 ? ' and more' : ''}.
              </p>
            )}
            {touched.length === 0 ? (
              <p>No last day changes.</p>
            ) : (
              <ul className="lines">
                {touched.map((b) => (
                  <li key={b.id} className="figure-line">
                    <Link to={`/keep/${b.id}`}>
                      {b.name} {b.number}
                    </Link>
                    <span>
                      {format.day(b.before)} → <b>{format.day(b.after)}</b>
                    </span>
                    <span className="soft small">{b.useNow ? 'use it now' : ''}</span>
                  </li>
                ))}
              </ul>
            )}
          </section>
        )}
        {(before.data?.length ?? 0) > 0 && (
          <section>
            <h2>Before</h2>
            <ul className="lines">
              {before.data!.map((e) => (
                <li key={e.id} className="row apart">
                  <span>
                    {e.words} <span className="soft small">{format.moment(e.from)}</span>
                  </span>
                  <Button
                    variant="subtle"
                    size="compact-md"
                    onClick={() => takeBack.mutate(e.id)}
                    aria-label={`Take back: ${e.words}`}
                  >
                    Take back
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </main>
  );
}
