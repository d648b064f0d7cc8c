import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { inKitchen, Refused, SESSION, type Answers } from '../../test/kitchen';
import { Keepers, Helpers } from '../../kit/role';
import { AuditLines } from './AuditLines';
import { CodesPage } from './CodesPage';
import { DeleteHousehold } from './DeleteHousehold';
import { Invite } from './Invite';
import { JoinPage } from './JoinPage';
import { People } from './People';
import { RecoverPage } from './RecoverPage';
import { YouPage } from './YouPage';

const FERN = {
  id: 'f',
  signIn: 'fern',
  called: 'Fern',
  role: 'KEEPER',
  since: '2030-01-02T10:00:00Z',
  me: true,
};
const ROWAN = { ...FERN, id: 'r', signIn: 'rowan', called: 'Rowan', role: 'HELPER', me: false };
const OPEN = { id: 'i', role: 'HELPER', by: 'Fern', until: '2030-03-06T10:00:00Z' };
const MADE = {
  id: 'i',
  code: 'ABCD-EFGH-JKMN',
  link: 'http://127.0.0.1:8080/join#ABCD-EFGH-JKMN',
  reachable: false,
  size: 29,
  path: 'M4 4h7v1h-7z',
  until: OPEN.until,
  open: [OPEN],
};

const HOUSEHOLD: Answers = { 'GET /api/members': [FERN, ROWAN], 'GET /api/invitations': [] };

const signedInAs = (role: string) => ({ 'GET /api/session': { ...SESSION, role } });

describe('who signs in', () => {
  it('is listed with what each may do, and oneself is marked', async () => {
    inKitchen(<People />, HOUSEHOLD);
    expect((await screen.findByText('Fern')).closest('li')!.textContent).toContain('(you)');
    expect(screen.getByText('Rowan').closest('li')!.textContent).toContain(
      'helper, signs in as rowan',
    );
    expect(screen.getByLabelText('What Rowan may do')).toBeTruthy();
  });

  it('is taken away only after a second tap that says what follows', async () => {
    const { posted } = inKitchen(<People />, {
      ...HOUSEHOLD,
      'DELETE /api/members/r': [FERN],
    });
    const row = (await screen.findByText('Rowan')).closest('li')!;
    await userEvent.click(within(row).getByText('Take away'));
    expect(posted()).toEqual([]);
    expect(row.textContent).toContain('signed out everywhere at once');
    await userEvent.click(within(row).getByText('Leave it'));
    expect(posted()).toEqual([]);
    await userEvent.click(within(row).getByText('Take away'));
    await userEvent.click(within(row).getByText('Take Rowan away'));
    await waitFor(() => expect(screen.queryByText('Rowan')).toBeNull());
    expect(posted().map((s) => `${s.method} ${s.path}`)).toEqual(['DELETE /api/members/r']);
  });

  it('may do something else from a choice, and the server’s no stands beside it', async () => {
    inKitchen(<People />, {
      ...HOUSEHOLD,
      'PUT /api/members/f': new Refused(409, 'A household needs a keeper.'),
      'PUT /api/members/r': [FERN, { ...ROWAN, role: 'GUEST' }],
    });
    await userEvent.selectOptions(await screen.findByLabelText('What Fern may do'), 'GUEST');
    expect((await screen.findByRole('alert')).textContent).toBe('A household needs a keeper.');
    await userEvent.selectOptions(screen.getByLabelText('What Rowan may do'), 'GUEST');
    await waitFor(() =>
      expect(screen.getByText('Rowan').closest('li')!.textContent).toContain('guest, signs in'),
    );
  });

  it('is only looked at by a helper', async () => {
    inKitchen(<People />, { ...HOUSEHOLD, ...signedInAs('HELPER') });
    expect(await screen.findByText(/A keeper invites people/)).toBeTruthy();
    expect(screen.queryByText('Take away')).toBeNull();
    expect(screen.queryByText('Make an invitation')).toBeNull();
  });
});

