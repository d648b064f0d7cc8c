import type { OccasionLine, Sheet } from '../../api/client';

/** Occasions that are still to be done, by their day. */
export const isOpen = (o: OccasionLine) =>
  o.state === 'COMING' || o.state === 'MOVED' || o.state === 'CARRIED';

/** Names in a row: "Ada, Bo and Cai". */
export const names = (all: string[]) =>
  all.length < 2 ? all.join('') : `${all.slice(0, -1).join(', ')} and ${all.at(-1)}`;

/** Days from one to another, both as dates. */
export const daysBetween = (from: string, to: string) =>
  Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000);

export const addDays = (date: string, days: number) =>
  new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

/** Asked for: a head at its occasion, with what is to be otherwise. */
export interface Asked {
  person: string;
  occasion: string;
  planned: string;
  wishes: { place: number; bottle?: string; leftOut?: boolean; millilitres?: number }[];
}

/** One wish more, or another instead of the one before at the same place. */
export function wish(asked: Asked[], head: number, more: Asked['wishes'][number]): Asked[] {
  return asked.map((a, h) =>
    h === head ? { ...a, wishes: [...a.wishes.filter((w) => w.place !== more.place), more] } : a,
  );
}

/** What is written down when all went as the sheet says. */
export function asPlanned(sheet: Sheet): Taken[] {
  return sheet.heads.flatMap((head, h) =>
    head.places.flatMap((place, p) =>
      place.portions.map((portion) => ({
        head: h,
        place: p,
        bottle: portion.bottle,
        name: portion.name,
        planned: portion.millilitres,
        typed: String(Math.round(portion.millilitres * 10) / 10),
        minutes: place.contact ? String(place.contact.usual) : '',
      })),
    ),
  );
}

/** Something taken, as it is written down. */
export interface Taken {
  head: number;
  place: number;
  bottle: string;
  name: string;
  planned: number;
  /** As typed: "40", "a third", "10 strokes". */
  typed: string;
  minutes: string;
}

/** The body that writes a wash day down. */
export function doneBody(sheet: Sheet, taken: Taken[], run: string | undefined, note: string) {
  return {
    run,
    heads: sheet.heads.map((head, h) => ({
      person: head.person,
      occasion: head.occasion,
      planned: head.planned,
      note: h === 0 ? note : '',
      places: head.places
        .map((place, p) => {
          const here = taken.filter(
            (t) => t.head === h && t.place === p && t.typed.trim() !== '' && t.typed.trim() !== '0',
          );
          return {
            place: p,
            done: !place.leftOut,
            takes: here.map((t) =>
              /^[\d.,\s]+$/.test(t.typed)
                ? { bottle: t.bottle, millilitres: Number(t.typed.replace(',', '.')) }
                : { bottle: t.bottle, amount: t.typed },
            ),
            minutes: here[0]?.minutes ? Number(here[0].minutes) : undefined,
          };
        })
        .filter((p) => p.done)
        .map(({ place, takes, minutes }) => ({ place, takes, minutes })),
    })),
  };
}
