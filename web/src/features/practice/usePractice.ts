import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, keys, type Practice } from '../../api/client';
import type { components } from '../../api/generated/schema';

type Act = Omit<components['schemas']['ActForm'], 'version'>;

/**
 * What can be done at a practised pot. Taps go out one after another, each with the state that this
 * page knows by then: two quick taps are no two tabs.
 */
export function usePot(practice: Practice) {
  const client = useQueryClient();
  const { id } = practice;
  const path = { params: { path: { id } } };
  const version = () =>
    client.getQueryData<Practice>(keys.practice(id))?.version ?? practice.version;
  const change = {
    scope: { id: `practice/${id}` },
    onSuccess: (view: Practice) => {
      client.setQueryData(keys.practice(id), view);
      if (view.over) void client.invalidateQueries({ queryKey: keys.practices });
    },
    // Another tab was quicker: look again.
    onError: () => void client.invalidateQueries({ queryKey: keys.practice(id) }),
  };
  const act = useMutation({
    mutationFn: (body: Act) =>
      ask(api.POST('/api/practices/{id}/acts', { ...path, body: { version: version(), ...body } })),
    ...change,
  });
  const pace = useMutation({
    mutationFn: (to: number) =>
      ask(api.PUT('/api/practices/{id}/pace', { ...path, body: { version: version(), pace: to } })),
    ...change,
  });
  const pass = useMutation({
    mutationFn: (minutes: number) =>
      ask(api.POST('/api/practices/{id}/pass', { ...path, body: { version: version(), minutes } })),
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
