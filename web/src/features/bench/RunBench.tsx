import { lazy, Suspense } from 'react';
import { Button } from '@mantine/core';
import { Link, useOutletContext } from 'react-router';
import type { Run } from '../../api/client';
import { useHousehold, useRun } from '../../api/queries';
import { AgainstWarning } from '../../kit/AgainstWarning';
import { useServerClock } from '../../kit/clock';
import { formatFor, type Format } from '../../kit/format';
import { Failed, Waiting } from '../../kit/states';
import { BrewLine } from '../../signature/BrewLine';
import { KeepingBand } from '../../signature/KeepingBand';
import { Beginning } from './Beginning';
import { Departures } from './Departures';
import { useAwake } from './hands';
import { PotNow, StepNow } from './StepNow';
import { Story } from './Story';
import { usePending, useTap } from './useTaps';
import './bench.css';

// What stands below the step comes after it.
const Compared = lazy(() => import('./Compared').then((m) => ({ default: m.Compared })));
const CoolingChoices = lazy(() =>
  import('./CoolingChoices').then((m) => ({ default: m.CoolingChoices })),
);
const DayView = lazy(() => import('./DayView').then((m) => ({ default: m.DayView })));
const LogBook = lazy(() => import('./LogBook').then((m) => ({ default: m.LogBook })));

/** One pot: what to do now, when it is ready, what to look for. */
export function RunBench({ id }: { id: string }) {
  const run = useRun(id);
  const household = useHousehold();
  if (run.isPending) return <Waiting />;
  // A line lost keeps what was last known on screen.
  if (!run.data) return <Failed error={run.error} again={() => run.refetch()} />;
  return <RunView run={run.data} at={run.dataUpdatedAt} format={formatFor(household.data)} />;
}

