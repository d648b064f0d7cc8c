import { describe, expect, it } from 'vitest';
import type { BottleLine } from '../../api/client';
import { called } from '../../api/called';
import { found } from './finding';

const bottle = (name: string, more: Partial<BottleLine>): BottleLine =>
  ({
    name,
    code: 'LBS-12',
    number: 1,
    marked: false,
    useNow: false,
    freshness: 'GOOD',
    ...more,
  }) as BottleLine;

describe('finding on the shelf', () => {
  const shelf = [
    bottle('Lemon balm spray', { freshness: 'SOON' }),
    bottle('Linseed gel', { code: 'LSG-3', marked: true }),
    bottle('Paste', { useNow: true, code: 'AP-1' }),
  ];
  it.each([
    ['', 'ALL', 3],
    ['balm', 'ALL', 1],
    ['BALM spray', 'ALL', 1],
    ['balm gel', 'ALL', 0],
    ['lsg-3', 'ALL', 1],
    ['', 'SOON', 2],
    ['', 'MARKED', 1],
  ] as const)('“%s” in %s finds %i', (words, which, count) => {
    expect(found(shelf, words, which, called([]))).toHaveLength(count);
  });
});
