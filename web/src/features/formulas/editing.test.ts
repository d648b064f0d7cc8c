import { describe, expect, test } from 'vitest';
import type { Formula, FormulaLine, StoreLine } from '../../api/client';
import { called } from '../../api/called';
import { moved, newStep, withoutIngredient, withStep } from './draft';
import { answers, missing, NOTHING } from './finder';
import { begin, change, redo, undo } from './history';
import { STEP_KINDS } from './words';

const formula: Formula = {
  name: 'Rinse',
  method: 'DECOCTION',
  ingredients: [
    { key: 'water', material: 'water', parts: 1000 },
    { key: 'sage', material: 'sage', parts: 20 },
  ],
  steps: [
    { kind: 'combine', vessel: 'POT', liquid: 'ROOM', ingredients: ['water', 'sage'] },
    { kind: 'wash', ingredients: ['sage'] },
    { kind: 'bottle', container: 'JAR' },
  ],
};

describe('undo and redo', () => {
  test('go back and forth over whole states', () => {
    let line = begin('a');
    line = change(line, 'b', '');
    line = change(line, 'c', '');
    line = undo(line);
    expect(line.present).toBe('b');
    line = undo(undo(line));
    expect(line.present).toBe('a');
    line = redo(line);
    expect(line.present).toBe('b');
    line = change(line, 'd', '');
    expect(redo(line).present).toBe('d');
  });

  test('take what is typed into one field back in one step', () => {
    let line = begin('');
    for (const typed of ['S', 'Sa', 'Sag', 'Sage']) line = change(line, typed, 'name');
    line = change(line, 'Sage!', 'about');
    line = change(line, 'Sage!!', 'about');
    line = undo(line);
    expect(line.present).toBe('Sage');
    expect(undo(line).present).toBe('');
  });

  test('keep no more than they need', () => {
    let line = begin(0);
    for (let i = 1; i <= 1000; i++) line = change(line, i, '');
    expect(line.past.length).toBe(200);
    expect(line.present).toBe(1000);
  });
});

describe('changing a formula', () => {
  test('moves a step to another place and never out of the list', () => {
    expect(moved(['a', 'b', 'c'], 0, 2)).toEqual(['b', 'c', 'a']);
    expect(moved(['a', 'b', 'c'], 2, 0)).toEqual(['c', 'a', 'b']);
    expect(moved(['a', 'b', 'c'], 1, 99)).toEqual(['a', 'c', 'b']);
  });

  test('leaves every other step alone', () => {
    const next = withStep(formula, 2, { container: 'SPRAY' });
    expect(next.steps[2]!.container).toBe('SPRAY');
    expect(next.steps[0]).toBe(formula.steps[0]);
    expect(formula.steps[2]!.container).toBe('JAR');
  });

  test('takes an ingredient out of every step, and steps that were for it alone', () => {
    const next = withoutIngredient(formula, 'sage');
    expect(next.ingredients.map((i) => i.key)).toEqual(['water']);
    expect(next.steps.map((s) => s.kind)).toEqual(['combine', 'bottle']);
    expect(next.steps[0]!.ingredients).toEqual(['water']);
  });

  test.each(STEP_KINDS)('a new step of $value says what it needs', ({ value }) => {
    const step = newStep(value, formula);
    expect(step.kind).toBe(value);
    expect(step.guide).toBeDefined();
    if (step.window) {
      expect(step.window.shortest).toBeLessThanOrEqual(step.window.usual!);
      expect(step.window.usual).toBeLessThanOrEqual(step.window.longest!);
    }
  });
});

describe('finding a formula', () => {
  const line = {
    name: 'Sage rinse',
    method: 'Decoction',
    methodId: 'DECOCTION',
    about: '',
    ingredients: ['Water', 'Sage leaf'],
    materials: ['water', 'sage', 'brew:linseed-gel'],
    purposeIds: ['RINSE'],
    usualMinutes: 90,
    needs: [{ need: 'OILY_SCALP', words: 'oily scalp', variant: '' }],
  } as unknown as FormulaLine;
  const stores = (grams: number) => [{ material: 'sage', leftGrams: grams }] as StoreLine[];

  test('by words in any order, by need, use, method and time', () => {
    expect(answers(line, { ...NOTHING, words: 'rinse sage' }, [], called([]))).toBe(true);
    expect(answers(line, { ...NOTHING, words: 'hop' }, [], called([]))).toBe(false);
    expect(
      answers(line, { ...NOTHING, need: 'OILY_SCALP', purpose: 'RINSE' }, [], called([])),
    ).toBe(true);
    expect(answers(line, { ...NOTHING, need: 'FLAKES' }, [], called([]))).toBe(false);
    expect(answers(line, { ...NOTHING, method: 'SEED_GEL' }, [], called([]))).toBe(false);
    expect(answers(line, { ...NOTHING, within: '45' }, [], called([]))).toBe(false);
    expect(answers(line, { ...NOTHING, within: '120' }, [], called([]))).toBe(true);
  });

  test('by what the stores have; water and brews are never missing there', () => {
    expect(missing(line, stores(5))).toEqual([]);
    expect(missing(line, stores(0))).toEqual(['sage']);
    expect(answers(line, { ...NOTHING, atHand: true }, stores(0), called([]))).toBe(false);
    expect(answers(line, { ...NOTHING, atHand: true }, stores(5), called([]))).toBe(true);
  });
});
