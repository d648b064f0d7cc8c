import { useElementSize } from '@mantine/hooks';
import type { Journal } from '../../api/client';
import { figure, type Format } from '../../kit/format';
import { capital, WORDS } from '../../kit/words';

const TALL = 74;
const LEFT = 30;
const at = (day: string) => Date.parse(day) / 86_400_000;

/** How something was scored over time: a dot for each time, and its mean with its interval. */
export function Timelines({ view, format }: { view: Journal; format: Format }) {
  const { ref, width } = useElementSize();
  const wide = Math.max(240, width || 460);
  if (view.timelines.length === 0) return null;
  const days = view.timelines.flatMap((t) => t.points.map((p) => p.day)).sort();
  const first = at(days[0]!);
  const span = Math.max(1, at(days[days.length - 1]!) - first);
  const x = (day: string) => LEFT + 10 + ((at(day) - first) / span) * (wide - LEFT - 24);
  return (
    <section aria-label="Over time" ref={ref}>
      <h2>Over time</h2>
      {view.timelines.map((t) => {
        const scale = view.criteria.find((c) => c.criterion === t.criterion)!;
        const most = Math.min(scale.most, Math.max(5, ...t.points.map((p) => p.score)));
        const y = (v: number) =>
          8 +
          (1 - (Math.max(scale.least, Math.min(most, v)) - scale.least) / (most - scale.least)) *
            (TALL - 16);
        const { n, value, low, high } = t.mean;
        const words = `${capital(WORDS.criteria[t.criterion])}: ${n === 1 ? 'once' : `${n} times`}, on average ${figure(value ?? 0)}${
          low != null && high != null
            ? `, surely ${figure(Math.max(scale.least, low))} to ${figure(Math.min(scale.most, high))}`
            : ', too few for an interval'
        }`;
        return (
          <figure key={t.criterion} className="flush">
            <svg width="100%" viewBox={`0 0 ${wide} ${TALL}`} role="img" aria-label={words}>
              {low != null && high != null && (
                <rect
                  x={LEFT}
                  y={y(high)}
                  width={wide - LEFT}
                  height={Math.max(2, y(low) - y(high))}
                  fill="var(--woad-pale)"
                  opacity="0.5"
                />
              )}
              {value != null && (
                <path d={`M${LEFT} ${y(value)}H${wide}`} stroke="var(--woad)" strokeWidth="2" />
              )}
              {[scale.least, most].map((v) => (
                <text key={v} x={LEFT - 6} y={y(v) + 4} textAnchor="end" className="band-name">
                  {figure(v)}
                </text>
              ))}
              {t.points.map((p, i) => (
                <circle key={i} cx={x(p.day)} cy={y(p.score)} r="5" fill="var(--ink)">
                  <title>{`${format.day(p.day)}${p.about && `, ${p.about}`}: ${figure(p.score)}`}</title>
                </circle>
              ))}
            </svg>
            <figcaption className="small">{words}</figcaption>
          </figure>
        );
      })}
    </section>
  );
}
