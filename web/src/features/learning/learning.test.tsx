import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Calibration } from '../../api/client';
import recorded from '../../test/answers.json';
import { inKitchen } from '../../test/kitchen';
import { TaughtPage } from './TaughtPage';
import { mostOften, share, ticks } from './words';

const CALIBRATION = recorded['GET /api/calibration'] as unknown as Calibration;
const shown = (view: Partial<Calibration> = {}, more = {}) =>
  inKitchen(<TaughtPage />, {
    ...recorded,
    'GET /api/calibration': { ...CALIBRATION, ...view },
    ...more,
  });

test('how well the kitchen is foretold, figure by figure', async () => {
  shown();
  expect(await screen.findByRole('heading', { name: 'What your kitchen taught' })).toBeTruthy();
  expect(screen.getByText(CALIBRATION.words)).toBeTruthy();
  for (const told of CALIBRATION.figures.filter((f) => f.told)) {
    expect(screen.getByText(told.words)).toBeTruthy();
  }
  expect(screen.getByText(/Evaporation factor.*stays as it was believed to be/)).toBeTruthy();
});

test('what was brewed most often is shown first, all of it on demand', async () => {
  shown();
  const name = mostOften(CALIBRATION.batches);
  const choice = await screen.findByLabelText<HTMLSelectElement>('Of what');
  expect(choice.value).toBe(name);
  const rows = () => document.querySelectorAll('tbody tr').length;
  expect(rows()).toBe(CALIBRATION.batches.filter((b) => b.name === name).length);
  await userEvent.selectOptions(choice, '');
  expect(rows()).toBe(CALIBRATION.batches.length);
});

test('a figure is put back and used again', async () => {
  const first = CALIBRATION.figures.find((f) => f.told)!;
  const back = {
    ...CALIBRATION,
    figures: CALIBRATION.figures.map((f) => (f === first ? { ...f, inUse: false } : f)),
  };
  const { posted } = shown({}, { 'PUT /api/calibration/figures': back });
  await userEvent.click(await screen.findByRole('button', { name: `Put back: ${first.words}` }));
  await waitFor(() =>
    expect(posted().some((s) => s.path === '/api/calibration/figures')).toBe(true),
  );
  const sent = posted().find((s) => s.path === '/api/calibration/figures')!;
  expect(sent.body).toEqual({ knob: first.knob, inUse: false });
});

test('a batch that looks mistyped is asked about', async () => {
  const asked = CALIBRATION.batches.find((b) => b.standing === 'ASKED')!;
  const path = `PUT /api/calibration/batches/${asked.id}`;
  const { posted } = shown({}, { [path]: CALIBRATION });
  expect(await screen.findByText(/was it mistyped/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Leave it out' }));
  await waitFor(() => expect(posted().some((s) => s.method === 'PUT')).toBe(true));
  expect(posted().find((s) => s.method === 'PUT')!.body).toEqual({ counts: false });
});

test('what was left out can count again', async () => {
  shown({
    batches: CALIBRATION.batches.map((b) => ({ ...b, standing: 'LEFT_OUT' as const })),
  });
  expect((await screen.findAllByText(/It is left out/)).length).toBe(CALIBRATION.batches.length);
  expect(screen.queryByRole('button', { name: 'Leave it out' })).toBeNull();
});

test('long work says how far it is', async () => {
  shown({ state: 'RUNNING', done: 120, total: 500 });
  expect(await screen.findByText('Looked at 120 of 500 batches')).toBeTruthy();
  const bar = screen.getByRole<HTMLProgressElement>('progressbar', { name: 'Working it out' });
  expect(bar.value).toBeCloseTo(0.24);
  expect(screen.queryByRole('button', { name: 'Work it out anew' })).toBeNull();
});

test('a kitchen that was never weighed says how it begins', async () => {
  shown({ state: undefined, batches: [], figures: [], words: '' });
  expect(await screen.findByText('Your kitchen has taught nothing yet')).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Choose what to brew' })).toBeTruthy();
});

test('work that failed can be asked for anew', async () => {
  const { posted } = shown({ state: 'FAILED' }, { 'POST /api/calibration': CALIBRATION });
  expect(await screen.findByText('It could not be worked out.')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Work it out anew' }));
  await waitFor(() => expect(posted().some((s) => s.path === '/api/calibration')).toBe(true));
});

test('an axis has few lines, and nothing lies at its middle', () => {
  expect(ticks(-0.05, 0.05)).toContain(0);
  expect(ticks(-0.4, 0.9).length).toBeLessThanOrEqual(9);
  const batch = { ...CALIBRATION.batches[0]!, uncalibrated: 200 };
  expect(share(batch, 180)).toBeCloseTo(-0.1);
});
