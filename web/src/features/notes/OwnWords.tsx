import { Button } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, keys } from '../../api/client';
import { Fold } from '../../kit/Fold';
import { tell } from '../../kit/states';

/** What this house means by its words; a correction made twice is remembered. */
export function OwnWords() {
  const client = useQueryClient();
  const words = useQuery({
    queryKey: keys.ownWords,
    queryFn: () => ask(api.GET('/api/notes/words')),
  });
  const forget = useMutation({
    mutationFn: (word: string) =>
      ask(api.DELETE('/api/notes/words', { params: { query: { word } } })),
    onSuccess: () =>
      Promise.all([
        client.invalidateQueries({ queryKey: keys.ownWords }),
        client.invalidateQueries({ queryKey: keys.notes }),
      ]),
    onError: tell,
  });
  if (!words.data) return null;
  return (
    <Fold
      id="own-words"
      title="Words of this house"
      says={words.data.length === 0 ? 'none yet' : `${words.data.length}`}
    >
      <p className="soft small">
        What you settle the same way in two notes that you keep is not asked about again.
      </p>
      <ul className="lines">
        {words.data.map((w) => (
          <li key={w.word} className="spread">
            <span>
              <b>{w.says}</b> is {w.means}
            </span>
            <Button
              variant="subtle"
              aria-label={`Forget ${w.says}`}
              onClick={() => forget.mutate(w.word)}
            >
              Forget
            </Button>
          </li>
        ))}
      </ul>
    </Fold>
  );
}
