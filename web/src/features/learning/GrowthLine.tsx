import { useElementSize } from '@mantine/hooks';
import type { LengthSection } from '../../api/client';
import { figure, type Format } from '../../kit/format';
import { steps } from './words';

const TALL = 200;
const LEFT = 44;

const at = (day: string) => Date.parse(day) / 86_400_000;

/** Readings as dots, the line through them, and its interval as a soft edge; a cut is a gap. */
export function GrowthLine({
  section,
  cuts,
  format,
}: {
  section: LengthSection;
  cuts: string[];
  format: Format;
}) {
  const { ref, width } = useElementSize();
  const wide = Math.max(280, width || 880);
  const { readings, lines } = section;
  const first = readings[0]!.day;
  const last = readings[readings.length - 1]!.day;
  const edges = lines.flat();
  const low = Math.min(...readings.map((r) => r.cm), ...edges.map((e) => e.low));
  const high = Math.max(...readings.map((r) => r.cm), ...edges.map((e) => e.high));
  const span = Math.max(1, high - low);
  const x = (day: string) =>
    LEFT + 10 + ((at(day) - at(first)) / Math.max(1, at(last) - at(first))) * (wide - LEFT - 24);
  const y = (cm: number) => 12 + ((low + span - cm) / span) * (TALL - 40);
  const path = (line: typeof edges, of: (e: (typeof edges)[number]) => number) =>
    line.map((e) => `${x(e.day)} ${y(of(e))}`).join('L');
  return (
    <div ref={ref}>
      <svg width="100%" viewBox={`0 0 ${wide} ${TALL}`} role="img" aria-label={section.words}>
        {steps(low, low + span).map((cm) => (
          <g key={cm}>
            <path d={`M${LEFT} ${y(cm)}H${wide}`} stroke="var(--ink)" strokeWidth="0.3" />
            <text x={LEFT - 6} y={y(cm) + 4} textAnchor="end" className="band-name">
              {figure(cm)}
            </text>
          </g>
        ))}
        {lines.map((line, i) => (
          <g key={i}>
            <path
              d={`M${path(line, (e) => e.high)}L${path([...line].reverse(), (e) => e.low)}Z`}
              fill="var(--woad-pale)"
              opacity="0.6"
            />
            <path
              d={`M${path(line, (e) => e.cm)}`}
              fill="none"
              stroke="var(--woad)"
              strokeWidth="2.5"
            />
          </g>
        ))}
        {cuts
          .filter((c) => c >= first && c <= last)
          .map((c) => (
            <g key={c}>
              <path d={`M${x(c)} 6V${TALL - 28}`} stroke="var(--madder)" strokeDasharray="4 4" />
              <text x={x(c) + 4} y={16} className="band-name">
                cut
              </text>
            </g>
          ))}
        {readings.map((r) => (
          <circle
            key={r.id}
            cx={x(r.day)}
            cy={y(r.cm)}
            r="5"
            fill={r.day === section.doubtful ? 'var(--madder)' : 'var(--ink)'}
            stroke="var(--paper)"
          >
            <title>
              {format.day(r.day)}: {r.cm} cm
            </title>
          </circle>
        ))}
        <text x={LEFT} y={TALL - 6} className="band-name">
          {format.day(first)}, cm
        </text>
        {last !== first && (
          <text x={wide - 6} y={TALL - 6} textAnchor="end" className="band-name">
            {format.day(last)}
          </text>
        )}
      </svg>
    </div>
  );
}
