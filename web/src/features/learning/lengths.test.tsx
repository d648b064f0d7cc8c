import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Lengths } from '../../api/client';
import { inKitchen, Refused } from '../../test/kitchen';
import recorded from '../../test/answers.json';
import { LengthsPage } from './LengthsPage';
import { steps } from './words';

const HEAD = recorded['GET /api/people'].people[0]!;
const PATH = `/api/people/${HEAD.id}/lengths`;
const edge = (day: string, cm: number) => ({ day, low: cm - 0.3, cm, high: cm + 0.3 });
const LENGTHS: Lengths = {
  person: HEAD.id,
  name: HEAD.name,
  today: '2026-11-27',
  sections: [
    {
      section: 'BACK',
      shrinkage: ['Gel: it draws itself together less with it.'],
      words: '1.10 cm a month, 95 % likely between 1.00 and 1.20, from 3 readings.',
      settled: true,
      doubtful: '2026-10-27',
      readings: [
        { id: 'r1', day: '2026-09-27', cm: 40 },
        { id: 'r2', day: '2026-10-27', cm: 44 },
        { id: 'r3', day: '2026-11-27', cm: 42.5 },
      ],
      lines: [[edge('2026-09-27', 40), edge('2026-11-27', 42.3)]],
    },
    {
      section: 'LEFT',
      shrinkage: [],
      words: 'This cannot be told yet: go on for about 5 more months.',
      settled: false,
      readings: [{ id: 'r4', day: '2026-11-27', cm: 38 }],
      lines: [],
    },
  ],
  cuts: [{ id: 'c1', day: '2026-10-01' }],
};
const shown = (view: Partial<Lengths> = {}, more = {}) =>
  inKitchen(<LengthsPage />, { ...recorded, [`GET ${PATH}`]: { ...LENGTHS, ...view }, ...more });

test('each section says what its readings tell, and what cannot be told', async () => {
  shown();
  expect(
    await screen.findByRole('heading', { name: `How long ${HEAD.name}’s hair is` }),
  ).toBeTruthy();
  for (const s of LENGTHS.sections) expect(screen.getByText(s.words)).toBeTruthy();
  // The drawing says the same to whoever does not see it.
  expect(screen.getByRole('img', { name: LENGTHS.sections[0]!.words })).toBeTruthy();
  expect(screen.getByText(/far off the others/)).toBeTruthy();
});

test('a length is written down', async () => {
  const { posted } = shown({}, { [`POST ${PATH}`]: LENGTHS });
  await userEvent.type(await screen.findByLabelText('Stretched, cm'), '43.5');
  await userEvent.selectOptions(screen.getByLabelText('Where'), 'CROWN');
  await userEvent.click(screen.getByRole('button', { name: 'Write it down' }));
  await waitFor(() => expect(posted().length).toBe(1));
  expect(posted()[0]!.body).toEqual({ day: '2026-11-27', section: 'CROWN', cm: 43.5 });
});

test('what is refused says so at its place, and what was typed stays', async () => {
  shown(
    {},
    {
      [`POST ${PATH}`]: new Refused(400, 'Not kept.', [
        { field: 'day', message: 'There is a length of this section on that day already.' },
      ]),
    },
  );
  const field = await screen.findByLabelText<HTMLInputElement>('Stretched, cm');
  await userEvent.type(field, '43');
  await userEvent.click(screen.getByRole('button', { name: 'Write it down' }));
  expect(await screen.findByText(/on that day already/)).toBeTruthy();
  expect(field.value).toBe('43');
});

test('a cut is marked for its day', async () => {
  const path = `/api/people/${HEAD.id}/cuts`;
  const { posted } = shown({}, { [`POST ${path}`]: LENGTHS });
  fireEvent.change(await screen.findByLabelText('On'), { target: { value: '2026-11-02' } });
  await userEvent.click(screen.getByRole('button', { name: 'It was cut that day' }));
  await waitFor(() => expect(posted().length).toBe(1));
  expect(posted()[0]!.body).toEqual({ day: '2026-11-02' });
});

test('a length is taken back', async () => {
  const { posted } = shown({}, { [`DELETE ${PATH}/r2`]: LENGTHS });
  await userEvent.click(await screen.findByRole('button', { name: /Take back 44 cm, back of/ }));
  await waitFor(() => expect(posted().some((s) => s.method === 'DELETE')).toBe(true));
});

test('a head that was never measured says how it is done', async () => {
  shown({ sections: [], cuts: [] });
  expect(await screen.findByText(/Nothing was measured yet/)).toBeTruthy();
});

test('without anybody there is a way to make a page', async () => {
  shown({}, { 'GET /api/people': { ...recorded['GET /api/people'], people: [] } });
  expect(await screen.findByRole('link', { name: 'Make a page for somebody' })).toBeTruthy();
});

test('an axis of lengths has few lines', () => {
  expect(steps(40, 43)).toEqual([40, 40.5, 41, 41.5, 42, 42.5, 43]);
  expect(steps(0, 300).length).toBeLessThanOrEqual(8);
});
