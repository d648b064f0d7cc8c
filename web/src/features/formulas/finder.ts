import type { FormulaLine, StoreLine } from '../../api/client';
import type { Called } from '../../api/called';

/** What the maker looks for; empty parts do not narrow. */
export interface Search {
  words: string;
  need: string;
  purpose: string;
  method: string;
  /** Minutes at hand today. */
  within: string;
  /** Only what the stores allow. */
  atHand: boolean;
}

export const NOTHING: Search = {
  words: '',
  need: '',
  purpose: '',
  method: '',
  within: '',
  atHand: false,
};

/** Times a maker may have, with the words for them. */
export const TIMES = [
  { value: '', label: 'Any time' },
  { value: '45', label: 'Half an hour or so' },
  { value: '120', label: 'Two hours' },
  { value: '360', label: 'An afternoon' },
  { value: '1440', label: 'Till tomorrow' },
];

/** Always in a kitchen, or poured from the shelf. */
const NOT_STORED = (material: string) => material === 'water' || material.startsWith('brew:');

/** Materials of a formula that the stores do not have. */
export function missing(formula: FormulaLine, stores: StoreLine[]): string[] {
  const there = new Set(stores.filter((s) => s.leftGrams > 0).map((s) => s.material));
  return formula.materials.filter((m) => !NOT_STORED(m) && !there.has(m));
}

/** Whether a formula answers the search, by the names of things or what else they are called. */
export function answers(
  formula: FormulaLine,
  search: Search,
  stores: StoreLine[],
  called: Called,
): boolean {
  const text = [formula.name, formula.method, formula.about, ...formula.ingredients]
    .join(' ')
    .toLowerCase();
  return (
    search.words
      .toLowerCase()
      .split(/\s+/)
      .every((word) => called(word).some((name) => text.includes(name))) &&
    (!search.need || formula.needs.some((n) => n.need === search.need)) &&
    (!search.purpose || formula.purposeIds.some((p) => p === search.purpose)) &&
    (!search.method || formula.methodId === search.method) &&
    (!search.within || formula.usualMinutes <= Number(search.within)) &&
    (!search.atHand || missing(formula, stores).length === 0)
  );
}

/** The distinct values of a list, in their first order, as choices. */
export function choices<T>(
  formulas: FormulaLine[],
  values: (f: FormulaLine) => T[],
  value: (t: T) => string,
  label: (t: T) => string,
  any: string,
) {
  const seen = new Map<string, string>();
  formulas.forEach((f) => values(f).forEach((v) => seen.set(value(v), label(v))));
  return [
    { value: '', label: any },
    ...[...seen]
      .map(([v, l]) => ({ value: v, label: l }))
      .sort((a, b) => a.label.localeCompare(b.label)),
  ];
}
