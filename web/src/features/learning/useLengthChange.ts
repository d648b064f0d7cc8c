import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, keys, type Lengths, type LengthSection } from '../../api/client';
import { done, tell } from '../../kit/states';

/** Writes down how long a head's hair is, and that it was cut. */
export function useLengthChange(id: string) {
  const client = useQueryClient();
  const path = { params: { path: { id } } };
  const put = (view: Lengths) => client.setQueryData(keys.lengths(id), view);
  const takeBack = useMutation({
    mutationFn: (length: string) =>
      ask(api.DELETE('/api/people/{id}/lengths/{length}', { params: { path: { id, length } } })),
    onSuccess: put,
    onError: tell,
  });
  const read = useMutation({
    mutationFn: (body: {
      day: string;
      section: LengthSection['section'];
      cm: number;
      looseCm?: number;
      product?: string;
    }) => ask(api.POST('/api/people/{id}/lengths', { ...path, body })),
    onSuccess: (view, { day, section }) => {
      put(view);
      const made = view.sections
        .find((s) => s.section === section)
        ?.readings.find((r) => r.day === day);
      done('Written down', () => made && takeBack.mutate(made.id));
    },
  });
  const cut = useMutation({
    mutationFn: (day: string) => ask(api.POST('/api/people/{id}/cuts', { ...path, body: { day } })),
    onSuccess: (view, day) => {
      put(view);
      const made = view.cuts.find((c) => c.day === day);
      done('A new line begins', () => made && takeBack.mutate(made.id));
    },
    onError: tell,
  });
  return { read, cut, takeBack };
}
