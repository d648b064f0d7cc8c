import { called } from '../api/called';
import { meant, seek } from './seek';

const ENTRIES = [
  { part: 'How long it keeps', title: 'gel of seeds', text: 'Life at 5 °C, careful school 7 days' },
  { part: 'Methods', title: 'Seed gel', text: 'Gum seed boiled. Too thin: boil on. Linseed.' },
  { part: 'Beliefs', title: 'Essential oils preserve a brew.', text: 'They scent it.' },
  { part: 'Materials', title: 'Linseed', text: 'Linum usitatissimum seed' },
  { part: 'Throw it away at any age', title: 'Mould, even a speck', text: 'Whatever its date.' },
  { part: 'Sources', title: 'A table of seeds', text: 'Named by figures.' },
];
const NAMES = called([
  { id: 'linseed', name: 'Linseed, whole', kind: 'GUM_SEED', alsoCalled: ['flax', 'flaxseed'] },
]);
const first = (question: string) => seek(question, ENTRIES, NAMES)[0]?.title;

it.each([
  ['how long does seed gel keep', 'gel of seeds'],
  ['why is my gel watery?', 'Seed gel'],
  ['can I preserve with essential oil', 'Essential oils preserve a brew.'],
  ['flax', 'Linseed'],
  ['flaxseed', 'Linseed'],
  ['mold', 'Mould, even a speck'],
  ['linseed', 'Linseed'],
])('answers “%s” first with “%s”', (question, title) => {
  expect(first(question)).toBe(title);
});

it('shows all while nothing is asked, and nothing for what nobody wrote of', () => {
  expect(seek('', ENTRIES)).toHaveLength(ENTRIES.length);
  expect(seek('xylophone', ENTRIES)).toEqual([]);
  expect(seek('how long', ENTRIES)).toEqual([]);
  expect(meant('How long do the seeds keep?')).toEqual([['seed'], ['keep', 'life']]);
});
