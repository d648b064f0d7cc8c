import { Button, FileButton, Progress } from '@mantine/core';
import { useRef, useState } from 'react';
import { said, saidElse } from '../../kit/fields';
import { Choice } from '../../kit/Choice';
import { runs, useImport, type Import } from './useImport';

const TABLES = [
  { value: 'batches', label: 'Batches' },
  { value: 'bottles', label: 'Bottles' },
  { value: 'events', label: 'Events' },
  { value: 'readings', label: 'Readings' },
  { value: 'stores', label: 'Stores' },
  { value: 'uses', label: 'Uses' },
  { value: 'journal', label: 'Journal' },
  { value: 'trials', label: 'Trials' },
];

/** Tables for a spreadsheet, out and in; what a file would do is shown before it is done. */
export function TablesForm() {
  const { table: seen, begin, take, stop, forget } = useImport();
  const [table, setTable] = useState('batches');
  const reset = useRef<() => void>(null);
  const error = begin.error ?? take.error ?? stop.error ?? forget.error;
  const busy = runs(seen) || begin.isPending;
  return (
    <section className="stack" aria-label="Tables for a spreadsheet">
      <p>
        Out as CSV:{' '}
        {TABLES.map((t, i) => (
          <span key={t.value}>
            {i > 0 && ', '}
            <a href={`/api/tables/${t.value}.csv`}>{t.label.toLowerCase()}</a>
          </span>
        ))}
        . The same columns can be read in: batches first, then bottles, then events and readings;
        uses name people who have a page here. A list kept by hand needs few of them: of a batch its
        code, its formula’s name and when it was started.
      </p>
      <div className="row end">
        <Choice label="Read in" data={TABLES} value={table} onChange={setTable} w={150} />
        <FileButton
          resetRef={reset}
          accept=".csv,text/csv,text/plain"
          onChange={(file) => {
            reset.current?.();
            if (file) begin.mutate({ table, file });
          }}
        >
          {(props) => (
            <Button {...props} variant="outline" loading={begin.isPending} disabled={busy}>
              Choose a file
            </Button>
          )}
        </FileButton>
      </div>
      {error && (
        <p className="trouble" role="alert">
          {said(error, 'file') ?? saidElse(error, ['file'])}
        </p>
      )}
      {seen && <Seen table={seen} />}
      {seen && (
        <div className="row">
          {(seen.state === 'STOPPED' || (seen.state === 'LOOKED' && seen.wrong.length === 0)) && (
            <Button
              onClick={() => take.mutate(seen.id)}
              loading={take.isPending}
              disabled={seen.state === 'LOOKED' && seen.taken === 0}
            >
              {seen.state === 'STOPPED' ? 'Go on' : `Take ${seen.taken} in`}
            </Button>
          )}
          {runs(seen) ? (
            <Button variant="outline" onClick={() => stop.mutate(seen.id)} loading={stop.isPending}>
              Stop
            </Button>
          ) : (
            <Button variant="subtle" onClick={() => forget.mutate(seen.id)}>
              {seen.state === 'LOOKED' ? 'Leave it' : 'Put this away'}
            </Button>
          )}
        </div>
      )}
    </section>
  );
}

function headline(table: Import): string {
  const name = table.table;
  switch (table.state) {
    case 'LOOKING':
      return `Looking through ${name}: ${table.done} of ${table.lines} lines. Nothing is kept yet.`;
    case 'LOOKED':
      return table.wrong.length > 0
        ? 'Nothing was taken in: some lines are wrong.'
        : `${table.taken} of ${table.lines} lines of ${name} are new.`;
    case 'TAKING':
      return `Taking ${name} in: ${table.done} of ${table.lines} lines. It goes on when you leave this page.`;
    case 'STOPPED':
      return `Stopped after ${table.done} of ${table.lines} lines; what was taken in stays.`;
    case 'DONE':
      return `${table.taken} of ${table.lines} lines of ${name} taken in.`;
    case 'FAILED':
      return table.why ?? 'That did not go well.';
  }
}

function Seen({ table }: { table: Import }) {
  return (
    <div className="sheet stack" role="status">
      <p>
        <b>{headline(table)}</b>{' '}
        {!runs(table) && table.there > 0 && `${table.there} stand there already. `}
        {!runs(table) && table.leftOut > 0 && `${table.leftOut} are left out. `}
        {table.unknown.length > 0 && `Columns passed over: ${table.unknown.join(', ')}.`}
      </p>
      {runs(table) && (
        <Progress
          value={table.lines === 0 ? 100 : (100 * table.done) / table.lines}
          aria-label="Lines gone through"
        />
      )}
      {table.wrong.length > 0 && (
        <ul className="lines">
          {table.wrong.map((l) => (
            <li key={`${l.line}${l.column}`}>
              <b>
                Line {l.line}
                {l.column && `, ${l.column}`}
              </b>
              : {l.why}
            </li>
          ))}
        </ul>
      )}
      {table.left.length > 0 && (
        <ul className="lines">
          {table.left.map((l) => (
            <li key={l.line} className="soft">
              Line {l.line}: {l.why}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
