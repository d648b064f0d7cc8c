import { options, WORDS } from '../../kit/words';

export const MEASURES = options(WORDS.measures);

export const TEMPERATURES = [
  { value: 'C', label: '°C' },
  { value: 'F', label: '°F' },
];

export const ZONES: string[] = Intl.supportedValuesOf('timeZone').concat('UTC');

/** The zone this browser runs in, if the list knows it. */
export function ownZone(): string {
  const own = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return ZONES.includes(own) ? own : 'UTC';
}
