import { useElementSize } from '@mantine/hooks';
import { useId } from 'react';
import type { Prediction, StepPlan } from '../api/client';
import { duration, type Format } from '../kit/format';
import { brewFrame, type BrewFrame } from './brewFrame';
import { clearPlace } from './clearPlace';
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

/** Time from left to right, temperature as a line, the long step with its window below. */
export function BrewLine({
  prediction,
  format,
  nowMinute,
  onMinutes,
  selected,
  readings = [],
  onSelect,
}: Props) {
  const id = useId().replaceAll(':', '');
  const { ref, width } = useElementSize();
  const w = Math.max(300, width || 800);
  const f = brewFrame(prediction, w, nowMinute);
  const { main, chosen } = f;
  const drag = useDrag(
    'x',
    Math.round(chosen),
    [0, Math.max(f.longest * 4, 60)],
    5,
    () => f.end / Math.max(1, (f.x1 - f.x0) * ((width || w) / w)),
    (m) => main && onMinutes?.(main.index, m),
  );
  const label = main
    ? `${duration(chosen)}, ${format.celsius(main.endC)}, strength ${Math.round(prediction.strengthPercent.value)} %`
    : '';
  return (
    <figure className="flush" ref={ref}>
      <svg width="100%" viewBox={`0 0 ${w} 250`} role="group" aria-label="The brew line">
        <title>{`The brew takes ${duration(prediction.totalMinutes)}. ${main ? `${main.headline}: ${label}.` : ''}`}</title>
        <Patterns id={id} />
        {f.ticks.map((t) => (
          <text key={t} x={f.x(t)} y={16} fontSize="13" textAnchor="middle" className="soft">
            {duration(t)}
          </text>
        ))}
        <Temperature f={f} prediction={prediction} format={format} readings={readings} />
        {prediction.steps.map((s) => (
          <rect
            key={s.index}
            x={f.x(s.startMinute)}
            y={f.bar.y}
            width={Math.max(2, f.x(s.endMinute) - f.x(s.startMinute))}
            height={f.bar.h}
            fill={s === main ? 'var(--woad)' : 'var(--ink)'}
            stroke="var(--linen)"
            strokeWidth="1.5"
          >
            <title>{`${s.headline}, ${duration(s.endMinute - s.startMinute)}`}</title>
          </rect>
        ))}
        {main?.window && <Window f={f} window={main.window} patterns={id} />}
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
            <LongStepEnd f={f} step={main} label={label} movable={Boolean(onMinutes)} />
          </g>
        )}
        {onSelect &&
          prediction.steps.map((s) => (
            <rect
              key={s.index}
              x={f.x(s.startMinute)}
              y={f.bar.y - 2}
              width={Math.max(6, f.x(s.endMinute) - f.x(s.startMinute))}
              height={f.bar.h + 4}
              fill="transparent"
              stroke={s.index === selected ? 'var(--woad)' : 'none'}
              strokeWidth="4"
              style={{ cursor: 'pointer' }}
              onClick={() => onSelect(s.index)}
            >
              <title>{s.headline}</title>
            </rect>
          ))}
        {nowMinute !== undefined && <Now f={f} minute={nowMinute} />}
      </svg>
    </figure>
  );
}

