import type { BottleLine, HistoryLine } from '../../api/client';
import { formatFor } from '../../kit/format';
import { HOUSEHOLD } from '../../test/kitchen';
import { happened, tagWords } from './words';

const format = formatFor(HOUSEHOLD);
const bottle = (part: Partial<BottleLine>) =>
  ({ freshness: 'GOOD', useNow: false, lastDay: '2030-03-08', ...part }) as BottleLine;
const line = (kind: HistoryLine['kind'], detail = '', millilitres?: number) =>
  happened({ kind, detail, millilitres });

describe('the tag of a bottle', () => {
  it.each([
    [{ freshness: 'OVER' as const, useNow: true }, 'throw away'],
    [{ freshness: 'LAST_DAY' as const, useNow: true }, 'use now'],
    [{ freshness: 'LAST_DAY' as const }, 'last day'],
    [{ freshness: 'SOON' as const }, 'till Fri 8'],
    [{ lastDay: '2030-06-05' }, 'till 5 Jun'],
  ])('%o says %s', (part, words) => {
    expect(tagWords(bottle(part), format, '2030-03-05')).toBe(words);
  });
});

describe('what happened, in words', () => {
  it.each([
    ['TAKEN', '', 40, '40 mL used'],
    ['BOTTLED', '2 bottles', 499.6, 'bottled, 500 mL in 2 bottles'],
    ['STARTED', 'Linseed gel', 250, 'started, for 250 mL'],
    ['STEP_DONE', 'Strain, late', 230, 'strain, late, 230 mL measured'],
    ['STEP_DONE', 'Steep, covered, cue seen', undefined, 'steep, covered, cue seen'],
    [
      'FROZEN',
      'the fridge to the freezer; its label said 2030-03-08: label it anew',
      undefined,
      'frozen, from the fridge to the freezer; its label said 2030-03-08: label it anew',
    ],
    ['FROZEN', '4 portions of 30 mL', 120, 'frozen, 120 mL in 4 portions of 30 mL'],
    ['POURED_IN', 'from Balm LBS-1', 70, '70 mL poured in from Balm LBS-1'],
    ['LEFTOVER', 'Hop cones: composted', undefined, 'left over, Hop cones: composted'],
    ['LEFT_OUT', 'about 4 h in the bathroom', undefined, 'left out, about 4 h in the bathroom'],
    ['DISCARDED', 'mould: furry', 80, 'thrown away, 80 mL: mould: furry'],
    ['GIVEN_UP', 'It spilled', undefined, 'given up: It spilled'],
  ] as const)('%s %s', (kind, detail, ml, words) => {
    expect(line(kind, detail, ml)).toBe(words);
  });

  it('has a sentence for everything that can happen', () => {
    for (const kind of [
      'PLANNED',
      'STEP_SKIPPED',
      'STEP_EXTENDED',
      'STEP_AGAIN',
      'STEP_UNDONE',
      'WATER_ADDED',
      'COOLING_CHANGED',
      'DIVIDED',
      'MOVED',
      'OPENED',
      'THAWED',
      'POURED_OUT',
      'SCHOOL_CHANGED',
      'FRIDGE_WARM',
      'LABELLED',
      'FINISHED',
    ] as const) {
      expect(line(kind, 'Something', 10)).toMatch(/^[a-z0-9]/);
    }
  });
});
