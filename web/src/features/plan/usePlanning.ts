import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type BrewForm, type Plans } from '../../api/client';
import { usePlanIf } from '../../api/queries';
import { done, tell } from '../../kit/states';
import { forms, otherwise } from './words';

/**
 * A plan while it is looked at: what was agreed on, or what somebody tries instead of it. Nothing is
 * agreed on before it is taken.
 */
export function usePlanning(plans: Plans) {
  const client = useQueryClient();
  const [draft, setDraft] = useState<BrewForm[]>();
  const tried = usePlanIf(draft);
  const agreed = plans.agreed ?? undefined;
  const base = agreed ?? plans.proposal;
  const shown = draft ? (tried.data ?? base) : base;
  const brews = draft ?? forms(base);
  const put = (view: Plans) => {
    client.setQueryData(keys.plan, view);
    void client.invalidateQueries({ queryKey: keys.all });
  };
  const take = useMutation({
    mutationFn: (body: { brews: BrewForm[]; version: number; before?: BrewForm[] }) =>
      ask(api.PUT('/api/plan', { body: { brews: body.brews, version: body.version } })),
    onSuccess: (view, body) => {
      setDraft(undefined);
      put(view);
      if (body.before) {
        const before = body.before;
        done('Agreed on', () => take.mutate({ brews: before, version: view.version }));
      }
    },
    onError: tell,
  });
  return {
    /** What is shown: how it goes, and from what it came. */
    shown,
    agreed,
    brews,
    trying: draft !== undefined,
    waiting: draft !== undefined && tried.isFetching,
    error: tried.error ?? take.error,
    tryOut: setDraft,
    change: (index: number, to: Partial<BrewForm>) => setDraft(otherwise(brews, index, to)),
    remove: (index: number) => setDraft(brews.filter((_, i) => i !== index)),
    back: () => setDraft(undefined),
    taking: take.isPending,
    take: (all: BrewForm[] = brews) =>
      take.mutate({
        brews: all,
        version: plans.version,
        before: agreed ? forms(agreed) : undefined,
      }),
    put,
  };
}

export type Planning = ReturnType<typeof usePlanning>;
