import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, keys, post } from '../../api/client';
import type { components } from '../../api/generated/schema';

export type Import = components['schemas']['ImportView'];

const RUNNING = new Set(['LOOKING', 'TAKING']);

export const runs = (table: Import | undefined) => Boolean(table && RUNNING.has(table.state));

/** The table that is read in, in the background: it goes on when this page is left. */
export function useImport() {
  const client = useQueryClient();
  const last = useQuery({
    queryKey: keys.imports,
    queryFn: () => ask(api.GET('/api/imports')),
    refetchInterval: (query) => (runs(query.state.data?.[0]) ? 700 : false),
  });
  const shown = (table: Import) => client.setQueryData(keys.imports, [table]);
  const begin = useMutation({
    mutationFn: ({ table, file }: { table: string; file: File }) =>
      post<Import>(`/api/imports?table=${table}`, file, 'text/csv'),
    onSuccess: shown,
  });
  const take = useMutation({
    mutationFn: (id: string) =>
      ask(api.POST('/api/imports/{id}/take', { params: { path: { id } } })),
    onSuccess: shown,
  });
  const stop = useMutation({
    mutationFn: (id: string) =>
      ask(api.POST('/api/imports/{id}/stop', { params: { path: { id } } })),
    onSettled: () => client.invalidateQueries({ queryKey: keys.imports }),
  });
  const forget = useMutation({
    mutationFn: (id: string) => ask(api.DELETE('/api/imports/{id}', { params: { path: { id } } })),
    onSettled: () => client.invalidateQueries({ queryKey: keys.imports }),
  });
  return { table: last.data?.[0], begin, take, stop, forget };
}
