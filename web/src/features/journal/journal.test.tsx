import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Journal } from '../../api/client';
import recorded from '../../test/answers.json';
import run from '../../test/run.json';
import { inKitchen, Refused } from '../../test/kitchen';
import { CausesPage } from '../faults/CausesPage';
import { BatchStory } from './BatchStory';
import { CoursesPage } from './CoursesPage';
import { JournalPages } from './JournalPages';
import { VersusPage } from './VersusPage';

const JOURNAL = recorded['GET /api/journal'] as unknown as Journal;
const COURSES = recorded['GET /api/courses'];

test('something is written down with scores and what else was going on', async () => {
  const { posted } = inKitchen(<JournalPages />, {
    ...recorded,
    'POST /api/journal': { id: 'e1' },
  });
  const form = await screen.findByRole('form', { name: 'Write something down' });
  await userEvent.type(within(form).getByLabelText('In your words'), 'Soft');
  await userEvent.selectOptions(within(form).getByLabelText('Score something'), 'SLIP');
  const slip = within(form).getByRole('group', { name: 'slip' });
  await userEvent.click(within(slip).getByRole('button', { name: '4' }));
  await userEvent.selectOptions(within(form).getByLabelText('Score something'), 'DETANGLING');
  await userEvent.type(within(form).getByRole('textbox', { name: 'detangling, minutes' }), '12');
  await userEvent.click(within(form).getByRole('button', { name: 'stress' }));
  await userEvent.click(within(form).getByRole('button', { name: 'Write it down' }));
  await waitFor(() => expect(posted()).toHaveLength(1));
  expect(posted()[0]!.body).toEqual({
    day: JOURNAL.today,
    words: 'Soft',
    scores: { SLIP: 4, DETANGLING: 12 },
    beside: ['STRESS'],
  });
  // What was kept is gone from the form.
  await waitFor(() =>
    expect(within(form).getByLabelText('In your words')).toHaveProperty('value', ''),
  );
});

test('a score outside its scale is refused at its field, and nothing typed is lost', async () => {
  inKitchen(<JournalPages />, {
    ...recorded,
    'POST /api/journal': new Refused(400, 'Not kept.', [
      { field: 'scores.DETANGLING', message: 'This is scored from 0 to 600.' },
    ]),
  });
  const form = await screen.findByRole('form', { name: 'Write something down' });
  await userEvent.selectOptions(within(form).getByLabelText('Score something'), 'DETANGLING');
  await userEvent.type(within(form).getByRole('textbox', { name: 'detangling, minutes' }), '900');
  await userEvent.click(within(form).getByRole('button', { name: 'Write it down' }));
  expect(await screen.findByText('This is scored from 0 to 600.')).toBeTruthy();
  expect(within(form).getByRole('textbox', { name: 'detangling, minutes' })).toHaveProperty(
    'value',
    '900',
  );
});

test('an entry is taken away', async () => {
  const entry = JOURNAL.pages.flatMap((p) => p.entries)[0]!;
  const { posted } = inKitchen(<JournalPages />, {
    ...recorded,
    [`DELETE /api/journal/${entry.id}`]: { id: entry.id },
  });
  await userEvent.click((await screen.findAllByRole('button', { name: 'Take away' }))[0]!);
  await waitFor(() => expect(posted()[0]!.method).toBe('DELETE'));
});

