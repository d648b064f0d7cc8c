import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { BrewForm, BrewPlan, Plans } from '../../api/client';
import recorded from '../../test/answers.json';
import { inKitchen, type Sent } from '../../test/kitchen';
import { WeeksPage } from '../washdays/WeeksPage';
import { bandsOf, beside, forms, minutes, otherwise } from './words';

const PLANS = recorded['GET /api/plan'] as unknown as Plans;
const AGREED = PLANS.agreed!;
const last = (posted: Sent[]) => posted[posted.length - 1]!;
const shown = (plans: Plans = PLANS, more = {}) =>
  inKitchen(<WeeksPage />, { ...recorded, 'GET /api/plan': plans, ...more });

test('what is agreed on stands there with its reasons', async () => {
  shown();
  expect(await screen.findByRole('heading', { name: 'The plan' })).toBeTruthy();
  expect(screen.getByText(AGREED.words)).toBeTruthy();
  expect(screen.getAllByText(AGREED.brews[0]!.why[0]!).length).toBeGreaterThan(0);
  expect(screen.getByRole('group', { name: 'Brews, at their evenings' })).toBeTruthy();
});

test('a pot moved by its arrow key is tried, and taken', async () => {
  const worse = { ...AGREED, words: 'Somebody goes without.', hands: AGREED.hands + 20 };
  const { posted } = shown(PLANS, {
    'POST /api/plan/what-if': worse,
    'PUT /api/plan': PLANS,
  });
  const pot = (await screen.findAllByRole('button', { name: /Arrow keys move it/ }))[0]!;
  fireEvent.keyDown(pot, { key: 'ArrowLeft' });
  expect(await screen.findByText('Somebody goes without.')).toBeTruthy();
  expect(screen.getByText(/20 min more of hands/)).toBeTruthy();
  const tried = posted().find((s) => s.path === '/api/plan/what-if')!.body as {
    brews: BrewForm[];
  };
  expect(tried.brews[0]!.day < AGREED.brews[0]!.day).toBe(true);
  await userEvent.click(screen.getByRole('button', { name: 'Take it' }));
  await waitFor(() => expect(posted().some((s) => s.method === 'PUT')).toBe(true));
  const taken = posted().find((s) => s.method === 'PUT')!.body as { version: number };
  expect(taken.version).toBe(PLANS.version);
});

test('what somebody tried is let go of again', async () => {
  shown(PLANS, { 'POST /api/plan/what-if': { ...AGREED, words: 'Otherwise.' } });
  await userEvent.click((await screen.findAllByRole('button', { name: 'Otherwise' }))[0]!);
  await userEvent.click(screen.getByRole('button', { name: 'Do not brew it' }));
  expect(await screen.findByText('Otherwise.')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'As agreed' }));
  expect(await screen.findByText(AGREED.words)).toBeTruthy();
});

test('a plan that is only proposed can be taken', async () => {
  const { posted } = shown(
    { ...PLANS, agreed: undefined, changed: true },
    { 'PUT /api/plan': PLANS },
  );
  expect(await screen.findByRole('heading', { name: 'A plan is proposed' })).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Take it' }));
  await waitFor(() =>
    expect((last(posted()).body as { brews: BrewForm[] }).brews).toHaveLength(
      PLANS.proposal.brews.length,
    ),
  );
});

test('a search is begun, and ended', async () => {
  const { posted } = shown(PLANS, { 'POST /api/plan/search': '' });
  await userEvent.click(
    await screen.findByRole('button', { name: 'Look longer for a better one' }),
  );
  await waitFor(() => expect(last(posted()).path).toBe('/api/plan/search'));
});

test('one under way can be stopped', async () => {
  const { posted } = shown(
    { ...PLANS, search: { state: 'RUNNING', askedAt: PLANS.now } },
    { 'DELETE /api/plan/search': '' },
  );
  await userEvent.click(await screen.findByRole('button', { name: 'That will do' }));
  await waitFor(() => expect(last(posted()).method).toBe('DELETE'));
});

test('when there is time is kept', async () => {
  const { posted } = shown(PLANS, { 'PUT /api/plan/settings': PLANS });
  await userEvent.click(await screen.findByText('When there is time'));
  await userEvent.click(screen.getByLabelText('Monday'));
  await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
  await waitFor(() => expect(last(posted()).path).toBe('/api/plan/settings'));
  const { settings } = last(posted()).body as { settings: Plans['settings'] };
  expect(settings.evenings.map((e) => e.day)).toContain('MONDAY');
});

test('two brews of one formula on one day become one', () => {
  const brews: BrewForm[] = [
    { day: '2030-03-05', formula: 'a', millilitres: 100, pinned: false },
    { day: '2030-03-07', formula: 'a', millilitres: 150, pinned: false },
  ];
  expect(otherwise(brews, 0, { day: '2030-03-07' })).toEqual([
    { day: '2030-03-07', formula: 'a', millilitres: 250, pinned: false },
  ]);
});

test('words', () => {
  expect(minutes(25)).toBe('25 min');
  expect(minutes(130)).toBe('2 h 10 min');
  expect(minutes(120)).toBe('2 h');
  expect(beside(AGREED, AGREED)).toBe('It makes no difference.');
  const more: BrewPlan = { ...AGREED, thrownMl: AGREED.thrownMl + 40 };
  expect(beside(more, AGREED)).toBe('40 mL more thrown away.');
  expect(forms(AGREED)).toHaveLength(AGREED.brews.length);
  expect(bandsOf(AGREED).some((b) => b.planned)).toBe(true);
});
