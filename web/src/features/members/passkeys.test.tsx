import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { passkeyPlace } from '../../kit/passkey';
import { inKitchen, Refused, type Answers } from '../../test/kitchen';
import { SignIn } from '../accounts/SignIn';
import { Passkeys } from './Passkeys';

const PHONE = {
  id: 'abc',
  label: 'Chrome on Android, localhost',
  madeAt: '2030-03-01T10:00:00Z',
  usedAt: '2030-03-04T10:00:00Z',
};
const MINE = '/api/session/passkeys';

/** A browser that keeps passkeys; what its device answers. */
function keepsPasskeys(answer: () => Promise<unknown>) {
  const read = (options: unknown) => ({ read: options });
  vi.stubGlobal('PublicKeyCredential', {
    parseCreationOptionsFromJSON: read,
    parseRequestOptionsFromJSON: read,
  });
  vi.stubGlobal('isSecureContext', true);
  const credentials = { create: vi.fn(answer), get: vi.fn(answer) };
  vi.stubGlobal('navigator', { ...navigator, credentials });
  return credentials;
}

const broken = (name: string) => () => Promise.reject(new DOMException('no', name));
const answers = () => Promise.resolve({ toJSON: () => ({ id: 'abc' }) });
const asked = { [`POST ${MINE}/options`]: { challenge: 'c' } };

async function make(sent: Answers = {}) {
  const view = inKitchen(<Passkeys />, { [`GET ${MINE}`]: [], ...asked, ...sent });
  await userEvent.type(
    await screen.findByLabelText(/Your password/, { selector: 'input' }),
    'correct horse',
  );
  await userEvent.click(screen.getByText('Make a passkey on this device'));
  return view;
}

afterEach(() => vi.unstubAllGlobals());

describe('a place for passkeys', () => {
  it('is a name, not an address, in a browser that knows them', () => {
    expect(passkeyPlace('localhost')).toBe('not by this browser');
    keepsPasskeys(answers);
    expect(passkeyPlace('localhost')).toBe('here');
    expect(passkeyPlace('dremsa.home.arpa')).toBe('here');
    expect(passkeyPlace('127.0.0.1')).toBe('not by an address');
    expect(passkeyPlace('[::1]')).toBe('not by an address');
  });

  it('is told where there is none', async () => {
    inKitchen(<Passkeys />, { [`GET ${MINE}`]: [PHONE] });
    expect(await screen.findByText(/This browser makes none here/)).toBeTruthy();
    expect(screen.queryByText('Make a passkey on this device')).toBeNull();
    expect(await screen.findByText(/Chrome on Android, localhost/)).toBeTruthy();
  });
});

describe('making a passkey', () => {
  it('proves the password, asks the device what the server asks, and hands its answer on', async () => {
    const device = keepsPasskeys(answers);
    const { posted } = await make({ [`POST ${MINE}`]: [PHONE] });
    expect(await screen.findByText(/Chrome on Android, localhost/)).toBeTruthy();
    expect(device.create).toHaveBeenCalledWith({ publicKey: { read: { challenge: 'c' } } });
    expect(posted().map((s) => s.body)).toEqual([
      { password: 'correct horse' },
      { credential: { id: 'abc' } },
    ]);
  });

  it('says at its field that the password is wrong, and asks no device', async () => {
    const device = keepsPasskeys(answers);
    await make({
      [`POST ${MINE}/options`]: new Refused(400, 'no', [
        { field: 'password', message: 'This is not the password.' },
      ]),
    });
    expect(await screen.findByText('This is not the password.')).toBeTruthy();
    expect(device.create).not.toHaveBeenCalled();
  });

  it.each([
    ['InvalidStateError', /holds a passkey of yours already/],
    ['NotAllowedError', /broken off, or took too long/],
    ['SecurityError', /could not do it/],
  ])('says in words what the device said: %s', async (name, words) => {
    keepsPasskeys(broken(name));
    const { posted } = await make();
    expect((await screen.findByRole('alert')).textContent).toMatch(words);
    expect(posted()).toHaveLength(1);
  });

  it('takes one away', async () => {
    const { posted } = inKitchen(<Passkeys />, {
      [`GET ${MINE}`]: [PHONE],
      [`DELETE ${MINE}/abc`]: {},
    });
    await userEvent.click(await screen.findByText('Take away'));
    await waitFor(() => expect(posted().map((s) => s.path)).toEqual([`${MINE}/abc`]));
  });
});

describe('the door', () => {
  const door = <SignIn demo={false} signUp={false} />;

  it('is opened by a passkey where there can be one', async () => {
    const device = keepsPasskeys(answers);
    const { posted } = inKitchen(door, {
      'POST /api/session/passkey/options': { challenge: 'd' },
      'POST /api/session/passkey': {},
    });
    await userEvent.click(screen.getByText('With a passkey'));
    await waitFor(() => expect(posted()).toHaveLength(2));
    expect(device.get).toHaveBeenCalledWith({ publicKey: { read: { challenge: 'd' } } });
  });

  it('says when it is not known, or was broken off', async () => {
    keepsPasskeys(broken('NotAllowedError'));
    inKitchen(door, { 'POST /api/session/passkey/options': { challenge: 'd' } });
    await userEvent.click(screen.getByText('With a passkey'));
    expect((await screen.findByRole('alert')).textContent).toMatch(/broken off/);
  });

  it('offers none where browsers refuse them', () => {
    inKitchen(door, {});
    expect(screen.queryByText('With a passkey')).toBeNull();
  });
});
