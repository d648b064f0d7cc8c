import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test, vi } from 'vitest';
import recorded from '../../test/answers.json';
import { inKitchen, Refused, type Sent } from '../../test/kitchen';
import { FormulasPage } from '../formulas/FormulasPage';
import { ForWhom } from './ForWhom';
import { HeadsOfBottle } from './HeadsOfBottle';
import { PersonForm } from './PersonForm';
import { PersonPage } from './PersonPage';
import { RoutineForm } from './RoutineForm';
import { grave, hairWords, half } from './words';
import type { PersonPage as Page } from '../../api/client';

const PAGE = recorded['GET /api/people/7'] as unknown as Page;
const ID = PAGE.person.id;
const last = (posted: Sent[]) => posted[posted.length - 1]!;

test.each([
  [0, '0'],
  [0.5, '½'],
  [1, '1'],
  [1.5, '1½'],
])('%s of a limit is said as %s', (n, words) => {
  expect(half(n)).toBe(words);
});

test('hair is said in a line, as far as it is told', () => {
  const bare = { ...PAGE.person, age: 'grown up', hair: {}, shrinkage: undefined, up: false };
  expect(hairWords(bare)).toBe('grown up');
  expect(
    hairWords({
      ...bare,
      hair: { pattern: 'CURLY', density: 'DENSE', stretchedCm: 64, worn: { style: 'CORNROWS' } },
      shrinkage: 0.25,
      up: true,
    }),
  ).toBe('grown up · curly, thick hair, 64 cm, falls 25 % shorter, in cornrows');
});

test('what is only to be minded is not grave', () => {
  const limits = PAGE.suits.flatMap((s) => s.limits);
  expect(grave(limits).length).toBeLessThan(limits.length);
  expect(grave(limits).every((l) => l.weight !== 'MIND')).toBe(true);
});

test('somebody new is told by a name alone, with the usual routine', async () => {
  const { posted } = inKitchen(<PersonForm />, { ...recorded, 'POST /api/people': PAGE });
  await userEvent.type(screen.getByLabelText(/^Name/), 'Una');
  await userEvent.click(screen.getByRole('button', { name: 'Make the page' }));
  await screen.findByText('another screen');
  expect(last(posted()).body).toEqual({ name: 'Una', hair: { unsuited: [] }, usual: true });
});

test('what is told of hair goes along, and what is struck', async () => {
  const { posted } = inKitchen(<PersonForm />, { ...recorded, 'POST /api/people': PAGE });
  await userEvent.type(screen.getByLabelText(/^Name/), 'Una');
  await userEvent.selectOptions(screen.getByLabelText('How does it fall?'), 'Curly');
  await userEvent.selectOptions(screen.getByLabelText(/^How far does it come/), 'To the waist');
  await userEvent.click(screen.getByText('What must not come on this head'));
  await userEvent.click(screen.getByLabelText('Nut oils'));
  await userEvent.click(screen.getByLabelText(/^Coloured, grey or light/));
  await userEvent.click(screen.getByRole('button', { name: 'Make the page' }));
  await screen.findByText('another screen');
  expect(last(posted()).body).toMatchObject({
    hair: {
      pattern: 'CURLY',
      reaches: 'WAIST',
      light: true,
      unsuited: [{ family: 'NUT_OILS' }],
    },
  });
});

test('what cannot be is said at its field, and nothing typed is lost', async () => {
  inKitchen(<PersonForm />, {
    ...recorded,
    'POST /api/people': new Refused(400, 'Nobody is 200 years old.', [
      { field: 'hair.born', message: 'Nobody is 200 years old.' },
    ]),
  });
  await userEvent.type(screen.getByLabelText(/^Name/), 'Una');
  await userEvent.click(screen.getByText('Measured lengths'));
  await userEvent.type(screen.getByLabelText('Born in'), '1826');
  await userEvent.click(screen.getByRole('button', { name: 'Make the page' }));
  expect((await screen.findAllByText('Nobody is 200 years old.')).length).toBeGreaterThan(0);
  expect(screen.getByLabelText(/^Name/)).toHaveValue('Una');
});

test('three looks vote, and the vote is taken', async () => {
  const { posted } = inKitchen(<PersonForm />, {
    ...recorded,
    'POST /api/people': PAGE,
    'GET /api/porosity?spray=BEADS_STAY': { porosity: 'UNSURE', words: 'not sure' },
    'GET /api/porosity?spray=BEADS_STAY&drying=OVER_6_H': { porosity: 'LOW', words: 'low' },
  });
  await userEvent.type(screen.getByLabelText(/^Name/), 'Una');
  await userEvent.click(screen.getByText('Find the porosity out'));
  await userEvent.selectOptions(screen.getByLabelText(/^Spray water/), 'The beads stay');
  expect(await screen.findByText('Not sure', { selector: 'b' })).toBeVisible();
  await userEvent.selectOptions(screen.getByLabelText(/^In the air/), 'More than 6 hours');
  await screen.findByText('Low', { selector: 'b' });
  await userEvent.click(screen.getByRole('button', { name: 'Take it' }));
  await userEvent.click(screen.getByRole('button', { name: 'Make the page' }));
  await screen.findByText('another screen');
  expect(last(posted()).body).toMatchObject({ hair: { porosity: 'LOW' } });
});

