import { useMutation, useQueryClient } from '@tanstack/react-query';
import { keys } from '../../api/client';

/** A change of the stores that is answered with the stores as they are then. */
export function useStoresChange<V>(mutationFn: (v: V) => Promise<unknown>, onDone?: () => void) {
  const client = useQueryClient();
  return useMutation({
    mutationFn,
    onSuccess: async (next) => {
      client.setQueryData(keys.stores, next);
      await client.invalidateQueries({ queryKey: keys.shopping });
      onDone?.();
    },
  });
}
