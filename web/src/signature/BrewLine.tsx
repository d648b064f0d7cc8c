import { useElementSize } from '@mantine/hooks';
import { useId } from 'react';
import type { Prediction, StepPlan } from '../api/client';
import { duration, type Format } from '../kit/format';
import { Patterns } from './Patterns';
import { useDrag } from './useDrag';

interface Props {
  prediction: Prediction;
  format: Format;
  /** Minutes since the first step, drawn as a cursor. */
  nowMinute?: number;
  /** When given, the end of the long step can be dragged. */
  onMinutes?: (step: number, minutes: number) => void;
  /** Index of the step that is looked at; it is framed. */
  selected?: number;
  /** Temperatures that were read, drawn as dots. */
  readings?: { minute: number; celsius: number }[];
  /** When given, a tap on a step tells which. */
  onSelect?: (step: number) => void;
}

/** The step whose time matters most: the longest one with a window. */
export function mainStep(steps: StepPlan[]): StepPlan | undefined {
  return steps
    .filter((s) => s.window)
    .sort((a, b) => b.endMinute - b.startMinute - (a.endMinute - a.startMinute))[0];
}

/** Time from left to right, temperature as a line, the long step with its window below. */
export function BrewLine({
  prediction,
  format,
  nowMinute,
  onMinutes,
  selected,
  readings,
  onSelect,
}: Props) {
  const id = useId().replaceAll(':', '');
  const { ref, width } = useElementSize();
  const w = Math.max(300, width || 800);
  const narrow = w < 560;
  const main = mainStep(prediction.steps);
  const start = main?.startMinute ?? 0;
  const usual = main?.window?.usual ?? 0;
  const longest = main?.window?.longest ?? 0;
  const chosen = main ? main.endMinute - main.startMinute : 0;
  const end = Math.max(
    prediction.totalMinutes * 1.04,
    start + Math.min(longest * 1.15, Math.max(usual * 1.9, chosen * 1.25)),
    (nowMinute ?? 0) * 1.05,
  );
  const x0 = 8;
  const x1 = w - 8;
  const x = (minute: number) => x0 + (Math.max(0, Math.min(end, minute)) / end) * (x1 - x0);
  const top = 34;
  const bottom = 158;
  const y = (c: number) => bottom - (Math.max(0, Math.min(100, c)) / 100) * (bottom - top);
  const line = prediction.trace.map((p) => `${x(p.minute).toFixed(1)} ${y(p.celsius).toFixed(1)}`);
  const endC = prediction.trace.at(-1)?.celsius ?? 0;
  const startC = prediction.trace[0]?.celsius ?? 0;
  /** Where a temperature is named: at the end at which the line is not in the way. */
  const atLeft = (c: number) => Math.abs(endC - c) < 14 && Math.abs(startC - c) >= 14;
  const barY = bottom + 8;
  const barH = 18;
  // The window stands below the steps: what follows the long step is not hidden by its "late".
  const windowY = barY + barH + 5;
  const windowH = 26;
  const tickEvery = [5, 10, 30, 60, 120, 240, 720, 1440, 2880, 10080].find(
    (t) => end / t <= (narrow ? 4 : 7),
  );
  const ticks: number[] = [];
  for (let t = tickEvery ?? 10080; t < end * 0.97; t += tickEvery ?? 10080) ticks.push(t);
  const drag = useDrag(
    'x',
    Math.round(chosen),
    [0, Math.max(longest * 4, 60)],
    5,
    () => end / Math.max(1, (x1 - x0) * ((width || w) / w)),
    (m) => main && onMinutes?.(main.index, m),
  );
  const spans =
    main?.window &&
    [
      {
        key: 'early',
        a: start,
        b: start + main.window.shortest!,
        fill: `url(#${id}-early)`,
        ink: 'var(--ink)',
        word: 'too early',
      },
      {
        key: 'right',
        a: start + main.window.shortest!,
        b: start + longest,
        fill: 'var(--nettle)',
        ink: 'var(--on-colour)',
        word: narrow
          ? 'right'
          : `right: ${duration(main.window.shortest!)} to ${duration(longest)}`,
      },
      {
        key: 'late',
        a: start + longest,
        b: Math.min(end, start + Math.max(longest * 1.6, chosen * 1.1)),
        fill: 'var(--weld-pale)',
        ink: 'var(--on-weld)',
        word: 'late',
      },
    ].filter((s) => s.b > s.a && s.a < end);
  const strainX = main ? x(main.endMinute) : 0;
  const labelLeft = strainX > (x0 + x1) / 2;
  const strainLabel = main
    ? `${duration(chosen)}, ${format.celsius(main.endC)}, strength ${Math.round(prediction.strengthPercent.value)} %`
    : '';
  return (
    <figure className="flush" ref={ref}>
      <svg width="100%" viewBox={`0 0 ${w} 236`} role="group" aria-label="The brew line">
        <title>{`The brew takes ${duration(prediction.totalMinutes)}. ${main ? `${main.headline}: ${strainLabel}.` : ''}`}</title>
        <Patterns id={id} />
        {ticks.map((t) => (
          <text key={t} x={x(t)} y={16} fontSize="13" textAnchor="middle" className="soft">
            {duration(t)}
          </text>
        ))}
        <polyline
          points={line.join(' ')}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="3"
          strokeLinejoin="round"
        />
        {prediction.landmarks
          .filter((l) => l.id !== 'SCALP' && l.id !== 'BLEND')
          .map((l) => (
            <g key={l.id}>
              <path
                d={`M${x0} ${y(l.celsius)}H${x1}`}
                stroke="var(--ink-soft)"
                strokeDasharray="2 5"
              />
              <text
                x={atLeft(l.celsius) ? x0 + 12 : x1}
                y={y(l.celsius) - 5}
                fontSize="12.5"
                textAnchor={atLeft(l.celsius) ? 'start' : 'end'}
                className="soft halo"
              >
                {format.celsius(l.celsius)} {narrow ? '' : l.words}
              </text>
            </g>
          ))}
        {readings?.slice(-80).map((r, i) => (
          <circle
            key={i}
            cx={x(r.minute)}
            cy={y(r.celsius)}
            r="4"
            fill="var(--paper)"
            stroke="var(--ink)"
            strokeWidth="2"
          >
            <title>{`read: ${format.celsius(r.celsius)}`}</title>
          </circle>
        ))}
        {prediction.steps.map((s) => (
          <rect
            key={s.index}
            x={x(s.startMinute)}
            y={barY}
            width={Math.max(2, x(s.endMinute) - x(s.startMinute))}
            height={barH}
            fill={s === main ? 'var(--woad)' : 'var(--ink)'}
            stroke="var(--linen)"
            strokeWidth="1.5"
          >
            <title>{`${s.headline}, ${duration(s.endMinute - s.startMinute)}`}</title>
          </rect>
        ))}
        {spans &&
          spans.map((s) => (
            <g key={s.key}>
              <rect
                x={x(s.a)}
                y={windowY}
                width={x(s.b) - x(s.a)}
                height={windowH}
                fill={s.fill}
                stroke="var(--ink)"
                strokeWidth="1.5"
              />
              {x(s.b) - x(s.a) > s.word.length * 7 + 8 && (
                <text
                  x={(x(s.a) + x(s.b)) / 2}
                  y={windowY + 18}
                  textAnchor="middle"
                  fontSize="13.5"
                  fontWeight="700"
                  style={{ fill: s.ink }}
                >
                  {s.word}
                </text>
              )}
            </g>
          ))}
        {main && (
          <g
            {...(onMinutes
              ? {
                  ...drag,
                  'aria-label': `${main.headline}, minutes`,
                  'aria-valuetext': duration(chosen),
                }
              : {})}
          >
            {onMinutes && (
              <rect x={strainX - 18} y={top - 10} width="36" height="180" fill="transparent" />
            )}
            <path
              d={`M${strainX} ${top - 4}V${windowY + windowH}`}
              stroke="var(--ink)"
              strokeWidth="2.5"
            />
            <circle
              className="grip"
              cx={strainX}
              cy={top - 4}
              r={onMinutes ? 7 : 4}
              fill="var(--ink)"
            />
            <text
              x={strainX + (labelLeft ? -12 : 12)}
              y={top + 3}
              fontSize={narrow ? 12.5 : 14}
              fontWeight="700"
              className="halo"
              textAnchor={labelLeft ? 'end' : 'start'}
            >
              {strainLabel}
            </text>
          </g>
        )}
        {onSelect &&
          prediction.steps.map((s) => (
            <rect
              key={s.index}
              x={x(s.startMinute)}
              y={barY - 2}
              width={Math.max(6, x(s.endMinute) - x(s.startMinute))}
              height={barH + 4}
              fill="transparent"
              stroke={s.index === selected ? 'var(--woad)' : 'none'}
              strokeWidth="4"
              style={{ cursor: 'pointer' }}
              onClick={() => onSelect(s.index)}
            >
              <title>{s.headline}</title>
            </rect>
          ))}
        {nowMinute !== undefined && (
          <g>
            <path
              d={`M${x(nowMinute)} ${top + 12}V${windowY + windowH + 4}`}
              stroke="var(--woad)"
              strokeWidth="4"
            />
            <text
              x={x(nowMinute)}
              y={windowY + windowH + 17}
              textAnchor="middle"
              fontSize="13"
              fontWeight="700"
            >
              now
            </text>
          </g>
        )}
      </svg>
    </figure>
  );
}
