import type { Kitchen } from '../../api/client';

/** What a part of the kitchen's form is given. */
export interface Part {
  form: Kitchen;
  set: (part: Partial<Kitchen>) => void;
  /** What the server said of the last saving. */
  error: unknown;
}

/** An emptied field stays empty and is sent so: the server says what it wants there. */
export const n = (value: number | string) => value as number;

/** An id for something that the household adds itself. */
export const ownId = () => `own-${crypto.randomUUID().slice(0, 8)}`;
