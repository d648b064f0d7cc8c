import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { OccasionLine, Weeks } from '../../api/client';
import recorded from '../../test/answers.json';
import { inKitchen, Refused, type Sent } from '../../test/kitchen';
import { SheetPage } from './SheetPage';
import { WeeksPage } from './WeeksPage';

const WEEKS = recorded['GET /api/weeks?days=21'] as unknown as Weeks;
const last = (posted: Sent[]) => posted[posted.length - 1]!;

const one = (state: OccasionLine['state'], more: Partial<OccasionLine> = {}): OccasionLine => ({
  person: 'a',
  name: 'Ada',
  occasion: 'wash',
  occasionName: 'Wash day',
  kind: 'WASH_DAY',
  planned: '2030-03-05',
  day: '2030-03-05',
  time: '10:00:00',
  state,
  note: '',
  ...more,
});

const weeks = (...occasions: OccasionLine[]): Weeks => ({
  ...WEEKS,
  today: '2030-03-05',
  from: '2030-03-05',
  to: '2030-03-25',
  occasions,
});

const shown = (view: Weeks, more = {}) =>
  inKitchen(<WeeksPage />, {
    ...recorded,
    'GET /api/weeks?days=21': view,
    // What is planned is a test of its own.
    'GET /api/plan': new Refused(503, 'Busy.'),
    ...more,
  });

test('what is due first stands above, and what is missing beside it', async () => {
  shown(WEEKS);
  expect(await screen.findByRole('heading', { level: 1 })).toHaveTextContent(
    WEEKS.occasions[0]!.name,
  );
  for (const w of WEEKS.without) {
    expect(screen.getAllByText(w.words).length).toBeGreaterThan(0);
  }
});

test('an occasion is put on another day, and back', async () => {
  const { posted } = shown(weeks(one('COMING')), {
    'POST /api/wash-days/move': { takenBack: false },
  });
  await userEvent.click(await screen.findByRole('button', { name: 'Another day' }));
  await userEvent.click(screen.getByRole('button', { name: 'Put it there' }));
  await waitFor(() =>
    expect(last(posted()).body).toEqual({
      person: 'a',
      occasion: 'wash',
      planned: '2030-03-05',
      to: '2030-03-06',
    }),
  );
  await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(last(posted()).body).toMatchObject({ back: true }));
});

test('one that is left out can be put back', async () => {
  const { posted } = shown(weeks(one('SKIPPED')), {
    'POST /api/wash-days/move': { takenBack: true },
  });
  await userEvent.click(await screen.findByRole('button', { name: 'Put it back' }));
  await waitFor(() => expect(last(posted()).body).toMatchObject({ back: true }));
});

test('one that is done can be taken back', async () => {
  const { posted } = shown(weeks(one('DONE', { done: 'd1' })), {
    'POST /api/wash-days/d1/undo': { takenBack: true },
  });
  await userEvent.click(await screen.findByRole('button', { name: 'Take it back' }));
  await waitFor(() => expect(last(posted()).path).toBe('/api/wash-days/d1/undo'));
});

test.each([
  ['CARRIED', 'not done on its day, moved on to today'],
  ['MISSED', 'missed'],
  ['MOVED', 'moved'],
] as const)('one that is %s says so', async (state, words) => {
  shown(weeks(one(state)));
  expect(await screen.findByText(`· ${words}`)).toBeVisible();
});

test('the weeks tell their bands in words', async () => {
  shown(WEEKS);
  const band = WEEKS.bands.find((b) => b.lastDay >= WEEKS.from)!;
  const picture = await screen.findByRole('img', { name: new RegExp(band.name) });
  expect(picture).toHaveAccessibleName(new RegExp(`${Math.round(band.leftMl)} mL till`));
});

test('a household of nobody is shown where to begin', async () => {
  shown(weeks(), { 'GET /api/people': { today: '2030-03-05', people: [] } });
  expect(await screen.findByText('Make a page for somebody')).toBeVisible();
});

test('a wish is asked for anew: a place left out, another bottle', async () => {
  const { posted } = inKitchen(<SheetPage />, recorded);
  const change = (await screen.findAllByRole('button', { name: /^Change / }))[0]!;
  await userEvent.click(change);
  await userEvent.click(screen.getByRole('button', { name: 'Leave it out' }));
  await waitFor(() => {
    const body = last(posted()).body as { heads: { wishes: unknown[] }[] };
    expect(JSON.stringify(body)).toContain('"leftOut":true');
  });
});

test('a head that is left out is not asked for', async () => {
  const view = recorded['GET /api/weeks?days=28'] as unknown as Weeks;
  const { posted } = inKitchen(<SheetPage />, recorded);
  const open = view.occasions;
  expect(open.length).toBeGreaterThan(1);
  await userEvent.click(
    await screen.findByRole('button', {
      name: `✓ ${open[0]!.name}: ${open[0]!.occasionName.toLowerCase()}`,
    }),
  );
  await waitFor(() => {
    const body = last(posted()).body as { heads: { person: string }[] };
    expect(body.heads).toHaveLength(open.length - 1);
  });
});
