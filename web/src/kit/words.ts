import { WORDS } from '../api/generated/words';

export { WORDS };

/** A list's members as a field offers them, in the order of the list. */
export function options<K extends string>(words: Record<K, string>, name = (w: string) => w) {
  return (Object.entries(words) as [K, string][]).map(([value, w]) => ({ value, label: name(w) }));
}

/** With a capital, as a field or a heading has it. */
export const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
