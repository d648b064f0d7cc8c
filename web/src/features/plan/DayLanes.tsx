import type { BrewDay } from '../../api/client';

const TALL = 46;
const LEFT = 0;
const WIDE = 1000;

/** The evening as lanes on one axis: hands filled, what goes on alone pale, the hob underlined. */
export function DayLanes({ view, time }: { view: BrewDay; time: (at: string) => string }) {
  const from = Date.parse(view.from);
  const to = Math.max(Date.parse(view.end), from + 60 * 60_000);
  const x = (at: string) => LEFT + ((Date.parse(at) - from) / (to - from)) * WIDE;
  const hours = Array.from({ length: Math.floor((to - from) / 3_600_000) + 1 }, (_, i) =>
    new Date(from + i * 3_600_000).toISOString(),
  );
  const tall = view.brews.length * TALL + 26;
  return (
    <div className="day-lanes" role="region" aria-label="The evening on a line" tabIndex={0}>
      <svg
        viewBox={`0 0 ${WIDE} ${tall}`}
        width={WIDE}
        height={tall}
        role="img"
        aria-label={view.brews
          .map((b) => `${b.name}: from ${time(b.start)}, ${b.spans.length} parts`)
          .join('; ')}
      >
        {hours.map((at) => (
          <g key={at}>
            <path d={`M${x(at)} 0V${tall - 20}`} stroke="var(--cloth)" />
            <text x={x(at) + 3} y={tall - 6} className="band-name">
              {time(at)}
            </text>
          </g>
        ))}
        {view.brews.map((b, i) => (
          <g key={b.formula}>
            {b.spans.map((s, n) => (
              <g key={n}>
                <rect
                  x={x(s.from)}
                  y={i * TALL + 18}
                  width={Math.max(1.5, x(s.to) - x(s.from))}
                  height={18}
                  fill={s.hands ? 'var(--woad)' : 'var(--woad-pale)'}
                  stroke="var(--ink)"
                  strokeWidth="1"
                >
                  <title>
                    {time(s.from)} {s.words}
                  </title>
                </rect>
                {s.onHob && (
                  <path
                    d={`M${x(s.from)} ${i * TALL + 40}H${x(s.to)}`}
                    stroke="var(--madder)"
                    strokeWidth="4"
                  />
                )}
              </g>
            ))}
            <text x={x(b.start) + 2} y={i * TALL + 13} className="band-name">
              {b.name}
            </text>
          </g>
        ))}
      </svg>
      <p className="soft small lanes-key">
        <Key fill="var(--woad)" words="hands are at work" />
        <Key fill="var(--woad-pale)" words="it goes on alone" />
        <Key fill="var(--madder)" words="underlined: the hob is on" flat />
      </p>
    </div>
  );
}

/** What a colour stands for, in either theme. */
function Key({ fill, words, flat }: { fill: string; words: string; flat?: boolean }) {
  return (
    <span>
      <svg width="18" height="12" aria-hidden>
        {flat ? (
          <path d="M0 8H18" stroke={fill} strokeWidth="4" />
        ) : (
          <rect x="0.5" y="0.5" width="17" height="11" fill={fill} stroke="var(--ink)" />
        )}
      </svg>{' '}
      {words}
    </span>
  );
}
