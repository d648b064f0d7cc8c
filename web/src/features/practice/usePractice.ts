import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, keys, type Practice } from '../../api/client';
import type { components } from '../../api/generated/schema';

type Act = Omit<components['schemas']['ActForm'], 'version'>;

/** What can be done at a practised pot. Each tap says which state it was made in. */
export function usePot(practice: Practice) {
  const client = useQueryClient();
  const { id, version } = practice;
  const path = { params: { path: { id } } };
  const change = {
    onSuccess: (view: Practice) => {
      client.setQueryData(keys.practice(id), view);
      if (view.over) void client.invalidateQueries({ queryKey: keys.practices });
    },
    // Another tab was quicker: look again.
    onError: () => void client.invalidateQueries({ queryKey: keys.practice(id) }),
  };
  const act = useMutation({
    mutationFn: (body: Act) =>
      ask(api.POST('/api/practices/{id}/acts', { ...path, body: { version, ...body } })),
    ...change,
  });
  const pace = useMutation({
    mutationFn: (to: number) =>
      ask(api.PUT('/api/practices/{id}/pace', { ...path, body: { version, pace: to } })),
    ...change,
  });
  const pass = useMutation({
    mutationFn: (minutes: number) =>
      ask(api.POST('/api/practices/{id}/pass', { ...path, body: { version, minutes } })),
    ...change,
  });
  return {
    act,
    pace,
    pass,
    error: act.error ?? pace.error ?? pass.error,
    busy: act.isPending || pace.isPending || pass.isPending,
  };
}
