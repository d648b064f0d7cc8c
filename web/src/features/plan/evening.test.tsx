import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { BrewDay, Plans } from '../../api/client';
import recorded from '../../test/answers.json';
import { inKitchen, Refused, type Sent } from '../../test/kitchen';
import { WeeksPage } from '../washdays/WeeksPage';
import { BrewDayPage } from './BrewDayPage';

const DAY = recorded['GET /api/plan/days/7'] as unknown as BrewDay;
const PLANS = recorded['GET /api/plan'] as unknown as Plans;
const last = (posted: Sent[]) => posted[posted.length - 1]!;

const evening = (day: Partial<BrewDay> = {}, plans: Partial<Plans> = {}, more = {}) =>
  inKitchen(<BrewDayPage />, {
    ...recorded,
    'GET /api/plan/days/7': { ...DAY, ...day },
    'GET /api/plan': { ...PLANS, ...plans },
    ...more,
  });

test('an evening says what is done when, and what is to be fetched', async () => {
  evening();
  expect(await screen.findByRole('heading', { name: 'In this order' })).toBeTruthy();
  for (const line of DAY.lines) {
    expect(screen.getAllByText(new RegExp(line.words)).length).toBeGreaterThan(0);
  }
  for (const pick of DAY.picking) {
    expect(screen.getAllByText(new RegExp(pick.name)).length).toBeGreaterThan(0);
  }
  expect(screen.getByRole('region', { name: 'The evening on a line' })).toBeTruthy();
});

test('only on its day it is laid on the bench', async () => {
  evening({ day: '2030-03-05' }, { today: '2030-03-04' });
  expect(await screen.findByText('It is laid on the bench on its day.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Lay it on the bench' })).toBeNull();
});

test('on its day it is laid on the bench by one tap', async () => {
  const { posted } = evening(
    { day: '2030-03-05' },
    { today: '2030-03-05' },
    {
      'POST /api/plan/days/2030-03-05': { batches: ['b1'] },
    },
  );
  await userEvent.click(await screen.findByRole('button', { name: 'Lay it on the bench' }));
  await waitFor(() => expect(last(posted()).path).toBe('/api/plan/days/2030-03-05'));
});

test('what does not fit is said', async () => {
  evening({ troubles: ['It takes 40 min longer than there is time.'] });
  expect(await screen.findByText('It takes 40 min longer than there is time.')).toBeTruthy();
});

test('what goes into the freezer is said before it is bottled', async () => {
  const brew = { ...PLANS.agreed!.brews[0]!, day: '7', frozenMl: 120, name: 'Sage rinse' };
  evening({}, { agreed: { ...PLANS.agreed!, brews: [brew] } });
  expect(await screen.findByText(/120 mL of Sage rinse goes into the freezer/)).toBeTruthy();
});

test('a jar for a friend is put down, and what is wrong is told at its field', async () => {
  const refused = new Refused(400, 'Above 0 and up to 5 L.', [
    { field: 'millilitres', message: 'Above 0 and up to 5 L.' },
  ]);
  const { posted } = inKitchen(<WeeksPage />, {
    ...recorded,
    'POST /api/plan/demands': (sent: Sent) =>
      (sent.body as { millilitres: number }).millilitres > 5000 ? refused : PLANS,
  });
  await userEvent.click(await screen.findByText('Also wanted'));
  await userEvent.selectOptions(await screen.findByLabelText('Of what'), 'Linseed styling gel');
  const amount = screen.getByLabelText('How much, mL');
  await userEvent.clear(amount);
  await userEvent.type(amount, '9000');
  await userEvent.type(screen.getByLabelText('What for'), 'A jar for a friend');
  await userEvent.click(screen.getByRole('button', { name: 'Put it down' }));
  expect((await screen.findAllByText('Above 0 and up to 5 L.')).length).toBeGreaterThan(0);
  await userEvent.clear(amount);
  await userEvent.type(amount, '250');
  await userEvent.click(screen.getByRole('button', { name: 'Put it down' }));
  await waitFor(() =>
    expect(last(posted()).body).toMatchObject({ words: 'A jar for a friend', millilitres: 250 }),
  );
});

test('a plan that is worth it is offered, looked at and taken', async () => {
  const { posted } = inKitchen(<WeeksPage />, {
    ...recorded,
    'GET /api/plan': { ...PLANS, changed: true },
    'POST /api/plan/what-if': PLANS.proposal,
    'PUT /api/plan': PLANS,
  });
  expect(await screen.findByText(/Something is otherwise now/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Look at it' }));
  expect(await screen.findByRole('heading', { name: 'What if' })).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'As agreed' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Take that' }));
  await waitFor(() => expect(posted().some((s) => s.method === 'PUT')).toBe(true));
});

test('a day without time is put down and taken back', async () => {
  const { posted } = inKitchen(<WeeksPage />, { ...recorded, 'PUT /api/plan/settings': PLANS });
  await userEvent.click(await screen.findByText('When there is time'));
  const off = screen.getByLabelText('Not on');
  await userEvent.type(off, PLANS.evenings[0]!.day);
  await userEvent.click(screen.getByRole('button', { name: 'No time on that day' }));
  await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
  await waitFor(() =>
    expect((last(posted()).body as { settings: Plans['settings'] }).settings.off).toEqual([
      PLANS.evenings[0]!.day,
    ]),
  );
});
