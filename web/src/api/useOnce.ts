import { useCallback, useRef } from 'react';
import { newKey, ProblemError } from './client';

const NONE = { request: '', key: '' };

/**
 * Sends what must not be carried out twice. The same request keeps its key until an answer came:
 * when the answer was lost, the next try carries it again and the server gives what it did then.
 * A refusal is an answer, and another request is another key.
 *
 * @example
 * const once = useOnce();
 * once(body, (key) => ask(api.POST('/api/lots', { params: { header: { 'Idempotency-Key': key } }, body })));
 */
export function useOnce() {
  const last = useRef(NONE);
  return useCallback(async <T>(what: unknown, send: (key: string) => Promise<T>): Promise<T> => {
    const request = JSON.stringify(what);
    if (last.current.request !== request) last.current = { request, key: newKey() };
    try {
      const answer = await send(last.current.key);
      last.current = NONE;
      return answer;
    } catch (error) {
      if (!(error instanceof ProblemError && error.passing)) last.current = NONE;
      throw error;
    }
  }, []);
}