describe('an invitation', () => {
  it('shows its code, its picture and that a phone cannot reach this machine', async () => {
    const { posted } = inKitchen(<Invite />, { ...HOUSEHOLD, 'POST /api/invitations': MADE });
    await userEvent.click(screen.getByText('Make an invitation'));
    expect(await screen.findByText('ABCD-EFGH-JKMN')).toBeTruthy();
    expect(posted()[0]!.body).toEqual({ role: 'HELPER', hours: 24 });
    expect(document.querySelector('.invitation path')!.getAttribute('d')).toBe(MADE.path);
    expect(screen.getByText(/answers on this machine only/)).toBeTruthy();
    expect(screen.getByText(/for a helper, by Fern/)).toBeTruthy();
  });

  it('is for another role and time as it was chosen', async () => {
    const { posted } = inKitchen(<Invite />, {
      ...HOUSEHOLD,
      'POST /api/invitations': { ...MADE, reachable: true },
    });
    await userEvent.click(screen.getByText('a guest'));
    expect(screen.getByText(/A guest may: look at the bench/)).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('Good for'), '1');
    await userEvent.click(screen.getByText('Make an invitation'));
    await screen.findByText('ABCD-EFGH-JKMN');
    expect(posted()[0]!.body).toEqual({ role: 'GUEST', hours: 1 });
    expect(screen.queryByText(/answers on this machine only/)).toBeNull();
  });

  it('is taken back, and its code is shown no more', async () => {
    inKitchen(<Invite />, {
      ...HOUSEHOLD,
      'POST /api/invitations': MADE,
      'DELETE /api/invitations/i': [],
    });
    await userEvent.click(screen.getByText('Make an invitation'));
    await userEvent.click(await screen.findByText('Take back'));
    await waitFor(() => expect(screen.queryByText('ABCD-EFGH-JKMN')).toBeNull());
    expect(screen.queryByText('Open invitations')).toBeNull();
  });
});

