import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import type { NoteRead, NoteStretch } from '../../api/client';
import { called } from '../../api/called';
import { inKitchen, Refused, type Answers } from '../../test/kitchen';
import answers from '../../test/answers.json';
import { AsNote } from './AsNote';
import { NotePage } from './NotePage';
import { pieces } from './NoteText';
import { at, standing, targetOf } from './useNote';

const DEMO = answers as Answers;
const READ = DEMO['POST /api/notes/read'] as NoteRead;
const SETTLED: NoteRead = {
  ...READ,
  guesses: 0,
  stretches: READ.stretches.map((s) =>
    s.certainty === 'GUESS' ? { ...s, certainty: 'READ' as const } : s,
  ),
};
const NOTE =
  "Nan's rosemary water\n2 T dried sage, a handful of rosemary\n500 ml water\nBring the water to a boil, add the herbs, cover and simmer 12 min. Let it cool, strain through muslin into a spray bottle.\nKeeps a month in the fridge. Spray on damp hair, plonk.";
const stretch = (from: number, to: number, more: Partial<NoteStretch> = {}): NoteStretch => ({
  from,
  to,
  certainty: 'READ',
  about: 'MATERIAL',
  target: 0,
  taken: 'Sage',
  key: '',
  options: [],
  ...more,
});

beforeEach(() => localStorage.clear());

async function typed(read: NoteRead | ((sent: { body: unknown }) => NoteRead) = READ) {
  const { sent } = inKitchen(<NotePage />, { ...DEMO, 'POST /api/notes/read': read });
  const area = screen.getByLabelText('The note');
  await userEvent.click(area);
  await userEvent.paste(NOTE);
  await screen.findByRole('heading', { name: READ.name });
  return sent;
}

describe('where the words lie', () => {
  it('parts the text into what was taken for something and what stands between', () => {
    const all = pieces('2 T sage, water', [stretch(0, 3), stretch(4, 8)]);
    expect(all.map((p) => p.text)).toEqual(['2 T', ' ', 'sage', ', water']);
    expect(all.map((p) => Boolean(p.stretch))).toEqual([true, false, true, false]);
    expect(pieces('', [])).toEqual([]);
  });

  it('keeps the marks up to where the text was changed', () => {
    const read = { ...READ, stretches: [stretch(0, 3), stretch(4, 8)] };
    expect(standing(read, '2 T sage', '2 T sage')).toHaveLength(2);
    expect(standing(read, '2 T sage', '2 T mint')).toHaveLength(1);
    expect(standing(read, '2 T sage', '')).toHaveLength(0);
  });

  it('finds the word at a place, and what it is about', () => {
    const all = [stretch(0, 3, { about: 'STEP', target: 2 }), stretch(4, 8)];
    expect(at(all, 2)).toBe(all[0]);
    expect(at(all, 20)).toBeUndefined();
    expect(targetOf(all[0]!)).toBe('step-2');
    expect(targetOf(all[1]!)).toBe('line-0');
    expect(targetOf(stretch(0, 1, { target: -1 }))).toBeUndefined();
  });
});

