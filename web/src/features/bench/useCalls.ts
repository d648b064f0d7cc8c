import { useEffect, useRef } from 'react';
import { useHousehold, useRunning, useTray } from '../../api/queries';
import { useServerClock } from '../../kit/clock';
import { calledByPush } from '../tray/calling';
import { callsOf, cameDue, inFront, nextOf } from './calls';
import { formatFor } from '../../kit/format';
import { notifyOf, sound, useRemembered } from './hands';

/** Calls out, on whatever screen: a sound when a call's time comes, a notification when away. */
export function useCalls() {
  const running = useRunning();
  const household = useHousehold();
  const tray = useTray();
  const now = useServerClock(household.data?.now, household.dataUpdatedAt);
  const before = useRef(now);
  const [sounds] = useRemembered('sounds', true);
  const [notify] = useRemembered('notify', false);
  useEffect(() => {
    const due = cameDue(callsOf(running.data ?? []), before.current, now);
    // After a jump of the clock (sleep, another day) only the loudest of the last minutes counts.
    const fresh = due.filter((c) => now - c.at < 120_000);
    before.current = now;
    const loudest = fresh.some((c) => c.loud === 'late')
      ? 'late'
      : fresh.some((c) => c.loud === 'now')
        ? 'now'
        : fresh.length > 0
          ? 'soon'
          : undefined;
    if (sounds && loudest) void sound(loudest);
  }, [now, running.data, sounds]);

  const first = inFront(running.data ?? [], now)[0];
  const next = first && nextOf(first, now, formatFor(household.data));
  const due = next?.state === 'now' || next?.state === 'late';
  useEffect(() => {
    document.title = first && next ? `${next.time} ${first.name}: ${next.words}` : 'Dremsa';
    const icon = document.querySelector<HTMLLinkElement>("link[rel='icon']");
    const wanted = due ? '/mark-due.svg' : '/mark.svg';
    if (icon && icon.getAttribute('href') !== wanted) icon.setAttribute('href', wanted);
  });

  const told = useRef<number | undefined>(undefined);
  const newest = tray.data?.messages[0]?.id;
  useEffect(() => {
    const messages = tray.data?.messages;
    if (!messages) return;
    const last = told.current;
    told.current = messages[0]?.id ?? 0;
    if (last === undefined || !notify || typeof Notification === 'undefined') return;
    if (calledByPush()) return;
    if (Notification.permission !== 'granted' || document.visibilityState === 'visible') return;
    messages
      .filter((m) => m.unread && m.id > last)
      .slice(0, 3)
      .forEach((m) => void notifyOf(m.title, m.words, m.link, String(m.id)));
  }, [newest, tray.data, notify]);
  return tray.data?.unread ?? 0;
}
