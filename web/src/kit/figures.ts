import type { Figure } from '../api/client';
import { figure } from './format';
import { WORDS } from './words';

/** A figure with unit, range and where it comes from. */
export function figureWords(f: Figure): string {
  const unit = f.unit ? ` ${f.unit}` : '';
  const range =
    f.low != null && f.high != null && f.low < f.high
      ? ` (${figure(f.low)} to ${figure(f.high)})`
      : '';
  const source = f.source ? `: ${f.source}` : '';
  return `${figure(f.value)}${range}${unit}, ${WORDS.provenances[f.provenance ?? 'ESTIMATE']}${source}`;
}
