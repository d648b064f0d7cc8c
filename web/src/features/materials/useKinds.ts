import { useQuery } from '@tanstack/react-query';
import { api, ask, keys } from '../../api/client';
import type { components } from '../../api/generated/schema';

export type Kind = components['schemas']['KindJson'];
export type Known = components['schemas']['PropertyJson'];

/** The kinds of materials, with the figures that may be known of each. */
export const useKinds = () =>
  useQuery({
    queryKey: keys.kinds,
    queryFn: () => ask(api.GET('/api/material-kinds')),
    staleTime: Infinity,
  });
