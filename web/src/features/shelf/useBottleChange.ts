import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, keys, type BottleEvent, type BottleView } from '../../api/client';
import { useOnce } from '../../api/useOnce';
import { done, tell } from '../../kit/states';

/** Carries out what happened to a bottle, and offers to take it back. */
export function useBottleChange(id: string) {
  const client = useQueryClient();
  const once = useOnce();
  const put = async (next: BottleView) => {
    client.setQueryData(keys.bottle(id), next);
    await client.invalidateQueries({ queryKey: keys.all });
  };
  const undo = useMutation({
    mutationFn: (version: number) =>
      ask(api.POST('/api/bottles/{id}/undo', { params: { path: { id } }, body: { version } })),
    onSuccess: put,
    onError: tell,
  });
  const happened = useMutation({
    mutationFn: ({ event }: { event: BottleEvent; words: string }) =>
      once(event, (key) =>
        ask(
          api.POST('/api/bottles/{id}/events', {
            params: { path: { id }, header: { 'Idempotency-Key': key } },
            body: event,
          }),
        ),
      ),
    onSuccess: async (next, { words }) => {
      done(words, () => undo.mutate(next.bottle.version));
      await put(next);
    },
  });
  return { happened, undo };
}
