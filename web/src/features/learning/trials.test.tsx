import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Trial, Trials } from '../../api/client';
import recorded from '../../test/answers.json';
import { inKitchen, Refused } from '../../test/kitchen';
import { TrialsPage } from './TrialsPage';
import { jarName, scoresOf } from './words';

const HEAD = recorded['GET /api/people'].people[0]!;
const OPEN: Trial = {
  id: 't1',
  version: 3,
  person: HEAD.id,
  name: HEAD.name,
  begunAt: '2026-11-20T10:00:00Z',
  blind: true,
  jars: 2,
  products: [],
  on: [
    { section: 'LEFT', jar: 1 },
    { section: 'RIGHT', jar: 0 },
  ],
  scores: [{ criterion: 'SLIP', jar: 0, score: 4 }],
};
const TRIALS: Trials = {
  trials: [OPEN, { ...OPEN, id: 't0', endedAt: '2026-11-10T10:00:00Z', products: ['Gel', 'Oil'] }],
  verdicts: [
    {
      products: ['Gel', 'Oil'],
      trials: 5,
      criteria: 2,
      lines: [
        { criterion: 'SLIP', words: 'Gel slipped better in 4 of 5 trials.', settled: false },
        { criterion: 'HOLD', words: 'Gel held better in 9 of 9 trials.', settled: true },
      ],
    },
  ],
  criteria: [
    { criterion: 'SLIP', least: 1, most: 5, lessIsBetter: false },
    { criterion: 'DETANGLING', least: 0, most: 600, lessIsBetter: true },
  ],
};
const shown = (view: Partial<Trials> = {}, more = {}) =>
  inKitchen(<TrialsPage />, { ...recorded, 'GET /api/trials': { ...TRIALS, ...view }, ...more });

test('what several trials say, and what is settled', async () => {
  shown();
  const settled = await screen.findByText('Gel held better in 9 of 9 trials.');
  expect(settled.tagName).toBe('B');
  expect(screen.getByText('Gel slipped better in 4 of 5 trials.').tagName).toBe('LI');
  expect(screen.getByText(/2 things were scored/)).toBeTruthy();
  expect(screen.getByText('1 over')).toBeTruthy();
});

test('jars have numbers, drawn and in words, until somebody looks', async () => {
  const { posted } = shown({}, { 'GET /api/trials/t1/jars': { products: ['Oil', 'Gel'] } });
  expect(await screen.findByRole('img', { name: 'left: Jar 2; right: Jar 1' })).toBeTruthy();
  expect(screen.queryByText('Oil')).toBeNull();
  await userEvent.click(screen.getByText(/Whoever fills the jars looks here/));
  expect(await screen.findByText('Oil')).toBeTruthy();
  expect(posted().length).toBe(0);
});

test('scores are written down, something more is scored', async () => {
  const { posted } = shown({}, { 'PUT /api/trials/t1/scores': TRIALS });
  const slip = await screen.findByRole('group', { name: 'slip' });
  await userEvent.type(within(slip).getByLabelText('Jar 2'), '2');
  await userEvent.selectOptions(screen.getByLabelText('Score something more'), 'DETANGLING');
  const minutes = screen.getByRole('group', { name: 'detangling, minutes' });
  await userEvent.type(within(minutes).getByLabelText('Jar 1'), '12');
  await userEvent.click(screen.getByRole('button', { name: 'Write the scores down' }));
  await waitFor(() => expect(posted().length).toBe(1));
  expect(posted()[0]!.body).toEqual({
    version: 3,
    scores: { SLIP: { 0: 4, 1: 2 }, DETANGLING: { 0: 12 } },
  });
});

test('a score outside its scale is refused at its field', async () => {
  shown(
    {},
    {
      'PUT /api/trials/t1/scores': new Refused(400, 'Not kept.', [
        { field: 'scores.SLIP.1', message: 'This is scored from 1 to 5.' },
      ]),
    },
  );
  const slip = await screen.findByRole('group', { name: 'slip' });
  await userEvent.type(within(slip).getByLabelText('Jar 2'), '9');
  await userEvent.click(screen.getByRole('button', { name: 'Write the scores down' }));
  expect(await screen.findByText('This is scored from 1 to 5.')).toBeTruthy();
});

test('a trial is begun with lots drawn', async () => {
  const { posted } = shown({ trials: [], verdicts: [] }, { 'POST /api/trials': TRIALS });
  await userEvent.type(await screen.findByLabelText('Product 1'), 'Gel');
  expect(
    screen.getByRole<HTMLButtonElement>('button', { name: 'Draw lots and begin' }).disabled,
  ).toBe(true);
  await userEvent.type(screen.getByLabelText('Product 2'), 'Oil');
  await userEvent.click(screen.getByRole('button', { name: 'Back' }));
  await userEvent.click(screen.getByRole('button', { name: 'Draw lots and begin' }));
  await waitFor(() => expect(posted().length).toBe(1));
  expect(posted()[0]!.body).toEqual({
    person: HEAD.id,
    products: ['Gel', 'Oil'],
    sections: ['LEFT', 'RIGHT', 'BACK'],
    lookHours: [24],
    blind: true,
  });
});

test('a trial is ended, and taken away', async () => {
  const { posted } = shown(
    {},
    { 'PUT /api/trials/t1/end': TRIALS, 'DELETE /api/trials/t1': TRIALS },
  );
  await userEvent.click(
    await screen.findByRole('button', { name: 'End it: what is in the jars?' }),
  );
  await userEvent.click(screen.getByRole('button', { name: 'Take it away' }));
  await waitFor(() => expect(posted().length).toBe(2));
  expect(posted().map((s) => s.method)).toEqual(['PUT', 'DELETE']);
});

test('scores and names of jars', () => {
  expect(scoresOf(OPEN)).toEqual({ SLIP: { 0: 4 } });
  expect(jarName(OPEN, 1)).toBe('Jar 2');
  expect(jarName(TRIALS.trials[1]!, 1)).toBe('Oil');
});
