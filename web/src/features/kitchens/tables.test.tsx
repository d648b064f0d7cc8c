import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { TableOutcome } from '../../api/client';
import { inKitchen, Refused } from '../../test/kitchen';
import { TablesForm } from './TablesForm';

const SEEN: TableOutcome = {
  table: 'batches',
  lines: 3,
  taken: 2,
  there: 1,
  leftOut: 0,
  left: [],
  wrong: [],
  unknown: ['mood'],
  kept: false,
};

const file = new File(['code,name\nA-1,Balm\n'], 'mine.csv', { type: 'text/csv' });

async function choose() {
  const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
  await userEvent.upload(input, file);
}

describe('tables read in', () => {
  it('shows what a file would do before it does it', async () => {
    const { posted } = inKitchen(<TablesForm />, {
      'POST /api/tables/batches?look=true': SEEN,
      'POST /api/tables/batches': { ...SEEN, kept: true },
    });
    await choose();
    expect(await screen.findByText('2 of 3 lines are new.')).toBeTruthy();
    expect(screen.getByText(/1 stand there already/)).toBeTruthy();
    expect(screen.getByText(/Columns passed over: mood/)).toBeTruthy();
    expect(posted()).toHaveLength(1);
    await userEvent.click(screen.getByText('Take 2 in'));
    expect(await screen.findByText('2 of 3 lines taken in.')).toBeTruthy();
    expect(screen.queryByText('Take 2 in')).toBeNull();
  });

  it('names the place of what is wrong and takes nothing', async () => {
    inKitchen(<TablesForm />, {
      'POST /api/tables/batches?look=true': {
        ...SEEN,
        wrong: [{ line: 3, column: 'started', why: 'That is still to come.' }],
      },
    });
    await choose();
    expect(await screen.findByText('Nothing was taken in: some lines are wrong.')).toBeTruthy();
    expect(screen.getByText('Line 3, started')).toBeTruthy();
    expect(screen.queryByText(/^Take/)).toBeNull();
  });

  it('says why a file is no table', async () => {
    inKitchen(<TablesForm />, {
      'POST /api/tables/batches?look=true': new Refused(400, 'Not so.', [
        { field: 'file', message: 'There is nothing in this file.' },
      ]),
    });
    await choose();
    expect(await screen.findByText('There is nothing in this file.')).toBeTruthy();
  });

  it('says when nobody answers', async () => {
    inKitchen(<TablesForm />, {});
    await choose();
    await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(/does not answer/));
  });
});
