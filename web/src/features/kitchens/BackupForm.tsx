import { Button, FileButton, Progress } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keys, send } from '../../api/client';
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
