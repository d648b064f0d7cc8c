import { useMutation, useQueryClient } from '@tanstack/react-query';
import { keys, type PersonPage } from '../../api/client';
import { tell } from '../../kit/states';

/** A change of somebody's page, which answers with the page as it is now. */
export function usePersonChange<V>(
  send: (what: V) => Promise<PersonPage>,
  onDone?: (p: PersonPage) => void,
) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSuccess: async (page) => {
      client.setQueryData(keys.person(page.person.id), page);
      onDone?.(page);
      await client.invalidateQueries({ queryKey: keys.all });
    },
    onError: onDone ? undefined : tell,
  });
}
