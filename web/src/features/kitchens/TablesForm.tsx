import { Button, FileButton } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { keys, post, type TableOutcome } from '../../api/client';
import { said, saidElse } from '../../kit/fields';
import { Choice } from '../../kit/Choice';

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
  const client = useQueryClient();
  const [table, setTable] = useState('batches');
  const [file, setFile] = useState<File | null>(null);
  const reset = useRef<() => void>(null);
  const path = `/api/tables/${table}`;
  const look = useMutation({
    mutationFn: (chosen: File) => post<TableOutcome>(`${path}?look=true`, chosen, 'text/csv'),
  });
  const read = useMutation({
    mutationFn: (chosen: File) => post<TableOutcome>(path, chosen, 'text/csv'),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.all }),
  });
  const choose = (chosen: File | null) => {
    setFile(chosen);
    read.reset();
    look.reset();
    reset.current?.();
    if (chosen) look.mutate(chosen);
  };
  const error = read.error ?? look.error;
  const seen = read.data ?? look.data;
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
        <Choice
          label="Read in"
          data={TABLES}
          value={table}
          onChange={(t) => {
            setTable(t!);
            choose(null);
          }}
          w={150}
        />
        <FileButton resetRef={reset} accept=".csv,text/csv,text/plain" onChange={choose}>
          {(props) => (
            <Button {...props} variant="outline" loading={look.isPending}>
              Choose a file
            </Button>
          )}
        </FileButton>
        {file && <span className="soft">{file.name}</span>}
      </div>
      {error && (
        <p className="trouble" role="alert">
          {said(error, 'file') ?? saidElse(error, ['file'])}
        </p>
      )}
      {seen && <Seen outcome={seen} />}
      {file && look.data && !look.data.kept && !read.data && look.data.wrong.length === 0 && (
        <div className="row">
          <Button
            onClick={() => read.mutate(file)}
            loading={read.isPending}
            disabled={look.data.taken === 0}
          >
            Take {look.data.taken} in
          </Button>
          <Button variant="subtle" onClick={() => choose(null)}>
            Leave it
          </Button>
        </div>
      )}
    </section>
  );
}

function Seen({ outcome }: { outcome: TableOutcome }) {
  return (
    <div className="sheet stack" role="status">
      <p>
        <b>
          {outcome.kept
            ? `${outcome.taken} of ${outcome.lines} lines taken in.`
            : outcome.wrong.length > 0
              ? 'Nothing was taken in: some lines are wrong.'
              : `${outcome.taken} of ${outcome.lines} lines are new.`}
        </b>{' '}
        {outcome.there > 0 && `${outcome.there} stand there already. `}
        {outcome.leftOut > 0 && `${outcome.leftOut} are left out. `}
        {outcome.unknown.length > 0 && `Columns passed over: ${outcome.unknown.join(', ')}.`}
      </p>
      {outcome.wrong.length > 0 && (
        <ul className="lines">
          {outcome.wrong.map((l) => (
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
      {outcome.left.length > 0 && (
        <ul className="lines">
          {outcome.left.map((l) => (
            <li key={l.line} className="soft">
              Line {l.line}: {l.why}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
