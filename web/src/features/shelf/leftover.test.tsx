import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { LeftoverLine } from '../../api/client';
import { inKitchen, Refused } from '../../test/kitchen';
import { LeftOver } from './LeftOver';

const HOPS: LeftoverLine = {
  id: 'h1',
  version: 0,
  batchId: 'b1',
  code: 'HJI-4',
  name: 'Hop cones, dried',
  use: 'DRY_FOR_OIL',
  words: 'Spread it to dry, then steep it in oil',
  why: 'Wet it moulds.',
  dryGrams: 20,
  wetGrams: 52.4,
  strainedAt: '2030-03-05T08:00:00Z',
  lastDay: '2030-03-05',
  over: false,
  single: true,
  outcome: 'OPEN',
};

describe('what is left over', () => {
  it('says what it is good for, and till when', async () => {
    inKitchen(<LeftOver />, { 'GET /api/leftovers': [HOPS] });
    expect(await screen.findByText(/steep it in oil, at the latest Tue 5 Mar/)).toBeTruthy();
    expect(screen.getByText(/About 52 g wet/)).toBeTruthy();
  });

  it('is compost once its day is over, and offers nothing else but drying done before', async () => {
    inKitchen(<LeftOver />, { 'GET /api/leftovers': [{ ...HOPS, over: true }] });
    expect(await screen.findByText(/Compost it: its day was Tue 5 Mar/)).toBeTruthy();
    expect(screen.queryByText('Used it')).toBeNull();
  });

  it('weighs what is dry before it goes into the stores', async () => {
    let tries = 0;
    const { posted } = inKitchen(<LeftOver />, {
      'GET /api/leftovers': [HOPS],
      'POST /api/leftovers/h1/end': () =>
        ++tries === 1
          ? new Refused(400, 'Weigh it.', [{ field: 'driedGrams', message: 'Weigh it dry.' }])
          : [{ ...HOPS, version: 1, outcome: 'DRIED' }],
    });
    await userEvent.click(await screen.findByText('It is dry'));
    await userEvent.click(screen.getByText('To the stores'));
    expect(await screen.findByText('Weigh it dry.')).toBeTruthy();
    await userEvent.type(screen.getByLabelText('It weighs dry, g'), '18');
    await userEvent.click(screen.getByText('To the stores'));
    await waitFor(() =>
      expect(posted()[1]?.body).toEqual({ version: 0, outcome: 'DRIED', driedGrams: 18 }),
    );
  });

  it('can be taken back', async () => {
    const { posted } = inKitchen(<LeftOver />, {
      'GET /api/leftovers': [HOPS],
      'POST /api/leftovers/h1/end': [{ ...HOPS, version: 1, outcome: 'COMPOSTED' }],
      'POST /api/leftovers/h1/undo': [HOPS],
    });
    await userEvent.click(await screen.findByText('Compost it'));
    await userEvent.click(await screen.findByText('Undo'));
    await waitFor(() => expect(posted()[1]?.body).toEqual({ version: 1 }));
  });

  it('takes no room where nothing is', async () => {
    const { sent } = inKitchen(<LeftOver />, {
      'GET /api/leftovers': [{ ...HOPS, outcome: 'USED' }],
    });
    await waitFor(() => expect(sent.some((s) => s.path === '/api/leftovers')).toBe(true));
    expect(screen.queryByText('Left over')).toBeNull();
  });
});