function RunView({ run, at, format }: { run: Run; at: number; format: Format }) {
  const { showVerbs } = useOutletContext<{ showVerbs: () => void }>();
  const now = useServerClock(run.now, at);
  // What is asked back belongs to where it was tapped: the step, its log, and what departs from it.
  const tap = useTap(run.id);
  const logTap = useTap(run.id);
  const otherTap = useTap(run.id);
  const waits = usePending().filter((t) => t.run === run.id);
  const running = run.status === 'RUNNING';
  useAwake(running);
  const minute = (now - Date.parse(run.startedAt)) / 60_000;
  const cools =
    running && run.prediction.steps.some((s) => s.index >= run.step && s.kind === 'cool');
  return (
    <>
      <button
        className="run-top"
        onClick={showVerbs}
        aria-label={`${run.name}: show the job's verbs`}
      >
        <span>{run.name}</span>
        <span className="soft">
          {running ? `step ${run.step + 1} of ${run.prediction.steps.length}` : run.code}
        </span>
      </button>
      <div className="run">
        <div className="stack">
          {waits.length > 0 && (
            <p className="trouble" role="status">
              Kept on this device: {waits.map((t) => t.words).join(', ')}. Not taken yet:{' '}
              {waits[0]?.why ?? 'Dremsa does not answer.'} It is sent again by itself.
            </p>
          )}
          {running ? (
            <StepNow
              key={`${run.step}:${run.prediction.steps.length}`}
              run={run}
              now={now}
              format={format}
              busy={tap.isPending || waits.some((t) => t.path.endsWith('/finish'))}
              error={tap.error}
              onDone={(report) =>
                tap.mutate({
                  path: `/steps/${run.step}/finish`,
                  body: { version: run.version, ...report },
                  words: `${run.line.headline}: done`,
                  mayWait: true,
                  early:
                    run.window && now < Date.parse(run.window.rightFrom)
                      ? `Too early: right from ${format.clock(run.window.rightFrom)}.`
                      : undefined,
                })
              }
              onStay={tap.reset}
              onGiveUp={(reason) =>
                tap.mutate({
                  path: '/give-up',
                  body: { version: run.version, reason },
                  words: 'Give up',
                })
              }
            />
          ) : run.status === 'PLANNED' ? (
            <Beginning run={run} now={now} format={format} tap={tap} />
          ) : (
            <Over run={run} format={format} />
          )}
          {run.lastTap && (
            <Button
              variant="subtle"
              onClick={() =>
                tap.mutate({ path: '/undo', body: { version: run.version }, words: 'Take back' })
              }
              loading={tap.isPending}
            >
              Take back: {run.lastTap}
            </Button>
          )}
          {running && <Departures run={run} tap={otherTap} />}
        </div>
        <div className="stack wide">
          <Suspense>
            <AgainstWarning override={run.override} />
            {run.kin.length > 0 && (
              <p>
                {run.status === 'DIVIDED' ? 'It goes on as' : 'Of the same batch:'}{' '}
                {run.kin.map((k, i) => (
                  <span key={k.id}>
                    {i > 0 && ', '}
                    <Link to={`/brew/${k.id}`}>
                      {k.name} ({k.code})
                    </Link>
                  </span>
                ))}
              </p>
            )}
            {run.standing && (
              <DayView run={run} standing={run.standing} format={format} tap={logTap} />
            )}
            {running && <PotNow run={run} now={now} format={format} />}
            {run.marks.map((words) => (
              <p key={words} className="caution">
                {words}
              </p>
            ))}
            <section>
              <p className="soft small">
                {run.name} · {run.code} · {run.status === 'PLANNED' ? 'begins' : 'began'}{' '}
                {format.moment(run.startedAt)}
              </p>
              <h2>How it goes</h2>
              <BrewLine
                prediction={run.prediction}
                format={format}
                nowMinute={running ? minute : undefined}
                readings={temperatures(run)}
              />
            </section>
            {cools && <CoolingChoices run={run} now={now} format={format} tap={otherTap} />}
            {running && <LogBook run={run} format={format} tap={logTap} />}
            {run.status !== 'GIVEN_UP' && run.status !== 'DIVIDED' && (
              <section>
                <h2>
                  {run.prediction.keeping.useNow
                    ? 'As it goes, nothing of it keeps'
                    : `As it goes, it keeps till ${format.day(run.prediction.keeping.lastDay)}`}
                </h2>
                <KeepingBand
                  keeping={run.prediction.keeping}
                  bottledAt={Date.parse(run.prediction.bottledAt)}
                  format={format}
                />
              </section>
            )}
            {run.comparison && run.step > 0 && (
              <Compared comparison={run.comparison} over={!running} format={format} />
            )}
            <Story run={run} format={format} />
            <section className="no-print">
              <h2>Take it along</h2>
              <div className="row">
                <a href={`/api/batches/${run.id}/sheet.pdf`}>Brew sheet (PDF)</a>
                {running && (
                  <a href={`/api/batches/${run.id}/steps.ics`}>Coming steps (calendar)</a>
                )}
                <a href={`/api/batches/${run.id}/readings.csv`}>Readings (CSV)</a>
              </div>
            </section>
          </Suspense>
        </div>
      </div>
    </>
  );
}

/** What was read of its temperature, in minutes since the first step. */
function temperatures(run: Run) {
  return run.log
    .filter((e) => e.kind === 'TEMPERATURE' && e.amount != null)
    .map((e) => ({
      minute: (Date.parse(e.at) - Date.parse(run.startedAt)) / 60_000,
      celsius: e.amount!,
    }));
}

function Over({ run, format }: { run: Run; format: Format }) {
  const bottled = run.status === 'BOTTLED';
  const divided = run.status === 'DIVIDED';
  return (
    <div className="stack">
      <h1 className="headline">{bottled ? 'Bottled' : divided ? 'Divided' : 'Given up'}</h1>
      <p>
        {bottled
          ? `${format.ml(run.bottledMl ?? 0)} stand in the fridge since ${format.moment(run.endedAt!)}: ${run.code}, last day ${format.day(run.prediction.keeping.lastDay)}.`
          : divided
            ? `Each part goes on in a lane of its own since ${format.moment(run.endedAt!)}.`
            : `Ended ${format.moment(run.endedAt!)}.`}
      </p>
      {bottled && run.leftover && (
        <p className="soft">
          Left in the strainer: {run.leftover.materials.join(', ')}. {run.leftover.why}{' '}
          <b>{run.leftover.words}.</b>
        </p>
      )}
      {!divided && (
        <div className="row">
          {bottled && (
            <Button component={Link} to={`/keep/labels?batch=${run.id}`}>
              Label them
            </Button>
          )}
          <Button component={Link} to="/keep" variant={bottled ? 'outline' : 'filled'}>
            To the shelf
          </Button>
        </div>
      )}
    </div>
  );
}
