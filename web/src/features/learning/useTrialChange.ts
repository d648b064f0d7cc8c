import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, keys, type Trials } from '../../api/client';
import { done, tell } from '../../kit/states';
import type { Scores } from './words';

/** What can be done with a trial. */
export function useTrialChange(id: string) {
  const client = useQueryClient();
  const path = { params: { path: { id } } };
  const put = (view: Trials) => client.setQueryData(keys.trials, view);
  const score = useMutation({
    mutationFn: ({ version, scores }: { version: number; scores: Scores; before: Scores }) =>
      ask(api.PUT('/api/trials/{id}/scores', { ...path, body: { version, scores } })),
    onSuccess: (view, { scores, before }) => {
      put(view);
      const version = view.trials.find((t) => t.id === id)?.version ?? 0;
      done('Written down', () => score.mutate({ version, scores: before, before: scores }));
    },
  });
  const end = useMutation({
    mutationFn: (version: number) =>
      ask(api.PUT('/api/trials/{id}/end', { ...path, body: { version } })),
    onSuccess: put,
    onError: tell,
  });
  const remove = useMutation({
    mutationFn: () => ask(api.DELETE('/api/trials/{id}', path)),
    onSuccess: put,
    onError: tell,
  });
  return { score, end, remove };
}
