import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, type JournalEntry } from '../../api/client';
import type { components } from '../../api/generated/schema';
import { done, tell } from '../../kit/states';

export type Written = components['schemas']['EntryForm'];

/** Writes into the journal, and takes entries away; each can be taken back. */
export function useJournalChange() {
  const client = useQueryClient();
  const again = () =>
    Promise.all(
      ['journal', 'batch-journal', 'courses', 'versus'].map((part) =>
        client.invalidateQueries({ queryKey: ['household', part] }),
      ),
    );
  const takeBack = useMutation({
    mutationFn: (id: string) => ask(api.DELETE('/api/journal/{id}', { params: { path: { id } } })),
    onSuccess: again,
    onError: tell,
  });
  const write = useMutation({
    mutationFn: (body: Written) => ask(api.POST('/api/journal', { body })),
    onSuccess: async ({ id }) => {
      await again();
      done('Written down', () => takeBack.mutate(id));
    },
  });
  const remove = useMutation({
    mutationFn: (entry: JournalEntry) =>
      ask(api.DELETE('/api/journal/{id}', { params: { path: { id: entry.id } } })),
    onSuccess: async (_, entry) => {
      await again();
      done('Taken away', () => write.mutate(bodyOf(entry)));
    },
    onError: tell,
  });
  return { write, remove };
}

function bodyOf(entry: JournalEntry): Written {
  return {
    day: entry.day,
    words: entry.words,
    scores: Object.fromEntries(entry.scores.map((s) => [s.criterion, s.score])),
    beside: entry.beside,
    ...(entry.person && { person: entry.person }),
    ...(entry.batch && { batch: entry.batch }),
    ...(entry.thickness && { thickness: entry.thickness }),
  };
}
