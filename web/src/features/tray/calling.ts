import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys } from '../../api/client';
import { useRemembered } from '../bench/hands';

/** How far a call from this device's browser reaches. */
export type Reach = 'none' | 'open' | 'pocket';

const SUBSCRIBED = 'dremsa-called-as';
const PATIENCE_MS = 4000;

export const usePush = () =>
  useQuery({ queryKey: keys.push, queryFn: () => ask(api.GET('/api/push')), staleTime: 60_000 });

/** Whether this browser can show calls at all, and whether it was told not to. */
export function allowed(): 'granted' | 'denied' | 'default' | 'missing' {
  return typeof Notification === 'undefined' ? 'missing' : Notification.permission;
}

/** The worker that is there, or nobody: a page over plain http in a home network has none. */
async function worker(): Promise<ServiceWorkerRegistration | undefined> {
  if (!('serviceWorker' in navigator)) return undefined;
  return Promise.race([
    navigator.serviceWorker.ready,
    new Promise<undefined>((none) => setTimeout(() => none(undefined), PATIENCE_MS)),
  ]);
}

const text = (buffer: ArrayBuffer | null) =>
  btoa(String.fromCharCode(...new Uint8Array(buffer ?? new ArrayBuffer(0))))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');

/** As the household may call this device; another name can be given later by another browser. */
const deviceName = () =>
  /Mobi|Android|iPhone|iPad/.test(navigator.userAgent) ? 'Phone' : 'Computer';

/** Asks for permission, and lets this device be called, as far as its browser goes. */
export function useCalling() {
  const client = useQueryClient();
  const [on, setOn] = useRemembered('notify', false);
  const [busy, setBusy] = useState(false);
  const [words, setWords] = useState('');

  const call = async () => {
    setBusy(true);
    setWords('');
    try {
      if (allowed() === 'missing') {
        setWords('This browser has no notifications here. Over the home network they need https.');
        return;
      }
      if ((await Notification.requestPermission()) !== 'granted') {
        setWords('The browser does not allow it. Its settings for this address can change that.');
        return;
      }
      setOn(true);
      setWords(await subscribe());
      await client.invalidateQueries({ queryKey: keys.push });
    } finally {
      setBusy(false);
    }
  };

  const stop = async () => {
    setOn(false);
    setWords('');
    const kept = localStorage.getItem(SUBSCRIBED);
    localStorage.removeItem(SUBSCRIBED);
    const registration = await worker();
    await (await registration?.pushManager?.getSubscription())?.unsubscribe();
    if (kept) {
      await ask(api.DELETE('/api/push/devices/{id}', { params: { path: { id: kept } } })).catch(
        () => undefined,
      );
      await client.invalidateQueries({ queryKey: keys.push });
    }
  };
  return { on: on && allowed() === 'granted', busy, words, call, stop };
}

/** Subscribes at the browser's push service; says what is missing where there is none. */
async function subscribe(): Promise<string> {
  const registration = await worker();
  if (!registration?.pushManager)
    return 'Calls come while Dremsa is open on this device; its browser has no push service here.';
  try {
    const { publicKey } = await ask(api.GET('/api/push'));
    const made = await registration.pushManager.subscribe({
      userVisibleOnly: true,
      applicationServerKey: publicKey,
    });
    const view = await ask(
      api.POST('/api/push/devices', {
        body: {
          endpoint: made.endpoint,
          publicKey: text(made.getKey('p256dh')),
          secret: text(made.getKey('auth')),
          name: deviceName(),
        },
      }),
    );
    const newest = view.devices.at(-1);
    if (newest) localStorage.setItem(SUBSCRIBED, newest.id);
    return '';
  } catch {
    return 'Calls come while Dremsa is open on this device; its push service could not be reached.';
  }
}

/** Whether calls reach this device by push: then the page need not show them a second time. */
export const calledByPush = () => localStorage.getItem(SUBSCRIBED) !== null;
