import { useEffect, useState } from 'react';

/**
 * The server's time, ticking. The page's own clock is used only for what passed since the answer
 * came, so that a wrong phone clock shows the right minutes.
 *
 * @param serverNow the time the server gave with its answer
 * @param receivedAt when that answer came, by the page's clock (ms)
 * @param everyMs how often to tick
 */
export function useServerClock(serverNow: string | undefined, receivedAt: number, everyMs = 1000) {
  const [page, setPage] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setPage(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  if (!serverNow) return page;
  return new Date(serverNow).getTime() + Math.max(0, page - receivedAt);
}
