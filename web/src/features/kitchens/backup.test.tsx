import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { inKitchen } from '../../test/kitchen';
import { BackupForm } from './BackupForm';

/** A request whose sending the test leads by hand. */
class Sending {
  static last: Sending;
  upload: { onprogress?: (e: { loaded: number; total: number }) => void } = {};
  headers: Record<string, string> = {};
  status = 0;
  responseText = '';
  path = '';
  onload = () => {};
  onerror = () => {};

  constructor() {
    Sending.last = this;
  }

  open(_method: string, path: string) {
    this.path = path;
  }

  setRequestHeader(name: string, value: string) {
    this.headers[name] = value;
  }

  send() {}

  answer(status: number, body = '') {
    this.status = status;
    this.responseText = body;
    act(() => this.onload());
  }

  sent(share: number) {
    act(() => this.upload.onprogress?.({ loaded: share * 100, total: 100 }));
  }
}

async function choose() {
  const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
  await userEvent.upload(input, new File(['PK'], 'mine.zip', { type: 'application/zip' }));
}

describe('a backup', () => {
  beforeEach(() => vi.stubGlobal('XMLHttpRequest', Sending));

  it('is fetched by a link, and its form is published', () => {
    inKitchen(<BackupForm />, {});
    expect(screen.getByText('Everything in one file').getAttribute('href')).toBe('/api/backup.zip');
    expect(screen.getByText('published').getAttribute('href')).toBe('/schemas/backup-2.json');
  });

  it('tells how much of it is sent, then that it is read in', async () => {
    inKitchen(<BackupForm />, {});
    await choose();
    expect(Sending.last.path).toBe('/api/restore');
    expect(Sending.last.headers['Content-Type']).toBe('application/zip');
    Sending.last.sent(0.42);
    expect(await screen.findByText(/42 % sent/)).toBeTruthy();
    Sending.last.sent(1);
    expect(await screen.findByText(/All of it is there/)).toBeTruthy();
    Sending.last.answer(200);
    expect(await screen.findByText('Read in.')).toBeTruthy();
  });

  it('says why a file was not taken', async () => {
    inKitchen(<BackupForm />, {});
    await choose();
    const why = 'This file was not read in: its manifest is missing. Nothing was changed.';
    const problem = {
      type: 'urn:dremsa:problem:invalid',
      status: 400,
      detail: why,
      errors: [{ field: 'file', message: why }],
    };
    Sending.last.answer(400, JSON.stringify(problem));
    expect((await screen.findByRole('alert')).textContent).toBe(why);
  });

  it('says so when nobody answers', async () => {
    inKitchen(<BackupForm />, {});
    await choose();
    act(() => Sending.last.onerror());
    expect((await screen.findByRole('alert')).textContent).toContain('does not answer');
  });
});