test('a day on a head has photos; one is added, one taken out', async () => {
  const page = JOURNAL.pages.find((p) => p.kind === 'HEAD')!;
  const { posted } = inKitchen(<JournalPages />, {
    ...recorded,
    'GET /api/journal': {
      ...JOURNAL,
      pages: [{ ...page, photos: [{ id: 'p1', caption: '' }] }],
    },
    'DELETE /api/journal/photos/p1': { id: 'p1' },
    [`POST /api/people/${page.person}/days/${page.day}/photos?caption=`]: { id: 'p2' },
  });
  expect(await screen.findByAltText('Photo 1 of that day')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Take photo 1 out' }));
  await waitFor(() => expect(posted()).toHaveLength(1));
  const file = document.querySelector<HTMLInputElement>('input[type=file]')!;
  await userEvent.upload(file, new File(['x'], 'head.png', { type: 'image/png' }));
  await waitFor(() => expect(posted()).toHaveLength(2));
  expect(posted().map((s) => s.method)).toEqual(['DELETE', 'POST']);
});

test('a day on a head is judged for that head and that day', async () => {
  const page = JOURNAL.pages.find((p) => p.kind === 'HEAD')!;
  const { posted } = inKitchen(<JournalPages />, {
    ...recorded,
    'GET /api/journal': { ...JOURNAL, pages: [page] },
    'POST /api/journal': { id: 'e1' },
  });
  await userEvent.click(await screen.findByRole('button', { name: `How was it, ${page.title}?` }));
  const form = screen.getAllByRole('form', { name: 'Write something down' })[0]!;
  await userEvent.type(within(form).getByLabelText('In your words'), 'Light');
  await userEvent.click(within(form).getByRole('button', { name: 'Write it down' }));
  await waitFor(() => expect(posted()).toHaveLength(1));
  expect(posted()[0]!.body).toMatchObject({ person: page.person, day: page.day, words: 'Light' });
});

test('earlier pages are a tap away, and the way back', async () => {
  const until = JOURNAL.earlier!;
  const { sent } = inKitchen(<JournalPages />, {
    ...recorded,
    [`GET /api/journal?until=${until}`]: { ...JOURNAL, pages: [], earlier: undefined },
  });
  await userEvent.click(await screen.findByRole('button', { name: 'Earlier' }));
  expect(await screen.findByText(/Nothing was brewed, used or written down here/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Earlier' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Back to today' }));
  expect(await screen.findByRole('button', { name: 'Earlier' })).toBeTruthy();
  expect(sent.filter((s) => s.path.includes('until='))).toHaveLength(1);
});

test('words are sought once they are typed, and what is not there is said', async () => {
  const { sent } = inKitchen(<JournalPages />, {
    ...recorded,
    'GET /api/journal?words=spoon': { ...JOURNAL, pages: [], earlier: undefined },
  });
  await userEvent.type(await screen.findByLabelText('Find'), 'spoon');
  expect(await screen.findByText('Nothing says that.')).toBeTruthy();
  // Not once a letter.
  expect(sent.filter((s) => s.path.includes('words=')).length).toBeLessThan(3);
  expect(screen.getByRole('link', { name: 'All of it as CSV' }).getAttribute('href')).toBe(
    '/api/tables/journal.csv',
  );
});

test('of a formula its scores are drawn over time with their mean', async () => {
  inKitchen(<JournalPages />, recorded);
  await screen.findByRole('option', { name: 'Linseed styling gel' });
  await userEvent.selectOptions(screen.getByLabelText('Of which formula'), 'linseed-gel');
  const line = await screen.findByRole('img', { name: /^Hold: \d+ times, on average/ });
  expect(line.querySelectorAll('circle').length).toBeGreaterThan(3);
});

test('a batch’s story stands on one page, with its photos', async () => {
  const { posted } = inKitchen(<BatchStory />, {
    ...recorded,
    'GET /api/batches/7': {
      ...run,
      id: '7',
      photos: [{ id: 'p1', step: 0, caption: 'The froth', at: '2026-11-20T10:00:00Z' }],
    },
    'GET /api/batches/7/journal': JOURNAL.pages.flatMap((p) => p.entries).slice(0, 1),
    'POST /api/journal': { id: 'e1' },
  });
  expect((await screen.findByAltText('The froth')).getAttribute('src')).toBe(
    '/api/batches/7/photos/p1',
  );
  expect(screen.getByRole('heading', { name: 'Step by step' })).toBeTruthy();
  const form = await screen.findByRole('form', { name: 'Write something down' });
  await userEvent.type(within(form).getByLabelText('In your words'), 'Good');
  await userEvent.selectOptions(within(form).getByLabelText('How thick is it, cold?'), 'GEL');
  await userEvent.click(within(form).getByRole('button', { name: 'Write it down' }));
  await waitFor(() =>
    expect(posted()[0]!.body).toMatchObject({ batch: '7', words: 'Good', thickness: 'GEL' }),
  );
});

test('a course says what was kept up and what can be told; what else changed is said', async () => {
  const birch = COURSES.courses.find((c) => c.formula === 'birch-sage-decoction')!;
  const { posted } = inKitchen(<CoursesPage />, {
    ...recorded,
    [`PUT /api/courses/${birch.id}`]: COURSES,
    'POST /api/courses': new Refused(400, 'No.', [
      { field: 'everyDays', message: 'That is longer than the course.' },
    ]),
  });
  const course = await screen.findByRole('region', { name: 'Birch and sage decoction, Idris' });
  expect(within(course).getByRole('img', { name: /^Used on \d+ of \d+ days/ })).toBeTruthy();
  await userEvent.click(within(course).getByRole('button', { name: 'stress' }));
  await waitFor(() => expect(posted()).toHaveLength(1));
  expect(posted()[0]!.body).toMatchObject({ version: birch.version, over: false });
  const form = screen.getByRole('form', { name: 'Begin a course' });
  await userEvent.selectOptions(within(form).getByLabelText('Of which brew'), 'linseed-gel');
  await userEvent.click(within(form).getByRole('button', { name: 'Begin' }));
  expect(await screen.findByText('That is longer than the course.')).toBeTruthy();
});

