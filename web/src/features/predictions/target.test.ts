import { expect, test } from 'vitest';
import type { FormulaView } from '../../api/client';
import { asItStands, draftPlan, draftQuestion, loadDraft, saveDraft, wantedWords } from './target';

const view = {
  formula: {
    name: 'Gel',
    method: 'SEED_GEL',
    ingredients: [],
    steps: [
      { kind: 'strain', tool: 'CLOTH', squeeze: true },
      { kind: 'cool', lid: true, celsius: 40, way: 'COUNTER' },
      { kind: 'strain', tool: 'SIEVE' },
    ],
  },
  ingredients: [
    { key: 'water', name: 'Water', plant: false },
    { key: 'linseed', name: 'Linseed', plant: true },
  ],
  variants: [{ id: 'flakes' }],
  schools: [{ id: 'gel-straining' }],
} as unknown as FormulaView;

const draft = loadDraft('nothing kept');

test('as it stands nothing is asked beyond formula and target', () => {
  expect(draftPlan('gel', draft, view)).toEqual({
    formulaId: 'gel',
    target: { kind: 'BOTTLES', count: 2, size: { value: 250, unit: 'ml' } },
    steps: [],
  });
});

test('a changed cloth and lid become changes of their own step', () => {
  const plan = draftPlan('gel', { ...draft, tools: { 2: 'PAPER' }, lids: { 1: false } }, view);
  expect(plan.changes).toHaveLength(2);
  expect(plan.changes![0]!.at).toEqual({ kind: 'cool', nth: 1 });
  expect(plan.changes![0]!.step!.lid).toBe(false);
  expect(plan.changes![1]!.at).toEqual({ kind: 'strain', nth: 2 });
  expect(plan.changes![1]!.step!.tool).toBe('PAPER');
  expect(draftPlan('gel', { ...draft, tools: { 2: 'SIEVE' } }, view).changes).toBeUndefined();
});

test('strength and ratio name the plant, thickness does not', () => {
  const of = (likeness: 'RATIO' | 'THICKNESS') =>
    draftPlan('gel', { ...draft, likeness, like: 40 }, view).make;
  expect(of('RATIO')).toEqual({ kind: 'RATIO', value: 40, ingredient: 'linseed' });
  expect(of('THICKNESS')).toEqual({ kind: 'THICKNESS', value: 40 });
});

test('remembered choices that a formula no longer offers are passed over', () => {
  const old = { ...draft, variant: 'gone', choices: { gone: 'x', 'gel-straining': 'hot-sieved' } };
  const plan = draftPlan('gel', old, view);
  expect(plan.variant).toBeUndefined();
  expect(plan.choices).toEqual({ 'gel-straining': 'hot-sieved' });
});

test('an empty field is sent as zero, so that the server says what it wants', () => {
  expect(draftPlan('gel', { ...draft, kind: 'VOLUME', ml: '' }, view).target.amount!.value).toBe(0);
});

test('a shop price is asked about only when it is whole', () => {
  expect(draftQuestion('gel', { ...draft, shopPrice: 5, shopMl: '' }, view).shopPrice).toBe(
    undefined,
  );
  expect(draftQuestion('gel', { ...draft, shopPrice: 5 }, view).shopPrice!.money).toBe(5);
});

test('choices are remembered by formula, and a broken memory is no harm', () => {
  saveDraft('gel', { ...draft, count: 7 });
  expect(loadDraft('gel').count).toBe(7);
  expect(loadDraft('other').count).toBe(2);
  localStorage.setItem('dremsa.measure.gel', '{broken');
  expect(loadDraft('gel').count).toBe(2);
});

test('back to how the formula stands keeps the amount', () => {
  const changed = { ...draft, count: 5, variant: 'flakes', lids: { 1: false } };
  expect(asItStands(changed)).toEqual({ ...draft, count: 5 });
});

test('the target is said as a sentence', () => {
  expect(wantedWords({ ...draft, count: 1 }, undefined)).toBe('One bottle of 250 mL');
  expect(wantedWords({ ...draft, kind: 'PEOPLE_USES', people: 1 }, undefined)).toBe(
    '4 uses for 1 head, 20 mL each',
  );
  expect(wantedWords({ ...draft, kind: 'AT_HAND' }, 'Linseed')).toBe(
    'As much as 12 g of linseed makes',
  );
});
