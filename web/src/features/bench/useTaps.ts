import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useSyncExternalStore } from 'react';
import {
  api,
  ask,
  keys,
  ProblemError,
  type Run,
  type Session,
  type WashRun,
} from '../../api/client';
import { useOnce } from '../../api/useOnce';
import { tell } from '../../kit/states';
import { keepTap, onPending, pendingTaps, sendPending, type PendingTap } from './pending';

export interface Tap {
  /** Below `/api/batches/{id}`. */
  path: string;
  body: Record<string, unknown>;
  words: string;
  /** It may wait on this device until the server answers. */
  mayWait?: boolean;
  /** What to ask without a line, where the server would ask whether it is too early. */
  early?: string;
}

type Post = (path: string, init: object) => ReturnType<typeof api.POST>;

/** Posts to a path made at run time; every tap of a run answers with the run. */
function post(path: string, body: Record<string, unknown>, key: string): Promise<Run> {
  return ask(
    (api.POST as unknown as Post)(path, {
      body,
      headers: { 'Idempotency-Key': key },
    }) as Promise<{ data?: Run; error?: unknown; response: Response }>,
  );
}

/** The taps that wait on this device. */
export const usePending = () => useSyncExternalStore(onPending, pendingTaps);

/** Keeps a tap on this device until the server takes it, for whoever is signed in now. */
export function useKeeper() {
  const client = useQueryClient();
  return useCallback(
    (tap: Omit<PendingTap, 'who' | 'at'>) =>
      keepTap({
        ...tap,
        who: client.getQueryData<Session>(keys.session)?.signIn,
        at: Date.now(),
      }),
    [client],
  );
}

/** What the server would ask, asked without it: what it does cannot be reckoned here. */
const tooEarly = (detail: string) =>
  new ProblemError({ type: 'urn:dremsa:problem:early', title: 'Too early', status: 422, detail });

/** One tap at a run: sent at once, or kept until there is a line again. */
export function useTap(run: string) {
  const client = useQueryClient();
  const once = useOnce();
  const keep = useKeeper();
  return useMutation({
    mutationFn: async ({ path, body, words, mayWait, early }: Tap): Promise<Run | undefined> => {
      const whole = `/api/batches/${run}${path}`;
      let key = '';
      try {
        return await once([path, body], (of) => post(whole, body, (key = of)));
      } catch (error) {
        if (!(mayWait && error instanceof ProblemError && error.passing)) throw error;
        if (early && !body.anyway) throw tooEarly(early);
        // A step that was ended without a line was ended: nobody asks hours later whether it was
        // meant. What an early end does stays marked on the run and its bottles.
        const sent = path.endsWith('/finish') ? { ...body, anyway: true } : body;
        keep({ key, run, path: whole, body: sent, words, why: error.message });
        return undefined;
      }
    },
    onSuccess: async (next) => {
      if (!next) return;
      client.setQueryData(keys.run(run), next);
      await client.invalidateQueries({ queryKey: keys.all });
    },
  });
}

/** Takes something of a run out again. */
export function useRemoval(run: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (path: string) =>
      ask(
        (api.DELETE as unknown as Post)(`/api/batches/${run}${path}`, {}) as Promise<{
          data?: Run;
          response: Response;
        }>,
      ),
    onSuccess: async (next) => {
      client.setQueryData(keys.run(run), next);
      await client.invalidateQueries({ queryKey: keys.all });
    },
    onError: tell,
  });
}

/** Sends what waits, whenever there may be a line again. */
export function usePendingSender(open: boolean) {
  const client = useQueryClient();
  const waiting = usePending().length;
  useEffect(() => {
    if (waiting === 0) return;
    let busy = false;
    const send = async () => {
      if (busy) return;
      busy = true;
      const sent = await sendPending(
        async (path, body, key) => {
          const answer = await post(path, body, key);
          // Seen before the tap is forgotten: nobody is shown a step again that was just taken.
          if (path.startsWith('/api/wash-runs/')) {
            await client.cancelQueries({ queryKey: keys.washRuns });
            const now = answer as unknown as WashRun;
            client.setQueryData(keys.washRuns, (all: WashRun[] | undefined) =>
              all?.map((run) => (run.id === now.id ? now : run)),
            );
          }
        },
        (tap, error) =>
          tell(
            new Error(
              `“${tap.words}” was not taken: ${error instanceof Error ? error.message : 'refused'}`,
            ),
          ),
        Date.now,
        client.getQueryData<Session>(keys.session)?.signIn,
      );
      busy = false;
      if (sent > 0) {
        // A page that is only just loading may have asked before the tap was taken: it asks again.
        await client.cancelQueries({ queryKey: keys.all });
        await client.invalidateQueries({ queryKey: keys.all });
      }
    };
    if (open) void send();
    const timer = setInterval(() => void send(), 4000);
    return () => clearInterval(timer);
  }, [open, waiting, client]);
}