test('two are chosen side by side, and what can be told stands below', async () => {
  inKitchen(<VersusPage />, {
    ...recorded,
    'GET /api/waste?months=12': { formulas: [], months: [] },
    'GET /api/versus?left=linseed-gel&right=linseed-gel': new Refused(
      400,
      'Choose two that are not the same.',
    ),
  });
  expect(await screen.findByText(/Choose two formulas for one purpose/)).toBeTruthy();
  await userEvent.selectOptions(await screen.findByLabelText('This'), 'linseed-gel');
  await userEvent.selectOptions(screen.getByLabelText('And this'), 'linseed-gel');
  expect(await screen.findByText('Choose two that are not the same.')).toBeTruthy();
});

const OWN = recorded['GET /api/formulas/own-1'];
const VERSUS = recorded['GET /api/versus?left=own-1&right=own-1&leftVersion=1&rightVersion=2'];

/** The household's own spray, its first version beside its second. */
async function bothVersions(more = {}) {
  const view = inKitchen(<VersusPage />, {
    ...recorded,
    'GET /api/formulas': [
      ...recorded['GET /api/formulas'],
      { ...recorded['GET /api/formulas'][0], id: 'own-1', name: OWN.formula.name },
    ],
    'GET /api/waste?months=12': {
      months: [],
      formulas: [{ formulaId: 'own-1', name: '', brewedMl: 1000, thrownMl: 250 }],
    },
    'GET /api/versus?left=own-1&right=own-1&leftVersion=1': VERSUS,
    ...more,
  });
  await screen.findAllByRole('option', { name: OWN.formula.name });
  await userEvent.selectOptions(screen.getByLabelText('This'), 'own-1');
  await userEvent.selectOptions(await screen.findByLabelText('This: which version'), 'own-1@1');
  await userEvent.selectOptions(screen.getByLabelText('And this'), 'own-1');
  await userEvent.selectOptions(await screen.findByLabelText('And this: which version'), 'own-1@2');
  return view;
}

test('two versions stand side by side: foretold, measured, judged', async () => {
  await bothVersions();
  const table = await screen.findByRole('table');
  const row = (name: string) => within(table).getByRole('row', { name: new RegExp(`^${name}`) });
  expect(within(row('Measured')).getAllByText(/% \(.*\) of what was foretold/)).toHaveLength(2);
  expect(within(row('Thrown away in a year')).getAllByText(/250 mL of 1000 mL/)).toHaveLength(2);
  expect(row('Softness').querySelectorAll('svg.mean-bar circle')).toHaveLength(2);
  const told = screen.getByRole('region', { name: 'What can be told' });
  const settled = VERSUS.judged.find((j) => j.settled)!;
  expect(within(told).getByText(settled.words).tagName).toBe('B');
});

test('the better version is kept in one tap', async () => {
  const { posted } = await bothVersions({
    'PUT /api/formulas/own-1': { id: 'own-1', version: 9, formula: OWN.formula },
  });
  await userEvent.click(await screen.findByRole('button', { name: /^Keep this one: .*version 1/ }));
  await waitFor(() => expect(posted().some((s) => s.method === 'PUT')).toBe(true));
  const kept = OWN.kept.find((k) => k.number === 1)!;
  expect(posted().find((s) => s.method === 'PUT')!.body).toEqual({
    formula: kept.formula,
    version: OWN.version,
  });
});

test('what is wrong is asked of the model, and told with its cure', async () => {
  inKitchen(<CausesPage />, recorded);
  await screen.findByRole('option', { name: 'Linseed styling gel' });
  await userEvent.selectOptions(screen.getByLabelText(/Or with which formula/), 'linseed-gel');
  await userEvent.click(screen.getByRole('button', { name: 'Too thin' }));
  const best = await screen.findByRole('region', { name: 'What explains it best' });
  const causes = recorded['GET /api/causes?symptom=TOO_THIN&formula=linseed-gel'].causes;
  expect(within(best).getAllByRole('listitem')).toHaveLength(causes.length);
  expect(within(best).getByText(causes[0]!.words)).toBeTruthy();
  expect(screen.getByRole('region', { name: 'The usual causes' })).toBeTruthy();
});
