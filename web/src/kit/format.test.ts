import { countdown, duration, figure, formatFor } from './format';
import type { Household } from '../api/client';

const household = (part: Partial<Household>): Household => ({
  name: 'Test',
  measures: 'METRIC',
  fahrenheit: false,
  timeZone: 'Europe/Dublin',
  school: 'CAREFUL',
  demo: false,
  now: '2026-11-24T10:00:00Z',
  version: 0,
  ...part,
});

describe('figures', () => {
  it.each([
    [0.123, '0.12'],
    [5, '5'],
    [17.45, '17.4'],
    [545.4, '545'],
  ])('%f is written %s', (value, words) => expect(figure(value)).toBe(words));

  it.each([
    [0, 'a moment'],
    [25, '25 min'],
    [60, '1 h'],
    [75, '75 min'],
    [150, '2½ h'],
    [205, '3 h 25 min'],
    [2880, '2 days'],
  ])('%f minutes are %s', (minutes, words) => expect(duration(minutes)).toBe(words));

  it.each([
    [5_000, '0:05'],
    [754_000, '12:34'],
    [6_125_000, '1:42:05'],
    [-61_000, '+1:01'],
  ])('%f ms count down as %s', (ms, words) => expect(countdown(ms)).toBe(words));
});

describe('a household', () => {
  it('reads its own degrees and ounces', () => {
    const us = formatFor(household({ measures: 'US', fahrenheit: true }));
    expect(us.celsius(100)).toBe('212 °F');
    // 1 US fl oz = 29.5735295625 mL (NIST Handbook 44).
    expect(us.ml(29.5735295625)).toBe('1 fl oz (30 mL)');
    expect(formatFor(household({})).celsius(4.6)).toBe('5 °C');
  });

  it('writes short days on tags', () => {
    const format = formatFor(household({}));
    expect(format.tagDay('2026-11-25', '2026-11-24')).toBe('Wed 25');
    expect(format.tagDay('2027-02-07', '2026-11-24')).toBe('7 Feb');
  });

  it('lives in its own time zone', () => {
    const far = formatFor(household({ timeZone: 'Pacific/Auckland' }));
    expect(far.dateOf('2026-11-24T12:00:00Z')).toBe('2026-11-25');
    expect(formatFor(household({})).clock('2026-07-01T12:00:00Z')).toBe('13:00');
  });
});

describe('days', () => {
  const format = formatFor(household({}));
  const now = Date.parse('2026-11-24T10:00:00Z');
  it.each([
    ['2026-11-24T18:40:00Z', '18:40'],
    ['2026-11-25T00:10:00Z', 'tomorrow 00:10'],
    ['2026-11-23T07:00:00Z', 'yesterday 07:00'],
    ['2026-11-28T07:00:00Z', 'Sat 28 Nov 07:00'],
  ])('%s is looked forward to as %s', (at, words) => expect(format.soon(at, now)).toBe(words));

  it('that are far away say their year', () => {
    expect(format.day('2027-11-26')).toBe('Fri 26 Nov 2027');
    expect(format.day('2026-12-03')).toBe('Thu 3 Dec');
    expect(format.dayLong('2028-02-01')).toBe('Tuesday 1 February 2028');
  });
});
