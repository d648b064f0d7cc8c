import type { Household } from '../api/client';
import { useHousehold } from '../api/queries';

const US_FLUID_OUNCE_ML = 29.5735295625;

/** Figures and dates as this household writes them. */
export interface Format {
  celsius: (c: number) => string;
  ml: (ml: number) => string;
  grams: (g: number) => string;
  day: (date: string) => string;
  /** Short enough for a tag: "Wed 25" within three weeks of a day, else "7 Feb". */
  tagDay: (date: string, from: string) => string;
  dayLong: (date: string) => string;
  moment: (instant: string | number) => string;
  clock: (instant: string | number) => string;
  /** A moment that is looked forward to: "18:40", "tomorrow 00:10", "Fri 4 Dec 07:00". */
  soon: (instant: string | number, now: number) => string;
  dateOf: (instant: string | number) => string;
  /** Local date and time as a form field wants it: "2026-11-25T08:30". */
  localOf: (instant: string | number) => string;
}

/** 3 figures where they tell something, no false decimals. */
export function figure(value: number): string {
  const size = Math.abs(value);
  return value.toFixed(size < 1 ? 2 : size < 20 ? 1 : 0).replace(/\.0+$/, '');
}

/** Minutes as a person says them: "25 min", "3 h", "2½ h", "2 days". */
export function duration(minutes: number): string {
  if (minutes < 0.5) return 'a moment';
  if (minutes < 60 || (minutes < 90 && minutes !== 60)) return `${Math.round(minutes)} min`;
  const hours = minutes / 60;
  if (hours < 48) {
    const halves = Math.round(hours * 2) / 2;
    if (Math.abs(halves - hours) < 0.02) return `${Math.floor(halves)}${halves % 1 ? '½' : ''} h`;
    return `${Math.floor(hours)} h ${Math.round((hours % 1) * 60)} min`;
  }
  return `${figure(hours / 24)} days`;
}

/** A countdown: "1:42:05", "12:30"; with a plus sign once it is over. */
export function countdown(ms: number): string {
  const seconds = Math.floor(Math.abs(ms) / 1000);
  const h = Math.floor(seconds / 3600);
  const m = Math.floor((seconds % 3600) / 60);
  const s = seconds % 60;
  const two = (n: number) => String(n).padStart(2, '0');
  return (ms < 0 ? '+' : '') + (h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`);
}

const DAY = 86_400_000;

/** With its year, where it is so far away that the year is not understood of itself. */
function yearOf(words: string, instant: string | number, from: number): string {
  const at = new Date(instant).getTime();
  if (Math.abs(at - from) < 300 * DAY) return words;
  const year = new Date(at).getUTCFullYear();
  return words.replace(/(\d{1,2} [A-Z][a-z]+)/, `$1 ${year}`);
}

export function formatFor(household: Household | undefined): Format {
  const zone = household?.timeZone ?? 'UTC';
  const today = household ? Date.parse(household.now) : Date.now();
  const withYear = (words: string, instant: string | number) => yearOf(words, instant, today);
  const ounces = household?.measures === 'US' || household?.measures === 'US_LABEL';
  const make = (options: Intl.DateTimeFormatOptions, timeZone = zone) =>
    new Intl.DateTimeFormat('en-GB', { ...options, timeZone });
  const day = make({ weekday: 'short', day: 'numeric', month: 'short' }, 'UTC');
  const weekday = make({ weekday: 'short', day: 'numeric' }, 'UTC');
  const month = make({ day: 'numeric', month: 'short' }, 'UTC');
  const dayLong = make({ weekday: 'long', day: 'numeric', month: 'long' }, 'UTC');
  const moment = make({
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
  const clock = make({ hour: '2-digit', minute: '2-digit' });
  const local = new Intl.DateTimeFormat('sv-SE', {
    timeZone: zone,
    dateStyle: 'short',
    timeStyle: 'short',
  });
  const iso = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short' });
  return {
    celsius: (c) =>
      household?.fahrenheit ? `${Math.round(c * 1.8 + 32)} °F` : `${Math.round(c)} °C`,
    ml: (ml) =>
      ounces
        ? `${figure(ml / US_FLUID_OUNCE_ML)} fl oz (${Math.round(ml)} mL)`
        : `${figure(ml)} mL`,
    grams: (g) => `${figure(g)} g`,
    // A day far from now says its year: "Thu 26 Nov 2027" is not tomorrow.
    day: (date) =>
      withYear(day.format(new Date(date + 'T00:00:00Z')).replace(',', ''), date + 'T00:00:00Z'),
    tagDay: (date, from) => {
      const days = (Date.parse(date) - Date.parse(from)) / 86_400_000;
      return (Math.abs(days) < 21 ? weekday : month).format(new Date(date + 'T00:00:00Z'));
    },
    dayLong: (date) =>
      withYear(dayLong.format(new Date(date + 'T00:00:00Z')).replace(',', ''), date + 'T00:00:00Z'),
    moment: (instant) =>
      withYear(moment.format(new Date(instant)).replace(/, (\d\d:)/, ' $1'), instant),
    clock: (instant) => clock.format(new Date(instant)),
    soon: (instant, now) => {
      const days = (Date.parse(iso.format(new Date(instant))) - Date.parse(iso.format(now))) / DAY;
      const time = clock.format(new Date(instant));
      if (days === 0) return time;
      if (days === 1) return `tomorrow ${time}`;
      if (days === -1) return `yesterday ${time}`;
      return withYear(moment.format(new Date(instant)).replace(/, (\d\d:)/, ' $1'), instant);
    },
    dateOf: (instant) => iso.format(new Date(instant)),
    localOf: (instant) => local.format(new Date(instant)).replace(' ', 'T'),
  };
}

export function useFormat(): Format {
  return formatFor(useHousehold().data);
}
