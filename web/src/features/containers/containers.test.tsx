import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ContainerLine } from '../../api/client';
import { inKitchen, Refused } from '../../test/kitchen';
import { ContainersForm } from './ContainersForm';

const SPRAY: ContainerLine = {
  id: 'a1',
  version: 3,
  kind: 'SPRAY',
  sizeMl: 250,
  filter: false,
  owned: 4,
  full: 1,
  promised: [],
  free: 3,
  ready: 2,
  sterilisedAt: '2030-03-05T09:00:00Z',
  thickestMpas: 30,
  fillShare: 1,
};

describe('bottles and jars owned', () => {
  it('says how many are full, free and sterilised', async () => {
    inKitchen(<ContainersForm />, { 'GET /api/containers': [SPRAY] });
    expect(await screen.findByText('Spray bottle, 250 mL')).toBeTruthy();
    expect(screen.getByText(/1 filled, 3 free, 2 empty and sterilised/)).toBeTruthy();
    expect(screen.getByText(/no thicker than 30 mPa·s/)).toBeTruthy();
  });

  it('marks all free ones as sterilised with one tap', async () => {
    const { posted } = inKitchen(<ContainersForm />, {
      'GET /api/containers': [SPRAY],
      'POST /api/containers/a1/sterilised': [{ ...SPRAY, version: 4, ready: 3 }],
    });
    await userEvent.click(await screen.findByText('Sterilised now'));
    await waitFor(() => expect(posted()[0]?.body).toEqual({ version: 3, count: 3 }));
  });

  it('says at its field why a sort is refused, and keeps what was typed', async () => {
    const { posted } = inKitchen(<ContainersForm />, {
      'GET /api/containers': [],
      'POST /api/containers': new Refused(400, 'Not so.', [
        { field: 'sizeMl', message: 'One holds 5 to 5000 mL.' },
      ]),
    });
    await userEvent.type(await screen.findByLabelText('One holds, mL'), '3');
    await userEvent.click(screen.getByText('Write it down'));
    expect(await screen.findByText('One holds 5 to 5000 mL.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('One holds, mL').value).toBe('3');
    expect(posted()[0]?.body).toEqual({ kind: 'SPRAY', sizeMl: 3, owned: 1, filter: false });
  });

  it('has nothing to sterilise when all are full', async () => {
    inKitchen(<ContainersForm />, { 'GET /api/containers': [{ ...SPRAY, full: 4, free: 0 }] });
    const button = (await screen.findByText('Sterilised now')).closest('button');
    expect(button?.disabled).toBe(true);
  });
});
