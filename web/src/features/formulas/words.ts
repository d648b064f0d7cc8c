import type { Step } from '../../api/client';
import { options, WORDS } from '../../kit/words';

/** Kinds of step in the order in which they are offered; a batch is divided by its ways. */
export const STEP_KINDS = options(WORDS.stepKinds).filter(({ value }) => value !== 'divide');

/** A step's kind in a word or two. */
export function stepWords(step: Step): string {
  return (WORDS.stepKinds as Record<string, string>)[step.kind] ?? step.kind;
}
