import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { NoteRead, NoteStretch } from '../../api/client';
import recorded from '../../test/answers.json';
import { inKitchen, type Answers } from '../../test/kitchen';
import { FormulasPage } from '../formulas/FormulasPage';
import { ReadSide } from './ReadSide';
import { Settle } from './Settle';

const DEMO = recorded as Answers;
const READ = recorded['POST /api/notes/read'] as unknown as NoteRead;
const GUESS = READ.stretches.find((s) => s.certainty === 'GUESS')!;

function side(read: NoteRead, more: { stretches?: NoteStretch[]; lit?: string } = {}) {
  const told = { light: vi.fn(), method: vi.fn() };
  inKitchen(
    <ReadSide
      read={read}
      stretches={more.stretches ?? read.stretches}
      lit={more.lit}
      onLight={told.light}
      onMethod={told.method}
    />,
    DEMO,
  );
  return told;
}

describe('what was read', () => {
  it('lights up the word that a thing came from, by hand and by keys', () => {
    const told = side(READ);
    const first = document.querySelector('[data-target="line-0"]')!;
    fireEvent.pointerEnter(first);
    expect(told.light).toHaveBeenLastCalledWith('line-0');
    fireEvent.pointerLeave(first);
    expect(told.light).toHaveBeenLastCalledWith(undefined);
    fireEvent.focus(first);
    expect(told.light).toHaveBeenLastCalledWith('line-0');
    fireEvent.blur(first);
    expect(told.light).toHaveBeenLastCalledWith(undefined);
  });

  it('marks what is still a guess, and what is looked at', () => {
    side(READ, { lit: 'line-2' });
    expect(document.querySelector('[data-target="line-0"]')!.className).toContain('guessed');
    expect(document.querySelector('[data-target="line-2"]')!.className).toContain('lit');
  });

  it('says what has no amount, and what the method fills in', () => {
    side({
      ...READ,
      ingredients: [
        { material: 'honey', name: 'Honey', amount: '', measured: false },
        { material: 'water', name: 'Water', amount: '', measured: true },
      ],
      steps: [
        { words: 'Steep, covered, 3 h', filledIn: false, open: 'how long' },
        { words: 'Strain', filledIn: true, open: '' },
      ],
      newMaterials: ['Hackberry leaf, dried leaf'],
    });
    expect(screen.getByText('Left out until its amount is known.')).toBeTruthy();
    expect(screen.getByText('how much?')).toBeTruthy();
    expect(screen.getByText('not written')).toBeTruthy();
    expect(screen.getByText('how long: filled in')).toBeTruthy();
    expect(screen.getByText('filled in')).toBeTruthy();
    expect(screen.getByText(/New in this house: Hackberry/)).toBeTruthy();
  });

  it('draws no pot where there is none', async () => {
    side({ ...READ, asWritten: undefined });
    expect(await screen.findByText(/no pot of this kitchen/)).toBeTruthy();
    side({ ...READ, asWritten: undefined, formula: undefined });
    expect(await screen.findByText(/Nothing goes in yet/)).toBeTruthy();
  });

  it('takes another method', async () => {
    const told = side({
      ...READ,
      otherMethods: [{ method: 'HOT_INFUSION', words: 'Hot infusion' }],
    });
    await userEvent.selectOptions(screen.getByLabelText('It follows'), 'HOT_INFUSION');
    expect(told.method).toHaveBeenCalledWith('HOT_INFUSION');
  });
});

describe('a guess', () => {
  it('is settled by what it was taken for, or by another tap', async () => {
    const told = vi.fn();
    inKitchen(<Settle stretch={GUESS} words="2 T" onSettle={told} />, DEMO);
    await userEvent.click(screen.getByText(`Yes, ${GUESS.options[0]!.words}`));
    await userEvent.click(screen.getByText(GUESS.options[1]!.words));
    expect(told.mock.calls).toEqual([
      [GUESS.key, GUESS.options[0]!.value],
      [GUESS.key, GUESS.options[1]!.value],
    ]);
  });

  it('takes an amount that is typed', async () => {
    const told = vi.fn();
    const asked = { ...GUESS, key: 'howmuch:water#1', options: [] };
    inKitchen(<Settle stretch={asked} words="water" onSettle={told} />, DEMO);
    expect((screen.getByText('Take that').closest('button') as HTMLButtonElement).disabled).toBe(
      true,
    );
    await userEvent.type(screen.getByLabelText('Or so much'), '2 cups{Enter}');
    expect(told).toHaveBeenCalledWith('howmuch:water#1', '2 cups');
  });
});

it('is the first thing offered where there is no formula of one’s own', async () => {
  const formulas = (recorded['GET /api/formulas'] as { own: boolean }[]).map((f) => ({
    ...f,
    own: false,
  }));
  inKitchen(<FormulasPage />, { ...DEMO, 'GET /api/formulas': formulas });
  const offer = await screen.findByRole('link', { name: 'Write the note' });
  expect(offer.getAttribute('href')).toBe('/choose/note');
});
