import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { inKitchen } from '../../test/kitchen';
import { PastClimates } from './PastClimates';

const SETTINGS = [
  { id: 'a', from: null, roomC: 21, fridgeC: 5, freezerC: -18 },
  { id: 'b', from: '2030-03-04T00:00:00Z', roomC: 21, fridgeC: 12, freezerC: -18 },
];

describe('how warm the places were', () => {
  it('tells each setting with its day, and takes back all but the first', async () => {
    const { posted } = inKitchen(<PastClimates />, {
      'GET /api/kitchen/climates': SETTINGS,
      'DELETE /api/kitchen/climates/b': {},
    });
    await userEvent.click(await screen.findByText('Settings so far: 2'));
    expect(document.body.textContent).toContain('before: room 21 °C, fridge 5 °C');
    expect(document.body.textContent).toContain('fridge 12 °C');
    const back = screen.getAllByRole('button', { name: 'Take back' });
    expect(back).toHaveLength(1);
    await userEvent.click(back[0]!);
    await waitFor(() =>
      expect(posted().map((sent) => `${sent.method} ${sent.path}`)).toEqual([
        'DELETE /api/kitchen/climates/b',
      ]),
    );
  });

  it('says from when on a change counts while there was none', async () => {
    inKitchen(<PastClimates />, { 'GET /api/kitchen/climates': [] });
    expect(await screen.findByText(/from the day on which you change it/)).toBeTruthy();
  });
});