describe('a note', () => {
  it('says what grows there before a word is written', () => {
    inKitchen(<NotePage />, DEMO);
    expect(screen.getByText(/grows here from the first line on/)).toBeTruthy();
    expect(screen.queryByText('Brew it for two bottles')).toBeNull();
  });

  it('shows what was read: what goes in, how it goes, the pot and the date', async () => {
    await typed();
    expect(screen.getByText('Sage leaf, dried')).toBeTruthy();
    expect(await screen.findByText(/Good through/)).toBeTruthy();
    expect(await screen.findByText(/Written: Keeps a month/)).toBeTruthy();
    expect(screen.getByText(/Simmer, lid on/)).toBeTruthy();
    expect(screen.getByText(/Stays beside it/).textContent).toContain('Spray on damp hair');
    expect(document.querySelectorAll('.note-word.guess')).toHaveLength(READ.guesses);
  });

  it('asks about a guess, and a tap settles it', async () => {
    const first = READ.stretches.find((s) => s.certainty === 'GUESS')!;
    const sent = await typed((asked) =>
      Object.keys((asked.body as { answers: object }).answers).length > 0 ? SETTLED : READ,
    );
    const words = NOTE.slice(first.from, first.to);
    const settle = await screen.findByRole('region', { name: `What ${words} means` });
    expect(
      (screen.getByText('Brew it for two bottles').closest('button') as HTMLButtonElement).disabled,
    ).toBe(true);
    await userEvent.click(within(settle).getByText(`Yes, ${first.options[0]!.words}`));
    await screen.findByText('All of it is settled.');
    const last = sent.filter((s) => s.path === '/api/notes/read').at(-1)!;
    expect((last.body as { answers: Record<string, string> }).answers).toEqual({
      [first.key]: first.options[0]!.value,
    });
  });

  it('is brewed in one tap once all is settled, and the note is put away', async () => {
    localStorage.setItem('dremsa.note', JSON.stringify({ text: NOTE, answers: { 'a:b#1': 'c' } }));
    const { sent } = inKitchen(<NotePage />, {
      ...DEMO,
      'POST /api/notes/read': SETTLED,
      'POST /api/notes': { id: 'own-1' },
    });
    const brew = await screen.findByRole('button', { name: 'Brew it for two bottles' });
    await waitFor(() => expect((brew as HTMLButtonElement).disabled).toBe(false));
    await userEvent.type(screen.getByLabelText('Call it'), 'Our rinse');
    await userEvent.click(brew);
    await waitFor(() => expect(localStorage.getItem('dremsa.note')).toContain('"text":""'));
    expect(sent.find((s) => s.path === '/api/notes')!.body).toEqual({
      note: { text: NOTE, answers: { 'a:b#1': 'c' } },
      name: 'Our rinse',
    });
  });

  it('keeps what was not read beside the formula, and says so when it is touched', async () => {
    const odd = { ...SETTLED, stretches: [stretch(0, 5, { certainty: 'UNREAD', target: -1 })] };
    await typed(odd);
    expect(document.querySelectorAll('.note-word.unread')).toHaveLength(1);
    const area = screen.getByLabelText('The note') as HTMLTextAreaElement;
    area.setSelectionRange(2, 2);
    await userEvent.keyboard('{Shift}');
    expect(await screen.findByText(/was not read; it stays beside/)).toBeTruthy();
  });

  it('is still there after a reload, and comes back when it was cleared', async () => {
    await typed();
    expect(JSON.parse(localStorage.getItem('dremsa.note')!)).toMatchObject({ text: NOTE });
    await userEvent.click(screen.getByText('Begin with an empty note'));
    expect((screen.getByLabelText('The note') as HTMLTextAreaElement).value).toBe('');
    await userEvent.click(await screen.findByText('Undo'));
    expect((screen.getByLabelText('The note') as HTMLTextAreaElement).value).toBe(NOTE);
  });

  it('says when it could not be read, and keeps what was typed', async () => {
    inKitchen(<NotePage />, {
      ...DEMO,
      'POST /api/notes/read': new Refused(500, 'The cellar is flooded.'),
    });
    await userEvent.click(screen.getByLabelText('The note'));
    await userEvent.paste('2 tbsp sage');
    expect(await screen.findByText(/The cellar is flooded/)).toBeTruthy();
    expect((screen.getByLabelText('The note') as HTMLTextAreaElement).value).toBe('2 tbsp sage');
  });

  it('tells the words of the house, and forgets one', async () => {
    const { sent } = inKitchen(<NotePage />, {
      ...DEMO,
      'DELETE /api/notes/words?word=measure%3AT': null,
    });
    await userEvent.click(await screen.findByText('Words of this house'));
    await userEvent.click(screen.getByRole('button', { name: 'Forget T' }));
    await waitFor(() => expect(sent.some((s) => s.method === 'DELETE')).toBe(true));
  });
});

describe('a formula as a note', () => {
  it('is copied in one tap', async () => {
    const user = userEvent.setup();
    inKitchen(<AsNote id="7" name="Gel" />, DEMO);
    const text = (await screen.findByLabelText('The formula as a note')) as HTMLTextAreaElement;
    expect(text.value).toContain('Method: Seed gel');
    await user.click(screen.getByText('Copy it'));
    expect(await screen.findByText('Copied')).toBeTruthy();
    expect(await navigator.clipboard.readText()).toBe(text.value);
  });
});

describe('what a word is called here', () => {
  const names = called([
    { id: 'linseed', name: 'Linseed, whole', kind: 'GUM_SEED', alsoCalled: ['flax', 'alsi'] },
    { id: 'okra', name: 'Okra pods, fresh', kind: 'FRESH_PLANT', alsoCalled: ["lady's finger"] },
  ]);

  it.each([
    ['flax', ['flax', 'linseed']],
    ['fla', ['fla', 'linseed']],
    ['finger', ['finger', 'okra']],
    ['fl', ['fl']],
    ['lax', ['lax']],
    ['a.b(', ['a.b(']],
  ])('%s', (word, all) => expect(names(word)).toEqual(all));
});