describe('coming in', () => {
  const INVITED = {
    household: 'Sallow Lane',
    by: 'Fern',
    role: 'HELPER',
    until: OPEN.until,
  };
  const nobody = { 'GET /api/session': { ...SESSION, signIn: null, called: null, role: null } };

  it('says what the code opens before it asks for a name', async () => {
    const { posted } = inKitchen(<JoinPage />, {
      ...nobody,
      'POST /api/joining/look': INVITED,
      'POST /api/joining': {},
    });
    await userEvent.type(screen.getByLabelText(/The code of your invitation/), 'abcd efgh jkmn');
    await userEvent.click(screen.getByText('Go on'));
    expect(await screen.findByText('Come in to Sallow Lane')).toBeTruthy();
    expect(screen.getByText(/Fern invites you as a helper/)).toBeTruthy();
    await userEvent.type(screen.getByLabelText(/What the others call you/), 'Rowan');
    await userEvent.type(screen.getByLabelText(/Your sign-in name/), 'rowan');
    await userEvent.type(
      screen.getByLabelText(/A password/, { selector: 'input' }),
      'plum jam and rain',
    );
    await userEvent.click(screen.getByText('Come in'));
    expect(await screen.findByText('another screen')).toBeTruthy();
    expect(posted()[1]!.body).toEqual({
      code: 'abcd efgh jkmn',
      called: 'Rowan',
      signIn: 'rowan',
      password: 'plum jam and rain',
    });
  });

  it('says at the code that it opens nothing', async () => {
    inKitchen(<JoinPage />, {
      ...nobody,
      'POST /api/joining/look': new Refused(400, 'no', [
        { field: 'code', message: 'This code opens nothing.' },
      ]),
    });
    await userEvent.type(screen.getByLabelText(/The code of your invitation/), 'xxxx');
    await userEvent.click(screen.getByText('Go on'));
    expect(await screen.findByText('This code opens nothing.')).toBeTruthy();
    expect(screen.queryByLabelText(/What the others call you/)).toBeNull();
  });

  it('keeps what was typed when a name is taken, and says it there', async () => {
    inKitchen(<JoinPage />, {
      ...nobody,
      'POST /api/joining/look': INVITED,
      'POST /api/joining': new Refused(400, 'no', [
        { field: 'called', message: 'Somebody in this household is called that.' },
      ]),
    });
    await userEvent.type(screen.getByLabelText(/The code of your invitation/), 'abcd');
    await userEvent.click(screen.getByText('Go on'));
    await userEvent.type(await screen.findByLabelText(/What the others call you/), 'Fern');
    await userEvent.type(screen.getByLabelText(/Your sign-in name/), 'rowan');
    await userEvent.type(screen.getByLabelText(/A password/, { selector: 'input' }), 'plum jam');
    await userEvent.click(screen.getByText('Come in'));
    expect(await screen.findByText('Somebody in this household is called that.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>(/Your sign-in name/).value).toBe('rowan');
  });

  it('warns whoever is signed in as somebody else', () => {
    inKitchen(<JoinPage />, {});
    expect(screen.getByText(/You are signed in as Fern/)).toBeTruthy();
  });
});

describe('a forgotten password', () => {
  it('is replaced with a code, and a wrong one is said at its field', async () => {
    let refused = true;
    const { posted } = inKitchen(<RecoverPage />, {
      'POST /api/session/recovery': () =>
        refused
          ? new Refused(400, 'no', [{ field: 'code', message: 'This is no code of this name.' }])
          : {},
    });
    await userEvent.type(screen.getByLabelText(/Sign-in name/), 'fern');
    await userEvent.type(screen.getByLabelText(/One of your recovery codes/), 'abcd');
    await userEvent.type(
      screen.getByLabelText(/New password/, { selector: 'input' }),
      'kettle violet',
    );
    await userEvent.click(screen.getByText('Set it and come in'));
    expect(await screen.findByText('This is no code of this name.')).toBeTruthy();
    refused = false;
    await userEvent.click(screen.getByText('Set it and come in'));
    expect(await screen.findByText('another screen')).toBeTruthy();
    expect(posted()).toHaveLength(2);
  });

  it('is prepared for with codes that are shown once', async () => {
    inKitchen(<CodesPage />, {
      'GET /api/session/recovery-codes': { left: 0 },
      'POST /api/session/recovery-codes': { codes: ['AAAA-BBBB-CCCC', 'DDDD-EEEE-FFFF'] },
    });
    await userEvent.type(
      screen.getByLabelText(/Your password/, { selector: 'input' }),
      'correct horse',
    );
    await userEvent.click(screen.getByText('Show the codes'));
    expect(await screen.findByText('AAAA-BBBB-CCCC')).toBeTruthy();
    expect(screen.getByText('Print them')).toBeTruthy();
    expect(document.body.textContent).toContain('Tuesday 5 March 2030');
  });
});

describe('you', () => {
  const DEVICES = [
    { id: 'a', called: 'Firefox on Linux', since: OPEN.until, used: OPEN.until, here: true },
    { id: 'b', called: 'Chrome on Android', since: OPEN.until, used: OPEN.until, here: false },
  ];
  const ANSWERS: Answers = {
    'GET /api/session/devices': DEVICES,
    'GET /api/session/passkeys': [],
    'GET /api/session/recovery-codes': { left: 7, madeAt: OPEN.until },
  };

  it('lists devices and signs one out', async () => {
    const { posted } = inKitchen(<YouPage />, {
      ...ANSWERS,
      'DELETE /api/session/devices/b': {},
    });
    expect(await screen.findByText('Chrome on Android')).toBeTruthy();
    expect(screen.getByText('Firefox on Linux').closest('li')!.textContent).toContain('this one');
    expect(await screen.findByText('7 left')).toBeTruthy();
    await userEvent.click(screen.getByText('Sign out there'));
    await waitFor(() => expect(posted().map((s) => s.path)).toEqual(['/api/session/devices/b']));
  });

  it('signs all others out in one tap', async () => {
    const { posted } = inKitchen(<YouPage />, { ...ANSWERS, 'DELETE /api/session/devices': {} });
    await userEvent.click(await screen.findByText('Sign out on all others'));
    await waitFor(() => expect(posted()).toHaveLength(1));
  });

  it('warns while there are no codes', async () => {
    inKitchen(<YouPage />, { ...ANSWERS, 'GET /api/session/recovery-codes': { left: 0 } });
    expect(await screen.findByText(/none: a forgotten password/)).toBeTruthy();
  });

  it('leaves only with the password, and the only keeper not at all', async () => {
    inKitchen(<YouPage />, {
      ...ANSWERS,
      'POST /api/members/me/leave': new Refused(409, 'A household needs a keeper.'),
    });
    await userEvent.type(
      screen.getByLabelText(/Your password/, { selector: 'input' }),
      'correct horse',
    );
    await userEvent.click(screen.getByText('Delete my sign-in'));
    expect((await screen.findByRole('alert')).textContent).toBe('A household needs a keeper.');
  });

  it('takes another name and says when somebody has it', async () => {
    inKitchen(<YouPage />, {
      ...ANSWERS,
      'PUT /api/members/me': new Refused(400, 'no', [
        { field: 'called', message: 'Somebody in this household is called that.' },
      ]),
    });
    const field = screen.getByLabelText('Name');
    await userEvent.clear(field);
    await userEvent.type(field, 'Rowan');
    await userEvent.click(screen.getByText('Keep it'));
    expect(await screen.findByText('Somebody in this household is called that.')).toBeTruthy();
  });
});

describe('what keepers alone see', () => {
  it('is who came in, with wrong passwords marked, and earlier lines on asking', async () => {
    const line = (id: number, what: string) => ({
      id,
      at: OPEN.until,
      what,
      who: 'fern',
      address: '127.0.0.1',
      about: '',
    });
    inKitchen(<AuditLines />, {
      'GET /api/audit': [...Array(40).keys()].map((i) => line(100 - i, 'SIGNED_IN')),
      'GET /api/audit?before=61': [line(60, 'WRONG_PASSWORD')],
    });
    await userEvent.click(await screen.findByText('Earlier'));
    const wrong = await screen.findByText(/was tried with a wrong password/);
    expect(wrong.className).toBe('caution');
    expect(screen.queryByText('Earlier')).toBeNull();
  });

  it('is the end of the household, with a last backup offered first', async () => {
    const { posted } = inKitchen(<DeleteHousehold name="Sallow Lane" />, {
      'POST /api/household/end': new Refused(400, 'no', [
        { field: 'password', message: 'This is not the password as it is now.' },
      ]),
    });
    expect(screen.getByText('Everything in one file').closest('a')!.getAttribute('href')).toBe(
      '/api/backup.zip',
    );
    await userEvent.type(screen.getByLabelText(/Your password/, { selector: 'input' }), 'x');
    await userEvent.click(screen.getByText('Delete Sallow Lane'));
    expect(await screen.findByText('This is not the password as it is now.')).toBeTruthy();
    expect(posted()).toHaveLength(1);
  });
});

describe('looking on', () => {
  const part = (
    <>
      <Keepers>
        <button>change the kitchen</button>
      </Keepers>
      <Helpers>
        <button>done with the step</button>
      </Helpers>
    </>
  );
  const rests = (name: string) => screen.getByText<HTMLButtonElement>(name).matches(':disabled');

  it.each([
    ['KEEPER', false, false],
    ['HELPER', true, false],
    ['GUEST', false, true],
  ])('as a %s', (role, kitchen, step) => {
    inKitchen(part, signedInAs(role));
    expect(rests('change the kitchen')).toBe(kitchen);
    expect(rests('done with the step')).toBe(step);
  });
});
