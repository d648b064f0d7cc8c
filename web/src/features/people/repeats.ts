import type { Occasion } from '../../api/client';

type Repeat = Occasion['repeat'];

/** The ways to say when something comes round that a form offers. */
export type Way = 'WEEKS' | 'DAYS' | 'WITH' | 'RULE';

export const WAYS: { value: Way; label: string }[] = [
  { value: 'WEEKS', label: 'On days of the week' },
  { value: 'DAYS', label: 'Every so many days' },
  { value: 'WITH', label: 'With another occasion' },
  { value: 'RULE', label: 'By a calendar rule' },
];

export const DAYS = [
  { value: 'MO', label: 'Mon' },
  { value: 'TU', label: 'Tue' },
  { value: 'WE', label: 'Wed' },
  { value: 'TH', label: 'Thu' },
  { value: 'FR', label: 'Fri' },
  { value: 'SA', label: 'Sat' },
  { value: 'SU', label: 'Sun' },
];

export interface Weekly {
  days: string[];
  every: number;
}

const PARTS = /^(FREQ|INTERVAL|BYDAY)=([A-Z0-9,]+)$/;

function parts(rule: string): Record<string, string> | undefined {
  const found: Record<string, string> = {};
  for (const part of rule.split(';')) {
    const match = PARTS.exec(part);
    if (!match) return undefined;
    found[match[1]!] = match[2]!;
  }
  return found;
}

/** A rule as days of the week, where it is one. */
export function weekly(rule: string): Weekly | undefined {
  const p = parts(rule);
  if (p?.FREQ !== 'WEEKLY') return undefined;
  const days = p.BYDAY?.split(',') ?? [];
  return days.every((d) => DAYS.some((day) => day.value === d))
    ? { days, every: Number(p.INTERVAL ?? 1) }
    : undefined;
}

/** A rule as a number of days, where it is one. */
export function daily(rule: string): number | undefined {
  const p = parts(rule);
  return p?.FREQ === 'DAILY' && !p.BYDAY ? Number(p.INTERVAL ?? 1) : undefined;
}

export function wayOf(repeat: Repeat): Way {
  if (repeat.follows) return 'WITH';
  const rule = repeat.rule ?? '';
  return weekly(rule) ? 'WEEKS' : daily(rule) !== undefined ? 'DAYS' : 'RULE';
}

export const weeklyRule = ({ days, every }: Weekly) =>
  `FREQ=WEEKLY${every > 1 ? `;INTERVAL=${every}` : ''}${
    days.length
      ? `;BYDAY=${DAYS.filter((d) => days.includes(d.value))
          .map((d) => d.value)
          .join(',')}`
      : ''
  }`;

export const dailyRule = (every: number) => `FREQ=DAILY${every > 1 ? `;INTERVAL=${every}` : ''}`;
