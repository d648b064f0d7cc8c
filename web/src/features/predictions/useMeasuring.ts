import { useDebouncedValue } from '@mantine/hooks';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { usePrediction, useShelf, type useFormula } from '../../api/queries';
import { draftQuestion, loadDraft, saveDraft, type Draft } from './target';

export type FormulaView = NonNullable<ReturnType<typeof useFormula>['data']>;

/** What is asked for of a formula, kept from visit to visit, and what the model answers. */
export function useMeasuring(
  id: string,
  formula: FormulaView,
  when: { startAt?: string; readyBy?: string },
) {
  const [params] = useSearchParams();
  const [draft, setDraft] = useState<Draft>(() => {
    const variant = params.get('variant');
    return variant ? { ...loadDraft(id), variant } : loadDraft(id);
  });
  const shelf = useShelf();
  const standing = useMemo(() => new Set(shelf.data?.bottles.map((b) => b.id) ?? []), [shelf.data]);
  const change = (part: Partial<Draft>) => {
    const next = { ...draft, ...part };
    setDraft(next);
    saveDraft(id, next);
  };
  // While something is dragged one question is on its way at a time, always the newest; what makes
  // the ranges is asked for once it rests.
  const [asked, setAsked] = useState(draft);
  const prediction = usePrediction({
    ...draftQuestion(id, asked, formula, standing),
    ...when,
    ranges: false,
  });
  if (!prediction.isFetching && asked !== draft) setAsked(draft);
  const [rested] = useDebouncedValue(asked, 350);
  const ranged = usePrediction({ ...draftQuestion(id, rested, formula, standing), ...when });
  const atRest = rested === asked && ranged.data && !ranged.isPlaceholderData;
  return {
    draft,
    change,
    /** The answer: with its ranges once nothing is dragged any more. */
    p: atRest ? ranged.data : prediction.data,
    /** Why there is no answer to the present question. */
    asking: prediction.error,
    shelf,
    standing,
  };
}
