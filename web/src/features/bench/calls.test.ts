import { describe, expect, it } from 'vitest';
import type { RunLine } from '../../api/client';
import { formatFor } from '../../kit/format';
import { callsOf, cameDue, horizon, inFront, nextOf } from './calls';

const at = (minutes: number) => new Date(Date.UTC(2026, 0, 5, 10, minutes)).toISOString();

const run = (id: string, more: Partial<RunLine>): RunLine => ({
  id,
  version: 1,
  code: id,
  name: id,
  tint: '557733',
  status: 'RUNNING',
  step: 1,
  steps: 5,
  headline: 'Steep, covered',
  cue: '',
  needsHands: false,
  last: false,
  moments: [],
  lane: [],
  cautions: [],
  startedAt: at(0),
  ...more,
});

describe('what is called out', () => {
  const runs = [
    run('gel', {
      moments: [
        { at: at(9), kind: 'STIR', words: 'Stir' },
        { at: at(12), kind: 'LATE', words: 'Late' },
      ],
    }),
    run('soak', { moments: [{ at: at(8), kind: 'SOON', words: 'In 2 min' }] }),
    run('later', { status: 'PLANNED', startedAt: at(11) }),
  ];

  it('is in the order of time, each in its own loudness', () => {
    expect(callsOf(runs).map((c) => c.loud)).toEqual(['soon', 'now', 'now', 'late']);
    expect(callsOf(runs)[2]!.words).toContain('begin');
  });

  it('comes due once, between two looks at the clock', () => {
    const calls = callsOf(runs);
    const minute = (m: number) => Date.parse(at(m));
    expect(cameDue(calls, minute(7), minute(9)).map((c) => c.words)).toEqual([
      'soak: In 2 min',
      'gel: Stir',
    ]);
    expect(cameDue(calls, minute(9), minute(10))).toEqual([]);
  });
});

describe('what stands in front', () => {
  it('is what wants hands first; what is planned comes last', () => {
    const runs = [
      run('planned', { status: 'PLANNED', hands: { at: at(0), words: 'Begin' } }),
      run('quiet', {}),
      run('late', { hands: { at: at(30), words: 'Look' } }),
      run('now', { hands: { at: at(2), words: 'Strain' } }),
    ];
    expect(inFront(runs, Date.parse(at(1))).map((r) => r.id)).toEqual([
      'now',
      'late',
      'quiet',
      'planned',
    ]);
  });

  it('is what goes wrong, before what has waited longer', () => {
    const window = { startedAt: at(0), rightFrom: at(10), usualAt: at(20), lateFrom: at(30) };
    const runs = [
      run('waits', { hands: { at: at(2), words: 'Strain' } }),
      run('spoils', { hands: { at: at(20), words: 'Look' }, window }),
    ];
    expect(inFront(runs, Date.parse(at(31))).map((r) => r.id)).toEqual(['spoils', 'waits']);
    expect(inFront(runs, Date.parse(at(29))).map((r) => r.id)).toEqual(['waits', 'spoils']);
  });
});

describe('the stretch of time shown', () => {
  const now = Date.parse(at(0));
  it('holds the present steps that end within some hours', () => {
    const short = horizon([run('a', { usualAt: at(20) })], now);
    expect(short.to - now).toBe(45 * 60_000);
    const long = horizon([run('a', { usualAt: at(20) }), run('b', { usualAt: at(60 * 4) })], now);
    expect(long.to - now).toBe(300 * 60_000);
    const days = horizon([run('a', { usualAt: at(20) }), run('b', { usualAt: at(60 * 40) })], now);
    expect(days.to - now).toBe(45 * 60_000);
    const alone = horizon([run('b', { usualAt: at(60 * 40) })], now);
    expect(alone.to - now).toBe(7200 * 60_000);
    expect(long.from).toBeLessThan(now);
  });
  it('never grows beyond two months', () => {
    const far = horizon([run('a', { usualAt: at(60 * 24 * 300) })], now);
    expect(far.to - now).toBe(86_400 * 60_000);
  });
});

describe('the line of a pot', () => {
  const format = formatFor(undefined);
  const now = Date.parse(at(30));
  const window = { startedAt: at(0), rightFrom: at(10), usualAt: at(20), lateFrom: at(25) };
  const asks = (minute: number) => ({ at: at(minute), words: 'Has it drawn?' });

  it.each([
    ['what is to come', run('rinse', { hands: asks(32) }), '2:00', 'has it drawn?', 'coming'],
    ['what is due', run('rinse', { hands: asks(28) }), '+2:00', 'has it drawn?', 'now'],
    [
      'what is late',
      run('rinse', { hands: asks(20), window }),
      '+5:00',
      'late, has it drawn?',
      'late',
    ],
    [
      'what hands are at',
      run('gel', { needsHands: true, hands: { at: at(29), words: 'Strain' } }),
      'now',
      'strain',
      'now',
    ],
    [
      'what waits for its time',
      run('soak', { status: 'PLANNED', startedAt: at(90) }),
      'at 11:30',
      'begin',
      'planned',
    ],
    [
      'what is a day away',
      run('rye', { hands: asks(60 * 26) }),
      'tomorrow 12:00',
      'has it drawn?',
      'coming',
    ],
  ])('says of %s how long and what for', (_, pot, time, words, state) => {
    expect(nextOf(pot, now, format)).toEqual({ time, words, state });
  });
});
