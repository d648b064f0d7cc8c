import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Sheet, WashRun } from '../../api/client';
import recorded from '../../test/answers.json';
import { inKitchen, Refused } from '../../test/kitchen';
import { pendingTaps, dropTap } from '../bench/pending';
import { SheetPage } from './SheetPage';
import { addDays, asPlanned, daysBetween, doneBody, names, wish } from './words';

const SHEET = recorded['POST /api/sheets'] as unknown as Sheet;

test('names stand in a row', () => {
  expect(names([])).toBe('');
  expect(names(['Ada'])).toBe('Ada');
  expect(names(['Ada', 'Bo', 'Cai'])).toBe('Ada, Bo and Cai');
});

test('days are counted over a change of summer time', () => {
  expect(addDays('2026-03-28', 2)).toBe('2026-03-30');
  expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2);
});

test('a wish replaces the one before at its place alone', () => {
  const asked = [{ person: 'a', occasion: 'wash', planned: '2030-03-10', wishes: [{ place: 1 }] }];
  const once = wish(asked, 0, { place: 2, leftOut: true });
  expect(wish(once, 0, { place: 2, bottle: 'b' })[0]!.wishes).toEqual([
    { place: 1 },
    { place: 2, bottle: 'b' },
  ]);
});

test('what is written down is what the sheet says, or what was typed', () => {
  const taken = asPlanned(SHEET);
  expect(taken.length).toBeGreaterThan(1);
  const body = doneBody(
    SHEET,
    taken.map((t, i) => ({ ...t, typed: i === 0 ? 'a third' : i === 1 ? '' : '12,5' })),
    'run',
    'fine',
  );
  const takes = body.heads.flatMap((h) => h.places.flatMap((p) => p.takes));
  expect(takes[0]).toEqual({ bottle: taken[0]!.bottle, amount: 'a third' });
  expect(takes.length).toBe(taken.length - 1);
  expect(takes[1]).toEqual({ bottle: taken[2]!.bottle, millilitres: 12.5 });
  expect(body.heads.map((h) => h.note)[0]).toBe('fine');
});

const RUN: WashRun = {
  id: '7',
  version: 3,
  now: '2030-03-05T10:00:00Z',
  beganAt: '2030-03-05T09:50:00Z',
  sheet: SHEET,
  progress: SHEET.heads.map(() => ({ done: 0 })),
  order: SHEET.order,
};

test('without a line a tap waits on this device and the next step comes all the same', async () => {
  const first = SHEET.heads[SHEET.order[0]!.head]!;
  const { sent } = inKitchen(<SheetPage />, {
    ...recorded,
    'GET /api/wash-runs': [RUN],
    'POST /api/wash-runs/7/steps': new Refused(503, 'Dremsa has much to do.'),
  });
  expect(await screen.findByText(first.steps[0]!.words)).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Done' }));
  await waitFor(() => expect(pendingTaps()).toHaveLength(1));
  const tap = pendingTaps()[0]!;
  expect(tap.path).toBe('/api/wash-runs/7/steps');
  expect(tap.key).toBe(sent.find((s) => s.path === tap.path)!.key);
  expect(await screen.findByText(/One tap waits/)).toBeVisible();
  dropTap(tap.key);
});

test('a refusal says whose place it is about', async () => {
  inKitchen(<SheetPage />, {
    ...recorded,
    'GET /api/wash-runs': [],
    'POST /api/wash-days': new Refused(400, 'There are 30 mL in it.', [
      { field: 'heads[1].places[0].takes[0].millilitres', message: 'There are 30 mL in it.' },
    ]),
  });
  await userEvent.click(await screen.findByRole('button', { name: /It is done/ }));
  await userEvent.click(screen.getByRole('button', { name: 'Write it down' }));
  expect(await screen.findByRole('alert')).toHaveTextContent(
    `${SHEET.heads[1]!.name}: There are 30 mL in it.`,
  );
});
