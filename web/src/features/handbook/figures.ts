import type { Figure } from '../../api/client';
import { figure } from '../../kit/format';

const PROVENANCE: Record<NonNullable<Figure['provenance']>, string> = {
  PUBLISHED: 'published',
  COMMON_PRACTICE: 'common practice',
  FROM_MEMORY: 'from memory',
  ESTIMATE: 'our estimate',
  CALIBRATED: 'calibrated in this kitchen',
  HOUSEHOLD: 'set by the household',
};

/** A figure with unit, range and where it comes from. */
export function figureWords(f: Figure): string {
  const unit = f.unit ? ` ${f.unit}` : '';
  const range =
    f.low != null && f.high != null && f.low < f.high
      ? ` (${figure(f.low)} to ${figure(f.high)})`
      : '';
  const source = f.source ? `: ${f.source}` : '';
  return `${figure(f.value)}${range}${unit}, ${PROVENANCE[f.provenance ?? 'ESTIMATE']}${source}`;
}
