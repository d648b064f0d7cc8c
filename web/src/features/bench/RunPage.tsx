import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button } from '@mantine/core';
import { useRef } from 'react';
import { Link, useOutletContext, useParams } from 'react-router';
import { api, ask, keys, newKey, type Run } from '../../api/client';
import { useHousehold, useRun } from '../../api/queries';
import { useServerClock } from '../../app/clock';
import { formatFor, type Format } from '../../app/format';
import { Failed, tell, Waiting } from '../../app/states';
import { BrewLine, KeepingBand } from '../../signature';
import { StepNow, type Report } from './StepNow';
import { Story } from './Story';

/** One pot: what to do now, when it is ready, what to look for. */
export function RunPage() {
  const { id = '' } = useParams();
  const run = useRun(id);
  const household = useHousehold();
  if (run.isPending) return <Waiting />;
  if (run.isError) {
    return (
      <main className="page" id="main">
        <Failed error={run.error} again={() => run.refetch()} />
      </main>
    );
  }
  return <RunView run={run.data} at={run.dataUpdatedAt} format={formatFor(household.data)} />;
}

function RunView({ run, at, format }: { run: Run; at: number; format: Format }) {
  const client = useQueryClient();
  const { showVerbs } = useOutletContext<{ showVerbs: () => void }>();
  const now = useServerClock(run.now, at);
  const key = useRef({ tap: '', key: '' });
  const put = async (next: Run) => {
    client.setQueryData(keys.run(run.id), next);
    await client.invalidateQueries({ queryKey: keys.all });
  };
  const finish = useMutation({
    mutationFn: (report: Report) => {
      // The same tap repeated carries the same key; another report is another tap.
      const tap = JSON.stringify([run.version, report]);
      if (key.current.tap !== tap) key.current = { tap, key: newKey() };
      return ask(
        api.POST('/api/batches/{id}/steps/{index}/finish', {
          params: {
            path: { id: run.id, index: run.step },
            header: { 'Idempotency-Key': key.current.key },
          },
          body: { version: run.version, ...report },
        }),
      );
    },
    onSuccess: put,
  });
  const undo = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/batches/{id}/undo', {
          params: { path: { id: run.id } },
          body: { version: run.version },
        }),
      ),
    onSuccess: put,
    onError: tell,
  });
  const giveUp = useMutation({
    mutationFn: (reason: string) =>
      ask(
        api.POST('/api/batches/{id}/give-up', {
          params: { path: { id: run.id } },
          body: { version: run.version, reason },
        }),
      ),
    onSuccess: put,
    onError: tell,
  });
  const running = run.status === 'RUNNING';
  const minute = (now - Date.parse(run.startedAt)) / 60_000;
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
      <main className="page" id="main">
        <div className="run">
          <div>
            {running ? (
              <StepNow
                key={run.step}
                run={run}
                now={now}
                format={format}
                busy={finish.isPending}
                error={finish.error}
                onDone={(report) => finish.mutate(report)}
                onGiveUp={(reason) => giveUp.mutate(reason)}
              />
            ) : (
              <Over run={run} format={format} />
            )}
            {run.undoable && (
              <Button
                variant="subtle"
                mt="sm"
                onClick={() => undo.mutate()}
                loading={undo.isPending}
                disabled={finish.isPending}
              >
                Take the last tap back
              </Button>
            )}
          </div>
          <div className="stack wide">
            <section>
              <p className="soft small">
                {run.name} · {run.code} · began {format.moment(run.startedAt)}
              </p>
              <h2>How it goes</h2>
              <BrewLine
                prediction={run.prediction}
                format={format}
                nowMinute={running ? minute : undefined}
              />
            </section>
            {run.status !== 'GIVEN_UP' && (
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
            <Story run={run} format={format} />
          </div>
        </div>
      </main>
    </>
  );
}

function Over({ run, format }: { run: Run; format: Format }) {
  const bottled = run.status === 'BOTTLED';
  return (
    <div className="stack">
      <h1 className="headline">{bottled ? 'Bottled' : 'Given up'}</h1>
      <p>
        {bottled
          ? `${format.ml(run.bottledMl ?? 0)} stand in the fridge since ${format.moment(run.endedAt!)}. Label them: ${run.code}, last day ${format.day(run.prediction.keeping.lastDay)}.`
          : `Ended ${format.moment(run.endedAt!)}.`}
      </p>
      <div>
        <Button component={Link} to="/keep">
          To the shelf
        </Button>
      </div>
    </div>
  );
}
