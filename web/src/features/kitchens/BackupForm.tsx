import { Button, FileButton, Progress } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, send } from '../../api/client';
import { useFormat } from '../../kit/format';
import { said, saidElse } from '../../kit/fields';

/** The household whole: into one file, and back into an empty household. */
export function BackupForm() {
  const client = useQueryClient();
  const [share, setShare] = useState(0);
  const read = useMutation({
    mutationFn: (file: File) => send('/api/restore', file, 'application/zip', setShare),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.all }),
  });
  const percent = Math.round(share * 100);
  return (
    <section className="stack">
      <p>
        <a href="/api/backup.zip" download>
          Everything in one file
        </a>
        : formulas, stores, brews with their photos, bottles and all that happened. Its form is{' '}
        <a href="/schemas/backup-2.json">published</a>.
      </p>
      <p className="soft small">
        With gigabytes of photos it takes a minute until the file begins to come. It ends with a
        list of all that is in it: a file that was cut short is never taken for whole.
      </p>
      <ByItself />
      <div className="row">
        <FileButton
          accept=".zip,application/zip"
          onChange={(file) => {
            setShare(0);
            if (file) read.mutate(file);
          }}
        >
          {(props) => (
            <Button {...props} variant="outline" disabled={read.isPending}>
              Read a backup into this household
            </Button>
          )}
        </FileButton>
        {read.isSuccess ? (
          <span role="status">Read in.</span>
        ) : (
          <span className="soft small">It must be empty: make a new household for it.</span>
        )}
      </div>
      {read.isPending && (
        <div className="stack" role="status">
          <Progress value={percent} aria-label="Sent" animated={share >= 1} />
          <span className="soft small">
            {share < 1
              ? `${percent} % sent. Leave this page open.`
              : 'All of it is there. It is checked, then laid into the household: up to some minutes.'}
          </span>
        </div>
      )}
      {read.error && (
        <p className="trouble" role="alert">
          {said(read.error, 'file') ?? saidElse(read.error, ['file'])}
        </p>
      )}
    </section>
  );
}

/** What Dremsa keeps without being asked: a file each night, a week of days and a month of weeks. */
function ByItself() {
  const backups = useQuery({
    queryKey: keys.backups,
    queryFn: () => ask(api.GET('/api/backups')),
  });
  const format = useFormat();
  if (!backups.data) return null;
  const { folder, goodAt, why, files } = backups.data;
  if (!folder) {
    return <p className="caution">Nothing is kept by itself: no folder is set for it.</p>;
  }
  const bytes = files.reduce((sum, file) => sum + file.bytes, 0);
  return (
    <>
      <p>
        {goodAt
          ? `By itself each night: the last one read back whole ${format.moment(goodAt)}.`
          : 'By itself each night; none is made yet.'}{' '}
        <span className="soft">
          {files.length === 1 ? '1 file' : `${files.length} files`}
          {files.length > 0 && `, ${megabytes(bytes)}`}, in {folder} on the machine that Dremsa runs
          on. Seven days and four weeks are kept; another disk is a better place.
        </span>
      </p>
      {why && (
        <p className="trouble" role="status">
          The last try failed: {why}
        </p>
      )}
    </>
  );
}

function megabytes(bytes: number): string {
  const mb = bytes / 1e6;
  return mb < 0.1 ? 'less than 0.1 MB' : `${mb.toFixed(mb < 10 ? 1 : 0)} MB`;
}
