import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Practice } from '../../api/client';
import recorded from '../../test/answers.json';
import { inKitchen, Refused, type Answers, type Sent } from '../../test/kitchen';
import { PracticePage } from './PracticePage';
import { PracticesPage } from './PracticesPage';

const POT = { ...recorded['GET /api/practices/7'], pace: 0 } as unknown as Practice;
const OVER = recorded['GET /api/practices/over'] as unknown as Practice;
const acts = { 'POST /api/practices/7/acts': POT };

const shown = (pot: Partial<Practice> = {}, more: Answers = acts) =>
  inKitchen(<PracticePage />, {
    ...recorded,
    'GET /api/practices/7': { ...POT, ...pot },
    ...more,
  });

test('the pot is drawn, and said in words', async () => {
  shown();
  const picture = await screen.findByRole('img', { name: POT.looks.join(' ') });
  expect(picture.querySelectorAll('.wisp').length).toBeGreaterThan(0);
  const looks = screen.getByRole('list', { name: 'How it looks' });
  expect(
    within(looks)
      .getAllByRole('listitem')
      .map((l) => l.textContent),
  ).toEqual(POT.looks);
});

test('the hob, the lid and the spoon say in which state they were touched', async () => {
  const { posted } = shown();
  const hob = await screen.findByRole('group', { name: 'The hob' });
  expect(within(hob).getByRole('button', { name: 'Full' }).getAttribute('aria-pressed')).toBe(
    'true',
  );
  await userEvent.click(within(hob).getByRole('button', { name: 'Low' }));
  await userEvent.click(screen.getByRole('button', { name: 'Stir to the bottom' }));
  await userEvent.click(screen.getByRole('button', { name: 'Lid is off' }));
  await userEvent.click(screen.getByRole('button', { name: 'Pour 100 mL of water in' }));
  await userEvent.click(screen.getByRole('button', { name: /^Done/ }));
  await waitFor(() => expect(posted()).toHaveLength(5));
  const version = POT.version;
  expect(posted().map((s) => s.body)).toEqual([
    { version, kind: 'HEAT', value: 0.2 },
    { version, kind: 'STIR' },
    { version, kind: 'LID', value: 1 },
    { version, kind: 'POUR', value: 100 },
    { version, kind: 'NEXT' },
  ]);
});

test('two quick taps go out one after another, each with the state known by then', async () => {
  let version = POT.version;
  const { posted } = shown(
    {},
    { 'POST /api/practices/7/acts': () => ({ ...POT, version: ++version }) },
  );
  const stir = await screen.findByRole('button', { name: 'Stir to the bottom' });
  stir.click();
  stir.click();
  await waitFor(() => expect(posted()).toHaveLength(2));
  expect(posted().map((s) => (s.body as { version: number }).version)).toEqual([
    POT.version,
    POT.version + 1,
  ]);
});

test('its time goes faster, is held, and passes at once where something stands', async () => {
  const standing = { stands: true, onHob: false };
  const after = { ...POT, ...standing };
  const { posted } = shown(standing, {
    'PUT /api/practices/7/pace': after,
    'POST /api/practices/7/pass': after,
  });
  await userEvent.click(await screen.findByRole('button', { name: '60×' }));
  const wait = screen.getByRole('group', { name: 'Let it stand' });
  await userEvent.click(within(wait).getByRole('button', { name: '6 h' }));
  await waitFor(() => expect(posted()).toHaveLength(2));
  expect(posted()[0]!.body).toEqual({ version: POT.version, pace: 60 });
  expect(posted()[1]!.body).toEqual({ version: POT.version, minutes: 360 });
});

test('whoever is called away has no hands, and a pot left alone is held', async () => {
  shown({
    leftAlone: true,
    calling: { words: 'The bell rings.', away: true, minutes: 1.5 },
  });
  const told = await screen.findByRole('alert');
  expect(told.textContent).toContain('You are away for another 1:30 min.');
  expect(screen.getByRole('button', { name: 'Stir to the bottom' })).toHaveProperty(
    'disabled',
    true,
  );
  expect(screen.getByText(/Nobody did anything for an hour/)).toBeTruthy();
});

