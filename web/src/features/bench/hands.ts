import { useEffect, useState } from 'react';

/** Keeps the screen on for as long as it is wanted, where the browser can. */
export function useAwake(wanted: boolean) {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const hold = async () => {
      // A browser lets go when the page is hidden; ask again when it is back.
      if (over || document.visibilityState !== 'visible') return;
      try {
        lock = await navigator.wakeLock.request('screen');
      } catch {
        // Refused, for instance to save the battery: the run goes on without it.
      }
    };
    void hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, [wanted]);
}

/** Whether this browser has a voice. */
export const hasVoice = () => typeof window !== 'undefined' && 'speechSynthesis' in window;

/** Reads aloud; what was being read stops. */
export function readAloud(words: string) {
  if (!hasVoice()) return;
  speechSynthesis.cancel();
  const utterance = new SpeechSynthesisUtterance(words);
  utterance.lang = 'en-GB';
  utterance.rate = 0.95;
  speechSynthesis.speak(utterance);
}

type Loud = 'soon' | 'now' | 'late';

/** Tones of each call: Hz and seconds. Rising for soon, twice for now, a falling row for late. */
const TONES: Record<Loud, [number, number][]> = {
  soon: [
    [392, 0.18],
    [523, 0.3],
  ],
  now: [
    [659, 0.2],
    [0, 0.08],
    [659, 0.2],
    [0, 0.08],
    [880, 0.35],
  ],
  late: [
    [740, 0.16],
    [622, 0.16],
    [494, 0.16],
    [0, 0.1],
    [740, 0.16],
    [622, 0.16],
    [494, 0.4],
  ],
};

let audio: AudioContext | undefined;

/** Plays a call's own sound, made here from sines; silent where the browser does not allow it. */
export async function sound(loud: Loud) {
  if (typeof AudioContext === 'undefined') return;
  audio ??= new AudioContext();
  if (audio.state === 'suspended') {
    await audio.resume().catch(() => undefined);
  }
  let at = audio.currentTime + 0.02;
  for (const [hertz, seconds] of TONES[loud]) {
    if (hertz > 0) {
      const tone = audio.createOscillator();
      const swell = audio.createGain();
      tone.frequency.value = hertz;
      tone.type = loud === 'late' ? 'triangle' : 'sine';
      swell.gain.setValueAtTime(0, at);
      swell.gain.linearRampToValueAtTime(0.35, at + 0.02);
      swell.gain.linearRampToValueAtTime(0, at + seconds);
      tone.connect(swell).connect(audio.destination);
      tone.start(at);
      tone.stop(at + seconds);
    }
    at += seconds;
  }
}

const SETTINGS = { sounds: 'dremsa-sounds', notify: 'dremsa-notify' } as const;

/** A choice that this device remembers. */
export function useRemembered(
  which: keyof typeof SETTINGS,
  first: boolean,
): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(() => {
    const kept = localStorage.getItem(SETTINGS[which]);
    return kept === null ? first : kept === 'on';
  });
  useEffect(() => {
    const follow = () => {
      const kept = localStorage.getItem(SETTINGS[which]);
      if (kept !== null) setOn(kept === 'on');
    };
    window.addEventListener('dremsa-remembered', follow);
    return () => window.removeEventListener('dremsa-remembered', follow);
  }, [which]);
  return [
    on,
    (next) => {
      localStorage.setItem(SETTINGS[which], next ? 'on' : 'off');
      setOn(next);
      window.dispatchEvent(new Event('dremsa-remembered'));
    },
  ];
}

/**
 * Shows a notification: through the worker where there is one, as phones ask for; else by the page.
 *
 * @param link the screen that it opens
 * @param tag the same tag replaces, and does not double
 */
export async function notifyOf(title: string, words: string, link: string, tag: string) {
  const about = { body: words, tag, data: link };
  try {
    const worker = await navigator.serviceWorker.getRegistration();
    if (!worker) throw new Error('no worker');
    await worker.showNotification(title, about);
  } catch {
    try {
      new Notification(title, about);
    } catch {
      // Neither is allowed here: the tray has it all the same.
    }
  }
}
