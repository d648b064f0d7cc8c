import type { Material } from './client';

/** What else a word that somebody looks for is called here. */
export type Called = (word: string) => string[];

/** Parts that a plant's name goes without. */
const PART = /\s+(leaf|leaves|flower|root|seed|bark|buds?|cones|herb|petals|husk|powder|pods?)$/;

/** By the other names of materials: "flax" is linseed, "methi" is fenugreek. */
export function called(materials: Material[]): Called {
  const known = materials.map((m) => {
    const name = m.name.toLowerCase().replace(/,.*/, '');
    return { name: name.replace(PART, ''), also: (m.alsoCalled ?? []).join('\n').toLowerCase() };
  });
  return (word) => {
    const wanted = word.toLowerCase();
    if (wanted.length < 3) return [wanted];
    const begins = new RegExp(`(^|[\\s'-])${wanted.replace(/[^\p{L}\p{N}]/gu, '.')}`, 'mu');
    return [wanted, ...known.filter((k) => begins.test(k.also)).map((k) => k.name)];
  };
}
