import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it, vi } from 'vitest';
import type { NoteRead } from '../../api/client';
import recorded from '../../test/answers.json';
import { inKitchen, Refused } from '../../test/kitchen';
import { InWords } from './InWords';

const READ = recorded['POST /api/notes/read'] as unknown as NoteRead;

async function said(read: NoteRead | Refused, words = '3 bunches of dried sage') {
  const told = vi.fn();
  inKitchen(<InWords onRead={told} />, { 'POST /api/notes/read': read });
  await userEvent.type(screen.getByLabelText('In words'), `${words}{Enter}`);
  return told;
}

it('fills in what and how much', async () => {
  const told = await said({ ...READ, guesses: 0 });
  await screen.findByText('2 T, Sage leaf, dried');
  const first = READ.formula!.ingredients[0]!;
  expect(told).toHaveBeenCalledWith('sage', Number(first.parts!.toPrecision(4)));
});

it('asks back where it is a guess', async () => {
  await said(READ);
  expect(await screen.findByText(/is that right\?/)).toBeTruthy();
});

it('says what it wants where nothing could be read', async () => {
  const told = await said({ ...READ, ingredients: [] }, 'hello');
  expect(await screen.findByText(/such as 200 g dried sage/)).toBeTruthy();
  expect(told).not.toHaveBeenCalled();
});

it('makes no new material by the way', async () => {
  const told = await said({ ...READ, newMaterials: ['Hackberry leaf'] });
  expect(await screen.findByText(/Write it down under Materials first/)).toBeTruthy();
  expect(told).not.toHaveBeenCalled();
});

it('says what went wrong, and keeps what was typed', async () => {
  await said(new Refused(500, 'The cellar is flooded.'));
  expect(await screen.findByText('The cellar is flooded.')).toBeTruthy();
  expect((screen.getByLabelText('In words') as HTMLInputElement).value).toBe(
    '3 bunches of dried sage',
  );
});
