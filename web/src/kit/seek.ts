import type { Called } from '../api/called';

/** An entry as far as it is searched. */
export interface Sought {
  part: string;
  title: string;
  text: string;
}

/** Words of a question that say nothing of what it is about. */
const EMPTY = new Set(
  (
    'a an the i you it its my your me we is are was be been am do does did can could may should would will ' +
    'how why what when which who where to of in on at for from with without and or if so then than that this ' +
    'there have has had get gets got make makes long much many too very really ever still not no'
  ).split(' '),
);

/** Other names and everyday words, each beside the word of the handbook. */
const MEANT: Record<string, string[]> = {
  mold: ['mould'],
  moldy: ['mould'],
  mouldy: ['mould'],
  watery: ['thin', 'watery'],
  runny: ['thin', 'watery'],
  thin: ['thin', 'watery'],
  stiff: ['thick', 'stiff'],
  keep: ['keep', 'life'],
  last: ['keep', 'life'],
  expire: ['keep', 'life'],
  spoil: ['spoil', 'keep', 'throw'],
  off: ['spoil', 'throw', 'smell'],
  refrigerator: ['fridge'],
  smelly: ['smell'],
  stinks: ['smell'],
  slimy: ['slime'],
  fizzy: ['gas', 'bubble'],
  strong: ['strong', 'strength'],
  weak: ['weak', 'pale'],
  preserve: ['preserv'],
  preservative: ['preserv'],
  tea: ['infusion', 'tea'],
  cornstarch: ['starch'],
  alcohol: ['spirit', 'alcohol'],
};

/** The stem of a word, as far as seeking needs one. */
function stem(word: string): string {
  return word.length > 4 ? word.replace(/(?:ies|ing|ed|es|s)$/, '') : word;
}

/** The words that a question is about, each with what it may be called here. */
export function meant(question: string): string[][] {
  return question
    .toLowerCase()
    .split(/[^\p{L}\p{N}%]+/u)
    .filter((word) => word && !EMPTY.has(word))
    .map((word) => MEANT[word] ?? MEANT[stem(word)] ?? [stem(word)]);
}

/**
 * The entries that answer a question, the best first: all its words or nearly all, and what stands
 * in a title before what is only mentioned.
 *
 * @param called what else a word is called here
 */
export function seek<T extends Sought>(question: string, entries: T[], called?: Called): T[] {
  const words = meant(question).map((names) => (called ? names.flatMap(called) : names));
  if (words.length === 0) return question.trim() ? [] : entries;
  const least = words.length <= 2 ? words.length : words.length - 1;
  return entries
    .map((entry) => {
      const title = `${entry.part} ${entry.title}`.toLowerCase();
      const text = entry.text.toLowerCase();
      let hit = 0;
      let weight = 0;
      for (const names of words) {
        const inTitle = names.some((name) => title.includes(name));
        if (!inTitle && !names.some((name) => text.includes(name))) continue;
        hit++;
        weight += inTitle ? 3 : 1;
      }
      return { entry, hit, weight };
    })
    .filter(({ hit }) => hit >= least)
    .sort((a, b) => b.hit - a.hit || b.weight - a.weight)
    .map(({ entry }) => entry);
}
