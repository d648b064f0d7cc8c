import { describe, expect, it } from 'vitest';
import type { Household } from '../api/client';
import { formatFor } from './format';
import { zonedInstant } from './when';

const dublin = formatFor({ timeZone: 'Europe/Dublin' } as Household);
const adelaide = formatFor({ timeZone: 'Australia/Adelaide' } as Household);

describe('a local time of the household', () => {
  it.each([
    ['2026-01-10T08:30', '2026-01-10T08:30:00.000Z'],
    ['2026-07-10T08:30', '2026-07-10T07:30:00.000Z'],
    // The clocks go back on 25 October 2026 at 02:00: 01:30 comes twice, the first is meant.
    ['2026-10-25T01:30', '2026-10-25T00:30:00.000Z'],
    ['2026-10-25T02:30', '2026-10-25T02:30:00.000Z'],
  ])('%s in Dublin is %s', (local, instant) => {
    expect(zonedInstant(local, dublin)).toBe(instant);
  });
  it('that the clocks leave out is one beside it', () => {
    const at = zonedInstant('2026-03-29T01:30', dublin);
    expect(['2026-03-29T00:30:00.000Z', '2026-03-29T01:30:00.000Z']).toContain(at);
  });
  it('takes zones of half an hour', () => {
    expect(zonedInstant('2026-06-01T09:00', adelaide)).toBe('2026-05-31T23:30:00.000Z');
  });
});
