import { beforeEach, describe, expect, it, vi } from 'vitest';
import { ProblemError } from '../../api/client';
import {
  bodyOf,
  dropTap,
  keepTap,
  LONGEST_MS,
  onPending,
  pendingTaps,
  sendPending,
  type PendingTap,
} from './pending';

const tap = (key: string, at: number): PendingTap => ({
  key,
  run: 'r',
  path: `/api/batches/r/steps/1/finish`,
  body: { version: 3, cueSeen: true },
  words: 'Steep done',
  at,
});
const offline = Object.assign(new Error('away'), { passing: true });

describe('taps that found no line', () => {
  beforeEach(() => pendingTaps().forEach((t) => dropTap(t.key)));

  it('are kept on the device and told of', () => {
    const told = vi.fn();
    const stop = onPending(told);
    keepTap(tap('a', 1000));
    keepTap(tap('a', 1000));
    expect(pendingTaps()).toHaveLength(1);
    expect(JSON.parse(localStorage.getItem('dremsa-pending-taps')!)).toHaveLength(1);
    expect(told).toHaveBeenCalledTimes(2);
    stop();
  });

  it('say how long ago they were made, never less than now', () => {
    expect(bodyOf(tap('a', 60_000), 95_400)).toEqual({
      version: 3,
      cueSeen: true,
      secondsAgo: 35,
    });
    expect(bodyOf(tap('a', 60_000), 10_000).secondsAgo).toBe(0);
  });

  it('go out in their order and are dropped once taken', async () => {
    keepTap(tap('a', 1000));
    keepTap(tap('b', 2000));
    const keys: string[] = [];
    const send = vi.fn((_path: string, _body: unknown, key: string) => {
      keys.push(key);
      return Promise.resolve();
    });
    expect(await sendPending(send, vi.fn(), () => 5000)).toBe(2);
    expect(keys).toEqual(['a', 'b']);
    expect(pendingTaps()).toHaveLength(0);
  });

  it('wait on while nobody answers', async () => {
    keepTap(tap('a', 1000));
    keepTap(tap('b', 2000));
    const send = vi.fn().mockRejectedValue(offline);
    expect(await sendPending(send, vi.fn(), () => 5000)).toBe(0);
    expect(send).toHaveBeenCalledTimes(1);
    expect(pendingTaps()).toHaveLength(2);
  });

  it.each([401, 429, 500, 503, 0])('wait on after a %i, and say why', async (status) => {
    keepTap(tap('a', 1000));
    const answer = new ProblemError({ type: 'x', title: 'x', status, detail: `said ${status}` });
    const refused = vi.fn();
    const send = vi.fn().mockRejectedValueOnce(answer).mockResolvedValue(undefined);
    expect(await sendPending(send, refused, () => 5000)).toBe(0);
    expect(pendingTaps()).toMatchObject([{ key: 'a', why: `said ${status}` }]);
    expect(refused).not.toHaveBeenCalled();
    expect(await sendPending(send, refused, () => 9000)).toBe(1);
    expect(pendingTaps()).toHaveLength(0);
  });

  it('are sent for the one who made them, not for another', async () => {
    keepTap({ ...tap('a', 1000), who: 'fern' });
    const send = vi.fn().mockResolvedValue(undefined);
    expect(await sendPending(send, vi.fn(), () => 5000, 'moss')).toBe(0);
    expect(pendingTaps()).toHaveLength(1);
    expect(await sendPending(send, vi.fn(), () => 5000, 'fern')).toBe(1);
  });

  it('that the server refuses are told and do not hold the others up', async () => {
    keepTap(tap('a', 1000));
    keepTap(tap('b', 2000));
    const refused = vi.fn();
    const send = vi
      .fn()
      .mockRejectedValueOnce(new Error('Somebody was quicker'))
      .mockResolvedValue(undefined);
    expect(await sendPending(send, refused, () => 5000)).toBe(1);
    expect(refused).toHaveBeenCalledOnce();
    expect(pendingTaps()).toHaveLength(0);
  });

  it('older than a day are asked back, not sent', async () => {
    keepTap(tap('a', 0));
    const send = vi.fn();
    const refused = vi.fn();
    await sendPending(send, refused, () => LONGEST_MS + 1);
    expect(send).not.toHaveBeenCalled();
    expect(refused).toHaveBeenCalledOnce();
  });
});
