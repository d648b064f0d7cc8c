import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import recorded from '../../test/answers.json';
import { inKitchen, Refused } from '../../test/kitchen';
import { HandbookPage } from './HandbookPage';

const METHODS = recorded['GET /api/methods'];
const BOOK = recorded['GET /api/handbook'];

const shown = (more = {}) => inKitchen(<HandbookPage />, { ...recorded, ...more });
const found = async (words: string) => {
  await userEvent.type(await screen.findByLabelText('Find'), words);
  return screen.findByRole('region', { name: 'Answers' });
};

test('the book opens with all its parts, none of them opened', async () => {
  shown();
  expect(await screen.findByRole('heading', { name: 'Methods' })).toBeTruthy();
  const parts = ['Cautions', 'How long it keeps', 'Materials', 'Numbers of the model'];
  for (const part of parts) expect(screen.getByRole('region', { name: part })).toBeTruthy();
  expect(document.querySelectorAll('details[open]')).toHaveLength(0);
  const [, shownOf] = /^(\d+) of \1 entries$/.exec(screen.getByRole('status').textContent)!;
  expect(Number(shownOf)).toBeGreaterThan(METHODS.length + BOOK.cautions.length);
});

test('what answers best stands first and open; the rest stays in its place', async () => {
  shown();
  const answers = await found(METHODS[0]!.name);
  expect(answers.querySelectorAll('details[open]').length).toBeGreaterThan(0);
  expect(answers.querySelectorAll('details').length).toBeLessThanOrEqual(3);
  expect(within(answers).getAllByText(METHODS[0]!.name).length).toBeGreaterThan(0);
});

test('a method tells its steps, what goes wrong, and the second use', async () => {
  shown();
  const answers = await found(METHODS[0]!.name);
  const entry = within(answers.querySelector<HTMLElement>(`#method-${METHODS[0]!.method}`)!);
  expect(entry.getByText('What goes wrong')).toBeTruthy();
  for (const mistake of METHODS[0]!.mistakes) expect(entry.getByText(mistake)).toBeTruthy();
  expect(entry.getByRole('link', { name: 'A formula of this method' }).getAttribute('href')).toBe(
    `/choose/${METHODS[0]!.model}`,
  );
});

test('a belief never stands there as if it were true', async () => {
  shown();
  await screen.findByRole('heading', { name: 'Methods' });
  const beliefs = screen.getByRole('region', { name: 'Beliefs that are not so' });
  for (const entry of beliefs.querySelectorAll('summary')) {
    expect(entry.textContent).toMatch(/^Not so: “/);
  }
});

test('each figure of keeping says its range and where it comes from', async () => {
  shown();
  await screen.findByRole('heading', { name: 'Methods' });
  const keeping = screen.getByRole('region', { name: 'How long it keeps' });
  const first = BOOK.keepingClasses[0]!;
  const entry = keeping.querySelector<HTMLElement>(`#keep-${first.keepingClass}`)!;
  expect(within(entry).getByText('Frozen:')).toBeTruthy();
  expect(entry.textContent).toContain('careful school');
});

test('what nothing says is said, and the rest comes back when it is cleared', async () => {
  shown();
  const find = await screen.findByLabelText('Find');
  await userEvent.type(find, 'xylophone quartz');
  expect(screen.getByRole('status').textContent).toContain('Nothing says that.');
  expect(screen.queryByRole('region', { name: 'Methods' })).toBeNull();
  await userEvent.clear(find);
  expect(await screen.findByRole('region', { name: 'Methods' })).toBeTruthy();
});

test('what did not come is told; what came can be read', async () => {
  shown({ 'GET /api/materials': new Refused(500, 'The cellar is flooded.') });
  expect(await screen.findByText('The cellar is flooded.')).toBeTruthy();
  expect(screen.getByRole('region', { name: 'Methods' })).toBeTruthy();
  expect(screen.queryByRole('region', { name: 'Materials' })).toBeNull();
});