test('another tab was quicker: it is told and looked at again', async () => {
  let looks = 0;
  shown(
    {},
    {
      'GET /api/practices/7': () => {
        looks += 1;
        return POT;
      },
      'POST /api/practices/7/acts': new Refused(409, 'This was done from another tab.'),
    },
  );
  await userEvent.click(await screen.findByRole('button', { name: 'Stir to the bottom' }));
  expect(await screen.findByText('This was done from another tab.')).toBeTruthy();
  await waitFor(() => expect(looks).toBe(2));
});

test('a choice is made and an ingredient weighed in otherwise than the card says', async () => {
  const step: Partial<Practice> = {
    onHob: false,
    ways: {
      asks: 'Which jar?',
      ways: [
        { key: 'shelf', words: 'From the shelf', chosen: false },
        { key: 'warmed', words: 'Warmed', chosen: true },
      ],
    },
    puts: [{ key: 'water', name: 'Water', grams: 450 }],
  };
  const { posted } = shown(step, { 'POST /api/practices/7/acts': { ...POT, ...step } });
  const ways = await screen.findByRole('group', { name: 'Which jar?' });
  await userEvent.click(within(ways).getByRole('button', { name: 'From the shelf' }));
  const scale = screen.getByLabelText('Water, g on the scale');
  const weigh = screen.getByRole('button', { name: 'Weigh it in' });
  expect(weigh).toHaveProperty('disabled', true);
  await userEvent.clear(scale);
  await userEvent.type(scale, '900');
  await userEvent.click(weigh);
  await waitFor(() => expect(posted()).toHaveLength(2));
  expect(posted().map((s) => s.body)).toEqual([
    { version: POT.version, kind: 'CHOOSE', what: 'shelf' },
    { version: POT.version, kind: 'WEIGH', what: 'water', value: 900 },
  ]);
});

test('what came of it: what was asked, two lines, and what each difference cost', async () => {
  const { posted } = inKitchen(<PracticePage />, {
    ...recorded,
    'GET /api/practices/7': {
      ...OVER,
      debrief: {
        ...OVER.debrief!,
        reached: [{ words: 'to bottle', wanted: 'at least 9 mL', value: '4 mL', ok: false }],
        differences: [{ step: 3, words: 'Strain: once.', cost: '5 mL more', lost: true }],
      },
    },
    'POST /api/practices': (s: Sent) => ({ ...POT, id: '8', said: s.body }),
  });
  expect(await screen.findByText('not reached')).toBeTruthy();
  const lines = screen.getByRole('img', { name: /Yours took .*, a good one/ });
  expect(lines.querySelectorAll('path[stroke-dasharray]')).toHaveLength(1);
  expect(screen.getByText('Strain: once.')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Once more' }));
  expect(await screen.findByText('another screen')).toBeTruthy();
  expect(posted()[0]!.body).toEqual({ exercise: OVER.exercise });
});

test('exercises tell what is asked and how it went so far; any formula is practised', async () => {
  const { posted } = inKitchen(<PracticesPage />, {
    ...recorded,
    'POST /api/practices': POT,
  });
  expect(await screen.findByText(/Maeve: 2 of 2 at best, 2 times/)).toBeTruthy();
  await screen.findByRole('option', { name: 'Linseed styling gel' });
  await userEvent.selectOptions(
    screen.getByLabelText('Any formula, in your own kitchen'),
    'linseed-gel',
  );
  await userEvent.click(screen.getByRole('button', { name: 'Practise it' }));
  await waitFor(() => expect(posted()[0]!.body).toEqual({ formula: 'linseed-gel' }));
});

test('what is asked and the steps stand in a fold, with the present one marked', async () => {
  shown({ measured: { celsius: 82.4, ph: 6.94, minutesAgo: 3.5 } });
  await userEvent.click(await screen.findByText('What is asked, and the steps'));
  const steps = screen.getAllByRole('listitem').filter((l) => l.getAttribute('aria-current'));
  expect(steps).toHaveLength(1);
  expect(steps[0]!.textContent).toContain(POT.steps[POT.step]!.headline);
  for (const aim of POT.aims) expect(screen.getAllByText(aim.wanted).length).toBeGreaterThan(0);
  // What was read stays as it was read, and says when.
  expect(screen.getByText('82 °C')).toBeTruthy();
  expect(screen.getByText('3:30 min ago, by thermometer and strip')).toBeTruthy();
});
