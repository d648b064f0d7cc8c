import { useElementSize } from '@mantine/hooks';
import { useId } from 'react';
import type { Prediction } from '../api/client';
import { figure } from '../kit/format';
import { Patterns } from './Patterns';
import { useDrag } from './useDrag';

interface Props {
  water: Prediction['water'];
  bottledMl: number;
  /** What was asked for, where it is ahead of the prediction that is on its way. */
  wantedMl?: number;
  /** What holds it back: "the leaves", "the seeds". */
  heldBy: string;
  /** When given, the dark edge of the bottles can be dragged to the volume wanted. */
  onWanted?: (ml: number) => void;
}

/** In = bottle + held + steam + cloth, drawn as one stream that parts. */
export function WaterAccount({ water, bottledMl, wantedMl, heldBy, onWanted }: Props) {
  const id = useId().replaceAll(':', '');
  const { ref, width } = useElementSize();
  const w = Math.max(300, width || 800);
  const narrow = w < 560;
  const potW = narrow ? 84 : 124;
  const potX = narrow ? 4 : 30;
  const left = potX + potW;
  const right = narrow ? w - 104 : w - 250;
  const tall = narrow ? 110 : 130;
  const scale = tall / Math.max(1, water.in);
  const parts = [
    {
      key: 'bottle',
      g: water.bottled,
      text: `${figure(bottledMl)} mL`,
      fill: 'var(--woad)',
      label: 'in the bottles',
    },
    {
      key: 'held',
      g: water.held,
      text: `${figure(water.held)} g`,
      fill: `url(#${id}-plant)`,
      label: `held by ${heldBy}`,
    },
    {
      key: 'steam',
      g: water.steam,
      text: `${figure(water.steam)} g`,
      fill: `url(#${id}-steam)`,
      label: 'steam',
    },
    {
      key: 'cloth',
      g: water.cloth,
      text: `${figure(water.cloth)} g`,
      fill: `url(#${id}-cloth)`,
      label: 'left in the cloth',
    },
  ];
  if (Math.abs(water.unaccounted) > 0.5) {
    parts.push({
      key: 'other',
      g: Math.abs(water.unaccounted),
      text: `${figure(Math.abs(water.unaccounted))} g`,
      fill: 'var(--paper)',
      label: water.unaccounted > 0 ? 'spilled or unseen' : 'more than reckoned',
    });
  }
  const gap = narrow ? 50 : 26;
  const top = 26;
  let fromY = top;
  let toY = top - 8;
  const bands = parts.map((part) => {
    const h = Math.max(3, part.g * scale);
    const band = { ...part, h, y0: fromY, y1: toY };
    fromY += part.g * scale;
    toY += Math.max(h, 12) + gap * 0.55;
    return band;
  });
  const height = Math.max(top + tall + 16, toY + 4);
  const mid = (left + right) / 2;
  const bottle = bands[0]!;
  const drag = useDrag(
    'y',
    wantedMl ?? bottledMl,
    [10, 20000],
    10,
    () => Math.max(0.5, water.in / tall),
    (ml) => onWanted?.(ml),
  );
  const said = parts.map((p) => `${p.text} ${p.label}`).join(', ');
  return (
    <figure className="flush" ref={ref}>
      <svg width="100%" viewBox={`0 0 ${w} ${height}`} role="group" aria-label="The water account">
        <title>{`${figure(water.in)} g goes in: ${said}`}</title>
        <Patterns id={id} />
        {bands.map((b) => (
          <path
            key={b.key}
            d={`M${left} ${b.y0} C${mid} ${b.y0} ${mid} ${b.y1} ${right} ${b.y1} v${b.h} C${mid} ${b.y1 + b.h} ${mid} ${b.y0 + b.h} ${left} ${b.y0 + b.h} z`}
            fill={b.fill}
            stroke="var(--ink)"
            strokeWidth="1.5"
          />
        ))}
        <path
          d={`M${potX} ${top - 14} V${top + tall - 4} q0 12 12 12 H${left - 12} q12 0 12 -12 V${top - 14}`}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="4"
        />
        <path
          d={`M${potX + 2} ${top} h${potW - 4} V${top + tall - 4} q0 10 -10 10 H${potX + 12} q-10 0 -10 -10z`}
          fill="var(--steam)"
        />
        <text
          x={potX + potW / 2}
          y={top + tall / 2}
          textAnchor="middle"
          className="display"
          fontSize={narrow ? 19 : 24}
        >
          {figure(water.in)} g
        </text>
        <text x={potX + potW / 2} y={top + tall / 2 + 20} textAnchor="middle" fontSize="14">
          goes in
        </text>
        {bands.map((b) => (
          <g key={b.key}>
            <text
              x={right + 18}
              y={b.y1 + Math.max(b.h, 4) / 2 + (narrow ? -1 : 6)}
              className="display"
              fontSize="17"
            >
              {b.text}
            </text>
            <text
              x={narrow ? right + 18 : right + 92}
              y={b.y1 + Math.max(b.h, 4) / 2 + (narrow ? 13 : 6)}
              fontSize={narrow ? 12 : 15}
            >
              {narrow ? b.label.replace('held by ', 'in ').replace('left in the ', '') : b.label}
            </text>
          </g>
        ))}
        {onWanted && (
          <g
            {...drag}
            aria-label="Wanted in the bottles, millilitres"
            aria-valuetext={`${figure(bottledMl)} mL`}
          >
            <rect
              x={right - 16}
              y={bottle.y1 - 14}
              width="32"
              height={bottle.h + 28}
              fill="transparent"
            />
            <rect
              className="grip"
              x={right - 5}
              y={bottle.y1 - 6}
              width="10"
              height={bottle.h + 12}
              rx="5"
              fill="var(--ink)"
            />
          </g>
        )}
      </svg>
    </figure>
  );
}
