import { FileButton, Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, keys, ProblemError, type Run } from '../../api/client';
import { small } from '../../kit/picture';
import { tell } from '../../kit/states';
import './bench.css';

/** Photos of a run: at most twelve. */
export function PhotoRow({ run, onRemove }: { run: Run; onRemove: (id: string) => void }) {
  const client = useQueryClient();
  const add = useMutation({
    mutationFn: async (file: File) => {
      const picture = await small(file);
      const type = picture.type === 'image/png' ? 'image/png' : 'image/jpeg';
      return ask(
        api.POST('/api/batches/{id}/photos', {
          params: { path: { id: run.id }, query: { caption: '' } },
          body: picture as unknown as string,
          bodySerializer: (body) => body as unknown as Blob,
          headers: { 'Content-Type': type },
        }),
      );
    },
    onSuccess: (next) => {
      client.setQueryData(keys.run(run.id), next);
    },
    onError: tell,
  });
  const refused = add.error instanceof ProblemError ? add.error.message : undefined;
  return (
    <div className="stack tight">
      <div className="row">
        {run.photos.map((p) => (
          <figure key={p.id} className="photo">
            <a href={`/api/batches/${run.id}/photos/${p.id}`} target="_blank" rel="noreferrer">
              <img
                src={`/api/batches/${run.id}/photos/${p.id}`}
                alt={p.caption || `Photo at step ${p.step + 1}`}
                width="96"
                height="96"
              />
            </a>
            <Button
              variant="subtle"
              size="compact-sm"
              onClick={() => onRemove(p.id)}
              aria-label={`Take out the photo of step ${p.step + 1}`}
            >
              Take out
            </Button>
          </figure>
        ))}
        <FileButton accept="image/jpeg,image/png" onChange={(file) => file && add.mutate(file)}>
          {(props) => (
            <Button className="touch" {...props} variant="outline" loading={add.isPending}>
              Add a photo
            </Button>
          )}
        </FileButton>
      </div>
      {refused && <p className="trouble">{refused}</p>}
    </div>
  );
}
