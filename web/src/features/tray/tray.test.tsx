import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { inKitchen } from '../../test/kitchen';
import { TrayPage } from './TrayPage';

const tray = {
  unread: 1,
  more: false,
  now: '2030-03-05T10:00:00Z',
  messages: [
    {
      id: 2,
      at: '2030-03-05T09:00:00Z',
      kind: 'NOW',
      title: 'Lemon balm spray LBS-1',
      words: 'Has it drawn?',
      link: '/brew/b1',
      unread: true,
    },
    {
      id: 1,
      at: '2030-03-05T08:00:00Z',
      kind: 'LATE',
      title: 'Linseed gel, bottle 1',
      words: 'Throw away what is left',
      link: '/keep/7',
      unread: false,
    },
  ],
  coming: [
    {
      at: '2030-03-06T08:00:00Z',
      kind: 'SOON',
      title: 'Birch rinse, bottle 1',
      words: 'Use it soon',
      link: '/keep/8',
    },
  ],
};

beforeEach(() => localStorage.clear());

const NOBODY = { publicKey: '', devices: [] };

describe('the tray', () => {
  it('says what was called out, how loudly, and what is to come', async () => {
    inKitchen(<TrayPage />, { 'GET /api/messages?page=0': tray });
    const first = await screen.findByText('Has it drawn?');
    expect(first.closest('a')?.getAttribute('href')).toBe('/brew/b1');
    expect(first.className).toContain('strong');
    expect(screen.getByText('Throw away what is left').className).not.toContain('strong');
    expect(screen.getByText('late')).toBeTruthy();
    expect(screen.getByText('Use it soon')).toBeTruthy();
  });

  it('marks all as seen', async () => {
    const { posted } = inKitchen(<TrayPage />, {
      'GET /api/messages?page=0': tray,
      'POST /api/messages/read': {},
    });
    await userEvent.click(await screen.findByText('All seen'));
    await waitFor(() => expect(posted()[0]?.path).toBe('/api/messages/read'));
  });

  it('says why a browser gives no notifications, and leaves the sounds as they are', async () => {
    vi.stubGlobal('Notification', undefined);
    inKitchen(<TrayPage />, { 'GET /api/messages?page=0': { ...tray, messages: [], coming: [] } });
    expect(await screen.findByText('Nothing was called out yet.')).toBeTruthy();
    const sounds = screen.getByLabelText<HTMLInputElement>('Sounds on this device');
    const notify = screen.getByLabelText<HTMLInputElement>('Notifications of this browser');
    await userEvent.click(notify);
    expect(screen.getByText(/they need https/)).toBeTruthy();
    expect(notify.checked).toBe(false);
    expect(sounds.checked).toBe(true);
  });

  it('asks the browser once, and remembers', async () => {
    const browser = { permission: 'default', requestPermission: async () => 'granted' };
    const ask = vi.fn(async () => (browser.permission = 'granted'));
    browser.requestPermission = ask;
    vi.stubGlobal('Notification', browser);
    inKitchen(<TrayPage />, { 'GET /api/messages?page=0': tray, 'GET /api/push': NOBODY });
    const notify = await screen.findByLabelText<HTMLInputElement>('Notifications of this browser');
    await userEvent.click(notify);
    await waitFor(() => expect(notify.checked).toBe(true));
    await userEvent.click(notify);
    await waitFor(() => expect(notify.checked).toBe(false));
    expect(ask).toHaveBeenCalledTimes(1);
    expect(screen.getByLabelText<HTMLInputElement>('Sounds on this device').checked).toBe(true);
  });

  it('tells which devices are called, what went wrong, and tries one', async () => {
    const phone = { id: 'p1', name: 'Phone', host: 'push.example', since: '2026-11-25T08:00:00Z' };
    const devices = [{ ...phone, problem: 'The push service answered 503.' }];
    const { posted } = inKitchen(<TrayPage />, {
      'GET /api/messages?page=0': tray,
      'GET /api/push': { publicKey: 'k', devices },
      'POST /api/push/devices/p1/try': { publicKey: 'k', devices },
    });
    expect(await screen.findByText(/answered 503/)).toBeTruthy();
    await userEvent.click(screen.getByText('Try it'));
    await waitFor(() => expect(posted()).toHaveLength(1));
  });
});
