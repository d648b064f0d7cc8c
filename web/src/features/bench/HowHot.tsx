import type { Run } from '../../api/client';
import type { Format } from '../../kit/format';
import { celsiusNow } from './celsius';

/** How hot the pot is believed to be, and what it is still too hot for; silent about a cold brew. */
export function HowHot({ run, now, format }: { run: Run; now: number; format: Format }) {
  const celsius = celsiusNow(run, now);
  const hot = run.handling.filter((h) => h.coolAt == null || Date.parse(h.coolAt) > now);
  const about = `About ${format.celsius(celsius)} by the model`;
  if (hot.length === 0) {
    return (
      <p className="soft small">
        {about}
        {run.handling.length > 0 && `: cool enough for ${listed(run.handling.map((h) => h.what))}`}.
      </p>
    );
  }
  const instead = [...new Set(hot.map((h) => h.instead).filter(Boolean))];
  return (
    <div className="caution hot" role="status">
      <p className="strong">{about}: too hot for</p>
      <ul className="plain">
        {hot.map((h) => (
          <li key={h.what}>
            {h.what}: below {format.celsius(h.belowC)}
            {h.coolAt ? `, about ${format.clock(h.coolAt)}` : ', not where it stands'}
          </li>
        ))}
      </ul>
      {instead.length > 0 && <p>{instead.join(' ')}</p>}
    </div>
  );
}

function listed(words: string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}
