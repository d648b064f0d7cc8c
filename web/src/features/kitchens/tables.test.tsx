import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { inKitchen, Refused, type Answers } from '../../test/kitchen';
import { BackupForm } from './BackupForm';
import { TablesForm } from './TablesForm';
import type { Import } from './useImport';

const SEEN: Import = {
  id: 't',
  table: 'batches',
  state: 'LOOKED',
  lines: 3,
  done: 3,
  taken: 2,
  there: 1,
  leftOut: 0,
  left: [],
  wrong: [],
  unknown: ['mood'],
};

const file = new File(['code,name\nA-1,Balm\n'], 'mine.csv', { type: 'text/csv' });

async function choose() {
  const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
  await userEvent.upload(input, file);
}

/** A server that holds one table, and does with it what it is told. */
function holding(first: Import | undefined, more: Answers = {}) {
  let held = first;
  const say = (next: Import) => () => (held = next);
  return {
    answers: { 'GET /api/imports': () => (held ? [held] : []), ...more } as Answers,
    say,
  };
}

describe('tables read in', () => {
  it('shows what a file would do before it does it', async () => {
    const { answers, say } = holding(undefined);
    const { posted } = inKitchen(<TablesForm />, {
      ...answers,
      'POST /api/imports?table=batches': say(SEEN),
      'POST /api/imports/t/take': say({ ...SEEN, state: 'DONE' }),
    });
    await choose();
    expect(await screen.findByText('2 of 3 lines of batches are new.')).toBeTruthy();
    expect(screen.getByText(/1 stand there already/)).toBeTruthy();
    expect(screen.getByText(/Columns passed over: mood/)).toBeTruthy();
    expect(posted()).toHaveLength(1);
    await userEvent.click(screen.getByText('Take 2 in'));
    expect(await screen.findByText('2 of 3 lines of batches taken in.')).toBeTruthy();
    expect(screen.queryByText('Take 2 in')).toBeNull();
  });

  it('names the place of what is wrong and takes nothing', async () => {
    const wrong = [{ line: 3, column: 'started', why: 'That is still to come.' }];
    inKitchen(<TablesForm />, holding({ ...SEEN, wrong }).answers);
    expect(await screen.findByText('Nothing was taken in: some lines are wrong.')).toBeTruthy();
    expect(screen.getByText('Line 3, started')).toBeTruthy();
    expect(screen.queryByText(/^Take/)).toBeNull();
  });

  it('shows how far it is, and stops', async () => {
    const { answers, say } = holding({ ...SEEN, state: 'TAKING', lines: 400, done: 100 });
    inKitchen(<TablesForm />, {
      ...answers,
      'POST /api/imports/t/stop': say({ ...SEEN, state: 'STOPPED', lines: 400, done: 125 }),
    });
    expect(await screen.findByText(/Taking batches in: 100 of 400 lines/)).toBeTruthy();
    expect(screen.getByLabelText('Lines gone through').getAttribute('aria-valuenow')).toBe('25');
    await userEvent.click(screen.getByText('Stop'));
    expect(await screen.findByText(/Stopped after 125 of 400 lines/)).toBeTruthy();
    expect(screen.getByText('Go on')).toBeTruthy();
  });

  it('goes on where it stopped', async () => {
    const { answers, say } = holding({ ...SEEN, state: 'STOPPED', lines: 400, done: 125 });
    inKitchen(<TablesForm />, {
      ...answers,
      'POST /api/imports/t/take': say({ ...SEEN, state: 'DONE', lines: 400, taken: 400 }),
    });
    await userEvent.click(await screen.findByText('Go on'));
    expect(await screen.findByText('400 of 400 lines of batches taken in.')).toBeTruthy();
  });

  it('says why it failed, and is put away', async () => {
    const { answers } = holding({ ...SEEN, state: 'FAILED', why: 'A line is wrong.' });
    let gone = false;
    inKitchen(<TablesForm />, {
      'GET /api/imports': () => (gone ? [] : (answers['GET /api/imports'] as () => unknown)()),
      'DELETE /api/imports/t': () => {
        gone = true;
        return {};
      },
    });
    expect(await screen.findByText('A line is wrong.')).toBeTruthy();
    await userEvent.click(screen.getByText('Put this away'));
    await waitFor(() => expect(screen.queryByText('A line is wrong.')).toBeNull());
  });

  it('says why a file is no table', async () => {
    inKitchen(<TablesForm />, {
      ...holding(undefined).answers,
      'POST /api/imports?table=batches': new Refused(400, 'Not so.', [
        { field: 'file', message: 'There is nothing in this file.' },
      ]),
    });
    await choose();
    expect(await screen.findByText('There is nothing in this file.')).toBeTruthy();
  });

  it('says when nobody answers', async () => {
    inKitchen(<TablesForm />, holding(undefined).answers);
    await choose();
    await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(/does not answer/));
  });
});

describe('backups by themselves', () => {
  const KEPT = {
    folder: '/srv/backups',
    goodAt: '2030-03-05T03:00:00Z',
    why: null,
    files: [
      { day: '2030-03-05', bytes: 1_400_000 },
      { day: '2030-03-04', bytes: 1_300_000 },
    ],
  };

  it('say when the last one read back whole, and where they are', async () => {
    inKitchen(<BackupForm />, { 'GET /api/backups': KEPT });
    expect(await screen.findByText(/the last one read back whole/)).toBeTruthy();
    expect(document.body.textContent).toContain('2 files, 2.7 MB, in /srv/backups');
  });

  it('say why the last try failed', async () => {
    inKitchen(<BackupForm />, { 'GET /api/backups': { ...KEPT, why: 'The disk is full.' } });
    expect((await screen.findByRole('status')).textContent).toContain('The disk is full.');
  });

  it('say that none are kept', async () => {
    inKitchen(<BackupForm />, {
      'GET /api/backups': { folder: null, goodAt: null, why: null, files: [] },
    });
    expect(await screen.findByText(/no folder is set/)).toBeTruthy();
  });
});
