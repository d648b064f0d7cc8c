import type { Material } from '../../api/client';
import type { Sighted } from '../../kit/Seek';

/** A material as it is found: by its name, its kind, its other name and what is noted of it. */
export const sighted = (m: Material): Sighted => ({
  value: m.id,
  label: m.name,
  beside: m.kindWords,
  also: [m.inci, m.note, m.id.replaceAll('-', ' '), ...(m.alsoCalled ?? [])].join(' '),
});
