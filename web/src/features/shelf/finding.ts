import type { BottleLine } from '../../api/client';
import type { Called } from '../../api/called';

export type Which = 'ALL' | 'SOON' | 'MARKED';

/** The bottles that fit all words and the filter, in the order of the shelf. */
export function found(
  bottles: BottleLine[],
  words: string,
  which: Which,
  called: Called,
): BottleLine[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return bottles.filter((b) => {
    const text = `${b.name} ${b.code} ${b.number}`.toLowerCase();
    const fits =
      which === 'ALL' || (which === 'MARKED' ? b.marked : b.freshness !== 'GOOD' || b.useNow);
    return fits && wanted.every((w) => called(w).some((name) => text.includes(name)));
  });
}
