import type { MeasureSystem } from '../../api/client';

export const MEASURES: { value: MeasureSystem; label: string }[] = [
  { value: 'METRIC', label: 'Metric (cup 250 mL, tablespoon 15 mL)' },
  { value: 'UK', label: 'British (pints, metric spoons)' },
  { value: 'US', label: 'US customary (cup 237 mL)' },
  { value: 'US_LABEL', label: 'US nutrition label (cup 240 mL)' },
  { value: 'AUSTRALIAN', label: 'Australian (tablespoon 20 mL)' },
];

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