function Temperature({
  f,
  prediction,
  format,
  readings,
}: {
  f: BrewFrame;
  prediction: Prediction;
  format: Format;
  readings: NonNullable<Props['readings']>;
}) {
  const points = prediction.trace.map((p) => ({ x: f.x(p.minute), y: f.y(p.celsius) }));
  const line = points.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`);
  const uprights = f.main ? [f.x(f.main.endMinute)] : [];
  const named = (celsius: number, words: string) =>
    clearPlace(f.y(celsius) - 5, words.length * 6.6, 13, [f.x0, f.x1], points, uprights);
  const landmark = (l: Prediction['landmarks'][number]) =>
    `${format.celsius(l.celsius)}${f.narrow ? '' : ` ${l.words}`}`;
  return (
    <>
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
              d={`M${f.x0} ${f.y(l.celsius)}H${f.x1}`}
              stroke="var(--ink-soft)"
              strokeDasharray="2 5"
            />
            <text
              x={named(l.celsius, landmark(l))}
              y={f.y(l.celsius) - 5}
              fontSize="12.5"
              className="soft halo"
            >
              {landmark(l)}
            </text>
          </g>
        ))}
      {readings.slice(-80).map((r, i) => (
        <circle
          key={i}
          cx={f.x(r.minute)}
          cy={f.y(r.celsius)}
          r="4"
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="2"
        >
          <title>{`read: ${format.celsius(r.celsius)}`}</title>
        </circle>
      ))}
    </>
  );
}

/** The window of the long step: too early, right, late. */
function Window({
  f,
  window,
  patterns,
}: {
  f: BrewFrame;
  window: NonNullable<StepPlan['window']>;
  patterns: string;
}) {
  const spans = [
    {
      key: 'early',
      a: f.start,
      b: f.start + window.shortest!,
      fill: `url(#${patterns}-early)`,
      ink: 'var(--ink)',
      word: 'too early',
    },
    {
      key: 'right',
      a: f.start + window.shortest!,
      b: f.start + f.longest,
      fill: 'var(--nettle)',
      ink: 'var(--on-colour)',
      word: f.narrow ? 'right' : `right: ${duration(window.shortest!)} to ${duration(f.longest)}`,
    },
    {
      key: 'late',
      a: f.start + f.longest,
      b: Math.min(f.end, f.start + Math.max(f.longest * 1.6, f.chosen * 1.1)),
      fill: 'var(--weld-pale)',
      ink: 'var(--on-weld)',
      word: 'late',
    },
  ].filter((s) => s.b > s.a && s.a < f.end);
  return (
    <>
      {spans.map((s) => (
        <g key={s.key}>
          <rect
            x={f.x(s.a)}
            y={f.window.y}
            width={f.x(s.b) - f.x(s.a)}
            height={f.window.h}
            fill={s.fill}
            stroke="var(--ink)"
            strokeWidth="1.5"
          />
          {f.x(s.b) - f.x(s.a) > s.word.length * 7 + 8 && (
            <text
              x={(f.x(s.a) + f.x(s.b)) / 2}
              y={f.window.y + 18}
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
    </>
  );
}

/** Where the long step ends, with what comes of it. */
function LongStepEnd({
  f,
  step,
  label,
  movable,
}: {
  f: BrewFrame;
  step: StepPlan;
  label: string;
  movable: boolean;
}) {
  const strainX = f.x(step.endMinute);
  const labelLeft = strainX > (f.x0 + f.x1) / 2;
  return (
    <>
      {movable && (
        <rect x={strainX - 18} y={f.top - 10} width="36" height="180" fill="transparent" />
      )}
      <path
        d={`M${strainX} ${f.top - 4}V${f.window.y + f.window.h}`}
        stroke="var(--ink)"
        strokeWidth="2.5"
      />
      <circle className="grip" cx={strainX} cy={f.top - 4} r={movable ? 7 : 4} fill="var(--ink)" />
      <text
        x={strainX + (labelLeft ? -12 : 12)}
        y={f.top - 10}
        fontSize={f.narrow ? 12.5 : 14}
        fontWeight="700"
        className="halo"
        textAnchor={labelLeft ? 'end' : 'start'}
      >
        {label}
      </text>
    </>
  );
}

function Now({ f, minute }: { f: BrewFrame; minute: number }) {
  return (
    <g>
      <path
        d={`M${f.x(minute)} ${f.top + 12}V${f.window.y + f.window.h + 4}`}
        stroke="var(--woad)"
        strokeWidth="4"
      />
      <text
        x={Math.max(f.x0 + 14, Math.min(f.x1 - 14, f.x(minute)))}
        y={f.window.y + f.window.h + 17}
        textAnchor="middle"
        fontSize="13"
        fontWeight="700"
      >
        now
      </text>
    </g>
  );
}