test('a routine is changed: days, places, something bought', async () => {
  const { posted } = inKitchen(<RoutineForm page={PAGE} />, {
    ...recorded,
    'POST /api/repeats': { words: 'Sundays', days: ['2030-03-10'] },
    [`PUT /api/people/${ID}/routine`]: PAGE,
  });
  expect((await screen.findAllByText(/next Sun 10 Mar/)).length).toBeGreaterThan(0);
  await userEvent.click(screen.getAllByLabelText('Fri')[0]!);
  await userEvent.click(screen.getByRole('button', { name: 'Leave place 1 out' }));
  await userEvent.click(screen.getByRole('button', { name: 'One more thing to do' }));
  await userEvent.click(screen.getByRole('button', { name: 'Keep the routine' }));
  await screen.findByText('another screen');
  const body = last(posted()).body as { version: number; routine: Page['routine'] };
  expect(body.version).toBe(PAGE.person.version);
  const before = PAGE.routine.occasions[0]!;
  const after = body.routine.occasions[0]!;
  expect(after.repeat.rule).toContain('FR');
  expect(after.slots).toHaveLength(before.slots.length);
  expect(after.slots[0]).toEqual(before.slots[1]);
  expect(after.slots.at(-1)).toEqual({ kind: 'LEAVE_IN', choices: [] });
});

test('a rule that never comes round is said at its occasion', async () => {
  inKitchen(<RoutineForm page={PAGE} />, {
    ...recorded,
    'POST /api/repeats': { words: 'Sundays', days: [] },
    [`PUT /api/people/${ID}/routine`]: new Refused(400, 'By this rule it never comes round.', [
      {
        field: 'routine.occasions[0].repeat.rule',
        message: 'By this rule it never comes round.',
      },
    ]),
  });
  await userEvent.click(screen.getByRole('button', { name: 'Keep the routine' }));
  expect(await screen.findByText('By this rule it never comes round.')).toBeVisible();
});

test('a page tells what this head bears, what suits, and what was used', async () => {
  inKitchen(<PersonPage />, recorded);
  expect(await screen.findByText('Protein')).toBeVisible();
  for (const s of PAGE.suits) {
    expect(screen.getAllByText(s.name).length).toBeGreaterThan(0);
  }
  const not = PAGE.suits.find((s) => !s.well)!;
  expect(screen.getAllByText(grave(not.limits)[0]!.title.toLowerCase()).length).toBe(1);
  expect(screen.getByText(PAGE.ifItReacts)).toBeVisible();
});

test('a test on the arm is settled with the version that was seen', async () => {
  const open = PAGE.tests.find((t) => !t.result)!;
  const { posted } = inKitchen(<PersonPage />, {
    ...recorded,
    [`PUT /api/people/${ID}/tests/${open.id}`]: PAGE,
  });
  await userEvent.click(await screen.findByRole('button', { name: 'Nothing to see' }));
  await waitFor(() =>
    expect(last(posted()).body).toEqual({ version: open.version, result: 'NOTHING' }),
  );
});

test('nobody is deleted by one tap', async () => {
  const { posted } = inKitchen(<PersonPage />, {
    ...recorded,
    [`DELETE /api/people/${ID}?version=${PAGE.person.version}`]: { today: '', people: [] },
  });
  await userEvent.click(
    await screen.findByRole('button', { name: `Take ${PAGE.person.name} away` }),
  );
  expect(posted()).toHaveLength(0);
  await userEvent.click(screen.getByRole('button', { name: 'Delete all of it' }));
  await waitFor(() => expect(last(posted()).method).toBe('DELETE'));
});

test('a bottle says whose head it is for and whose not, and why', async () => {
  const people = recorded['GET /api/people'].people;
  const limit = grave(PAGE.suits.flatMap((s) => s.limits))[0]!;
  inKitchen(<HeadsOfBottle bottle="7" />, {
    ...recorded,
    'GET /api/bottles/7/heads': [
      { person: people[0]!.id, name: 'Maeve', slot: 'RINSE', well: false, limits: [limit] },
      { person: people[1]!.id, name: 'Idris', slot: 'RINSE', well: true, limits: [] },
    ],
  });
  const lines = await screen.findAllByRole('listitem');
  expect(within(lines[0]!).getByText(limit.what, { exact: false })).toBeVisible();
  expect(await screen.findByText('fine as rinse')).toBeVisible();
});

test('the doses of those who are chosen make the amount, in tens upwards', async () => {
  const amount = vi.fn();
  inKitchen(<ForWhom formula="7" onAmount={amount} />, {
    ...recorded,
    'GET /api/formulas/7/wanted': [
      {
        person: 'a',
        name: 'Ada',
        day: '2030-03-10',
        occasionName: 'Wash day',
        slot: 'STYLER',
        millilitres: 52,
      },
      {
        person: 'b',
        name: 'Bo',
        day: '2030-03-10',
        occasionName: 'Wash day',
        slot: 'STYLER',
        millilitres: 21,
      },
    ],
  });
  await userEvent.click(await screen.findByLabelText(/Ada, 52 mL/));
  expect(amount).toHaveBeenLastCalledWith(60);
  await userEvent.click(screen.getByLabelText(/Bo, 21 mL/));
  expect(amount).toHaveBeenLastCalledWith(80);
});

test('formulas that are not for a head stand last, with the reason', async () => {
  const people = recorded['GET /api/people'].people;
  const formulas = recorded['GET /api/formulas'];
  const limit = grave(PAGE.suits.flatMap((s) => s.limits))[0]!;
  inKitchen(<FormulasPage />, {
    ...recorded,
    [`GET /api/people/${people[0]!.id}/formulas`]: [
      { formula: formulas[0]!.id, well: false, limits: [limit] },
    ],
  });
  await userEvent.selectOptions(await screen.findByLabelText('Whose head'), people[0]!.name);
  expect(await screen.findByText(limit.what)).toBeVisible();
  const names = screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent);
  expect(names.at(-1)).toContain(formulas[0]!.name);
});
