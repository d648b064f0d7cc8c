import { renderHook } from '@testing-library/react';
import { ProblemError } from './client';
import { useOnce } from './useOnce';

const refusal = (status: number) =>
  new ProblemError({ type: 'urn:dremsa:problem:x', title: 'x', status, detail: 'x' });

/** Sends one request after another and tells the keys that they carried. */
async function keysOf(...requests: [what: unknown, answer: unknown][]) {
  const { result } = renderHook(() => useOnce());
  const keys: string[] = [];
  for (const [what, answer] of requests) {
    await result
      .current(what, (key) => {
        keys.push(key);
        return answer instanceof ProblemError ? Promise.reject(answer) : Promise.resolve(answer);
      })
      .catch(() => undefined);
  }
  return keys;
}

describe('a request that must not be carried out twice', () => {
  test.each([0, 401, 429, 500, 503])('keeps its key when %i was no answer', async (status) => {
    const [first, again, next] = await keysOf(
      [{ a: 1 }, refusal(status)],
      [{ a: 1 }, 'done'],
      [{ a: 1 }, 'done'],
    );
    expect(again).toBe(first);
    expect(next).not.toBe(again);
  });

  test.each([400, 404, 409, 422])(
    'has another key after %i, which is an answer',
    async (status) => {
      const [first, again] = await keysOf([{ a: 1 }, refusal(status)], [{ a: 1 }, 'done']);
      expect(again).not.toBe(first);
    },
  );

  test('is another request when something in it is other', async () => {
    const [first, other] = await keysOf([{ a: 1 }, refusal(0)], [{ a: 2 }, 'done']);
    expect(other).not.toBe(first);
  });
});
