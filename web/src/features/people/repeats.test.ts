import { expect, test } from 'vitest';
import { daily, dailyRule, wayOf, weekly, weeklyRule } from './repeats';

test.each([
  ['FREQ=WEEKLY;BYDAY=SU', { days: ['SU'], every: 1 }],
  ['FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,TH', { days: ['MO', 'TH'], every: 2 }],
])('%s is said by days of the week, and written the same', (rule, said) => {
  expect(weekly(rule)).toEqual(said);
  expect(weeklyRule(said)).toBe(rule);
});

test('every ten days is a number, and written the same', () => {
  expect(daily('FREQ=DAILY;INTERVAL=10')).toBe(10);
  expect(dailyRule(10)).toBe('FREQ=DAILY;INTERVAL=10');
});

test.each([
  [{ first: '2030-03-10', rule: 'FREQ=MONTHLY;BYDAY=1SU' }, 'RULE'],
  [{ first: '2030-03-10', rule: 'FREQ=WEEKLY;BYDAY=SU;COUNT=4' }, 'RULE'],
  [{ first: '2030-03-10', follows: 'wash', every: 2 }, 'WITH'],
  [{ first: '2030-03-10', rule: 'FREQ=DAILY' }, 'DAYS'],
] as const)('what a form cannot say stays a rule', (repeat, way) => {
  expect(wayOf(repeat)).toBe(way);
});
