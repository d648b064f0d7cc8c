import { createSyncStoragePersister } from '@tanstack/query-sync-storage-persister';
import type { PersistQueryClientOptions } from '@tanstack/react-query-persist-client';
import { keys, type Session } from '../api/client';

/** What is known of the pots outlives the page for so long, ms; a run of weeks is asked for anew. */
const LONGEST_MS = 14 * 24 * 3600_000;

/** What the bench and a wash day need to open and to count on without a line. */
const KEPT = [
  keys.session,
  keys.household,
  keys.running,
  keys.shelf,
  keys.tray,
  keys.washRuns,
  keys.people,
  keys.run('').slice(0, 2),
];

const store = createSyncStoragePersister({
  storage: typeof localStorage === 'undefined' ? undefined : localStorage,
  key: 'dremsa-known',
  throttleTime: 400,
});

/** Keeps what the bench needs on this device; a new form of answers begins with an empty store. */
export const keeping: Omit<PersistQueryClientOptions, 'queryClient'> = {
  persister: store,
  maxAge: LONGEST_MS,
  buster: 'answers-2',
  dehydrateOptions: {
    shouldDehydrateQuery: ({ queryKey, state }) =>
      state.status === 'success' &&
      // That nobody is signed in is never believed later: it is asked anew.
      !(queryKey[0] === keys.session[0] && !(state.data as Session).signIn) &&
      KEPT.some((kept) => kept.every((part, i) => queryKey[i] === part)),
  },
};
