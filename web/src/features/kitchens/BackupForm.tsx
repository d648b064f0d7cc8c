import { Button, FileButton } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { keys, post } from '../../api/client';
import { said, saidElse } from '../../app/fields';

/** The household whole: into one file, and back into an empty household. */
export function BackupForm() {
  const client = useQueryClient();
  const read = useMutation({
    mutationFn: (file: File) => post('/api/restore', file, 'application/zip'),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.all }),
  });
  return (
    <section className="stack">
      <h2>Backup</h2>
      <p>
        <a href="/api/backup.zip">Everything in one file</a>: formulas, stores, brews with their
        photos, bottles and all that happened. Its form is{' '}
        <a href="/schemas/backup-2.json">published</a>.
      </p>
      <div className="row">
        <FileButton accept=".zip,application/zip" onChange={(file) => file && read.mutate(file)}>
          {(props) => (
            <Button {...props} variant="outline" loading={read.isPending}>
              Read a backup into this household
            </Button>
          )}
        </FileButton>
        {read.isSuccess && <span role="status">Read in.</span>}
      </div>
      <p className="soft small">It must be empty: make a new household for it.</p>
      {read.error && (
        <p className="trouble" role="alert">
          {said(read.error, 'file') ?? saidElse(read.error, ['file'])}
        </p>
      )}
    </section>
  );
}
