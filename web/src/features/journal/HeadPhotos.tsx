import { Button, FileButton } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, type JournalPage } from '../../api/client';
import { small } from '../../kit/picture';
import { tell } from '../../kit/states';

/** Photos of a head on a day: at most twelve. */
export function HeadPhotos({
  person,
  day,
  photos,
}: {
  person: string;
  day: string;
  photos: JournalPage['photos'];
}) {
  const client = useQueryClient();
  const again = () => client.invalidateQueries({ queryKey: ['household', 'journal'] });
  const add = useMutation({
    mutationFn: async (file: File) => {
      const picture = await small(file);
      const type = picture.type === 'image/png' ? 'image/png' : 'image/jpeg';
      return ask(
        api.POST('/api/people/{id}/days/{day}/photos', {
          params: { path: { id: person, day }, query: { caption: '' } },
          body: picture as unknown as string,
          bodySerializer: (body) => body as unknown as Blob,
          headers: { 'Content-Type': type },
        }),
      );
    },
    onSuccess: again,
    onError: tell,
  });
  const remove = useMutation({
    mutationFn: (id: string) =>
      ask(api.DELETE('/api/journal/photos/{id}', { params: { path: { id } } })),
    onSuccess: again,
    onError: tell,
  });
  return (
    <div className="row">
      {photos.map((p, i) => (
        <figure key={p.id} className="head-photo">
          <a href={`/api/journal/photos/${p.id}`} target="_blank" rel="noreferrer">
            <img
              src={`/api/journal/photos/${p.id}`}
              alt={p.caption || `Photo ${i + 1} of that day`}
              width="96"
              height="96"
            />
          </a>
          <Button
            variant="subtle"
            size="compact-sm"
            className="no-print"
            aria-label={`Take photo ${i + 1} out`}
            onClick={() => remove.mutate(p.id)}
          >
            Take out
          </Button>
        </figure>
      ))}
      <FileButton onChange={(file) => file && add.mutate(file)} accept="image/jpeg,image/png">
        {(props) => (
          <Button
            {...props}
            variant="subtle"
            size="compact-md"
            className="no-print"
            loading={add.isPending}
          >
            Add a photo
          </Button>
        )}
      </FileButton>
    </div>
  );
}
