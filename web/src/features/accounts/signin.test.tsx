import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { inKitchen, Refused } from '../../test/kitchen';
import { dropTap, keepTap, pendingTaps } from '../bench/pending';
import { SignIn } from './SignIn';

describe('the door', () => {
  beforeEach(() => pendingTaps().forEach((t) => dropTap(t.key)));

  it('tells of taps that wait for somebody to sign in', () => {
    keepTap({ key: 'a', run: 'r', path: '/p', body: {}, words: 'Steep done', who: 'fern', at: 1 });
    inKitchen(<SignIn demo={false} signUp />, {});
    expect(screen.getByRole('status').textContent).toContain('One tap waits on this device');
  });

  it('says nothing of taps when none waits', () => {
    inKitchen(<SignIn demo={false} signUp />, {});
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('says that name and password do not match, and keeps the name', async () => {
    inKitchen(<SignIn demo={false} signUp />, {
      'POST /api/session': new Refused(401, 'Name and password do not match.'),
    });
    await userEvent.type(screen.getByLabelText(/Sign-in name/), 'fern');
    await userEvent.type(screen.getByLabelText(/Password/, { selector: 'input' }), 'not this one');
    await userEvent.click(document.querySelector<HTMLElement>('button[type=submit]')!);
    expect((await screen.findByRole('alert')).textContent).toContain('do not match');
    expect(screen.getByLabelText<HTMLInputElement>(/Sign-in name/).value).toBe('fern');
  });
});
