import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import recorded from '../../test/answers.json';
import { inKitchen, Refused, type Answers } from '../../test/kitchen';
import { StoresPage } from './StoresPage';

const STORES = recorded['GET /api/stores'];
const FENNEL = STORES.materials.find((m) => m.material === 'fennel-seed')!;
const LOT = FENNEL.lots[0]!;

async function opened(more: Answers = {}) {
  const view = inKitchen(<StoresPage />, { ...recorded, ...more });
  await userEvent.click(await screen.findByText(FENNEL.name));
  return view;
}
const grams = () => screen.getByLabelText(`Grams of the ${FENNEL.name} got ${LOT.gotOn}`);
/** The part of the page that tells of one lot. */
const lot = () => within(grams().closest<HTMLElement>('.lot')!);

test('what is on hand says how much, how old, and from where', async () => {
  await opened();
  expect(lot().getByText(/485 g|484.74 g|480 g/)).toBeTruthy();
  expect(lot().getByText(/bought/)).toBeTruthy();
});

test('some is taken out, and put back by undoing', async () => {
  const after = {
    ...STORES,
    materials: STORES.materials.map((m) =>
      m.material === 'fennel-seed' ? { ...m, lots: [{ ...LOT, version: LOT.version + 1 }] } : m,
    ),
  };
  const { posted } = await opened({
    [`POST /api/lots/${LOT.id}/take`]: after,
    [`POST /api/lots/${LOT.id}/undo`]: STORES,
  });
  await userEvent.type(grams(), '40');
  await userEvent.click(lot().getByRole('button', { name: 'Take out' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(posted()).toHaveLength(2));
  expect(posted()[0]!.body).toEqual({ version: LOT.version, amount: { value: 40, unit: 'g' } });
  // The undoing knows the version that the taking made.
  expect(posted()[1]!.body).toEqual({ version: LOT.version + 1 });
});

test('what the scale says replaces what was reckoned', async () => {
  const { posted } = await opened({ [`POST /api/lots/${LOT.id}/weigh`]: STORES });
  await userEvent.type(grams(), '300');
  await userEvent.click(lot().getByRole('button', { name: 'It weighs that' }));
  await waitFor(() => expect(posted()).toHaveLength(1));
  expect(posted()[0]!.body).toEqual({ version: LOT.version, amount: { value: 300, unit: 'g' } });
});

test('more than there is is refused at its field, and stays typed', async () => {
  await opened({
    [`POST /api/lots/${LOT.id}/take`]: new Refused(400, 'Not taken.', [
      { field: 'amount.value', message: 'There are 484 g of it.' },
    ]),
  });
  await userEvent.type(grams(), '9000');
  await userEvent.click(lot().getByRole('button', { name: 'Take out' }));
  expect(await lot().findByText('There are 484 g of it.')).toBeTruthy();
  expect(grams()).toHaveProperty('value', '9000');
});

test('a floor is set for a material, and a lot is put right', async () => {
  const { posted } = await opened({
    'PUT /api/stores/fennel-seed/minimum': STORES,
    [`PUT /api/lots/${LOT.id}`]: STORES,
  });
  const line = within(screen.getByText(FENNEL.name).closest('details')!);
  await userEvent.type(line.getByLabelText('Have at least, g'), '100');
  await userEvent.click(line.getByRole('button', { name: 'Tell me below that' }));
  await userEvent.click(lot().getByText('Put right'));
  await userEvent.clear(lot().getByLabelText('Where it stands'));
  await userEvent.type(lot().getByLabelText('Where it stands'), 'top shelf');
  await userEvent.click(lot().getByRole('button', { name: 'Keep that' }));
  await waitFor(() => expect(posted()).toHaveLength(2));
  expect(posted()[0]!.body).toEqual({ grams: 100 });
  expect(posted()[1]!.body).toMatchObject({
    version: LOT.version,
    gotOn: LOT.gotOn,
    place: 'top shelf',
  });
});

test('what is used up is ended with a way back', async () => {
  const { posted } = await opened({
    [`POST /api/lots/${LOT.id}/end`]: STORES,
    [`POST /api/lots/${LOT.id}/undo`]: new Refused(409, 'Somebody was quicker.'),
  });
  await userEvent.click(lot().getByRole('button', { name: 'Used up' }));
  expect(await screen.findByText(`${FENNEL.name} is used up`)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
  expect(await screen.findByText('Somebody was quicker.')).toBeTruthy();
  expect(posted()).toHaveLength(2);
});

test('empty stores say what they are good for', async () => {
  inKitchen(<StoresPage />, {
    ...recorded,
    'GET /api/stores': { ...STORES, materials: [], season: [] },
  });
  expect(await screen.findByText('The stores are empty')).toBeTruthy();
  expect(screen.queryByText('Worth harvesting now')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Put something in' }));
  expect(screen.queryByText('The stores are empty')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Not now' }));
  expect(screen.getByText('The stores are empty')).toBeTruthy();
});
