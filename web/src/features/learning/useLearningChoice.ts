import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, keys, type Calibration } from '../../api/client';
import { done, tell } from '../../kit/states';

/** Says that a figure is used or put back, and that a batch counts or does not. */
export function useLearningChoice() {
  const client = useQueryClient();
  const put = (view: Calibration) => {
    client.setQueryData(keys.calibration, view);
    void client.invalidateQueries({ queryKey: keys.all });
  };
  const use = useMutation({
    mutationFn: (body: { knob: string; inUse: boolean }) =>
      ask(api.PUT('/api/calibration/figures', { body })),
    onSuccess: (view, { knob, inUse }) => {
      put(view);
      done(inUse ? 'Used again' : 'Put back', () => use.mutate({ knob, inUse: !inUse }));
    },
    onError: tell,
  });
  const count = useMutation({
    mutationFn: ({ id, counts }: { id: string; counts: boolean }) =>
      ask(api.PUT('/api/calibration/batches/{id}', { params: { path: { id } }, body: { counts } })),
    onSuccess: (view, { id, counts }) => {
      put(view);
      done(counts ? 'It counts' : 'Left out', () => count.mutate({ id, counts: !counts }));
    },
    onError: tell,
  });
  return { use, count };
}
