import { useId } from 'react';
import type { Practice } from '../api/client';

interface Props {
  pot: Practice['pot'];
  /** What the hob gives, 0 to 1. */
  heat: number;
  lid: boolean;
  onHob: boolean;
  /** The same in words. */
  looks: string[];
}

const BRIM = 48;
const FLOOR = 190;

/** A pot as an eye sees it: level, bubbles, froth, steam, what hangs from the spoon, what catches. */
export function LivePot({ pot, heat, lid, onHob, looks }: Props) {
  const id = useId().replaceAll(':', '');
  if (!pot) {
    return (
      <svg width="100%" viewBox="0 0 360 232" role="img" aria-label={looks.join(' ')}>
        <path d="M20 206H340" stroke="var(--ink)" strokeWidth="4" />
      </svg>
    );
  }
  const jar = pot.kind === 'JAR' || pot.kind === 'BLENDER';
  const x0 = jar ? 115 : 70;
  const x1 = jar ? 245 : 290;
  const round = pot.kind === 'BOWL' ? 60 : 14;
  const outline = `M${x0} ${BRIM} V${FLOOR - round} q0 ${round} ${round} ${round} H${x1 - round} q${round} 0 ${round} -${round} V${BRIM}`;
  const level = FLOOR - (FLOOR - BRIM) * Math.min(1, pot.fill);
  const froth = Math.min(1.25, pot.froth) * (level - BRIM);
  const wisps = Math.min(7, Math.round(pot.steam / 4));
  const drop = 10 + (1 - pot.thick) * 44;
  return (
    <svg width="100%" viewBox="0 0 360 232" role="img" aria-label={looks.join(' ')}>
      <clipPath id={id}>
        <path d={outline + 'z'} />
      </clipPath>
      <path d={outline + 'z'} fill="var(--paper)" />
      <g clipPath={`url(#${id})`}>
        <rect className="moves" x="0" y={level} width="360" height="200" fill={`#${pot.tint}`} />
        {pot.boils &&
          heat > 0 &&
          Array.from({ length: 4 + Math.round(heat * 10) }, (_, i) => (
            <circle
              key={i}
              className="bubble"
              cx={x0 + 12 + ((i * 61) % (x1 - x0 - 24))}
              cy={FLOOR - 8}
              r={3 + (i % 3)}
              fill="none"
              stroke="var(--ink)"
              strokeWidth="1.5"
              style={{ animationDelay: `${(i % 7) * 0.17}s` }}
            />
          ))}
        {pot.caught > 0.05 && (
          <rect
            x={x0}
            y={FLOOR - 4 - 10 * pot.caught}
            width={x1 - x0}
            height="20"
            fill="var(--ink)"
            opacity={0.3 + 0.7 * pot.caught}
          />
        )}
      </g>
      {pot.froth > 0.04 && (
        <g className="moves" fill="var(--steam)" stroke="var(--ink-soft)" strokeWidth="1.5">
          <rect x={x0 + 3} y={level - froth} width={x1 - x0 - 6} height={froth + 4} stroke="none" />
          {Array.from({ length: Math.floor((x1 - x0) / 18) }, (_, i) => (
            <circle
              key={i}
              cx={x0 + 12 + i * 18}
              cy={level - froth + (i % 2) * 3}
              r={7 + (i % 3)}
            />
          ))}
          {pot.froth > 1 && (
            <path
              d={`M${x0 - 3} ${BRIM}q-14 30 -6 ${FLOOR - BRIM} M${x1 + 3} ${BRIM}q14 30 6 ${FLOOR - BRIM}`}
              fill="none"
              stroke="var(--linseed)"
              strokeWidth="9"
              strokeLinecap="round"
            />
          )}
        </g>
      )}
      <path d={outline} fill="none" stroke="var(--ink)" strokeWidth="5" />
      {pot.kind === 'POT' && (
        <path d={`M${x0 - 34} 74h30v12h-30zM${x1 + 4} 74h30v12h-30z`} fill="var(--ink)" />
      )}
      {lid && (
        <path
          d={`M${x0 - 10} ${BRIM - 4}h${x1 - x0 + 20}v-8h-${x1 - x0 + 20}z M170 ${BRIM - 12}h20v-10h-20z`}
          fill="var(--ink)"
        />
      )}
      {Array.from({ length: wisps }, (_, i) => (
        <path
          key={i}
          className="wisp"
          d={`M${180 + (i - (wisps - 1) / 2) * 26} 30c-7 -8 7 -12 0 -22`}
          fill="none"
          stroke="var(--ink-soft)"
          strokeWidth="3.5"
          strokeLinecap="round"
        />
      ))}
      {/* The spoon beside it: a drop falls long from thin, and hangs from thick. */}
      <path d="M306 104q16 -6 32 0" fill="none" stroke="var(--ink)" strokeWidth="5" />
      <path
        className="moves"
        d={`M322 108v${drop}`}
        stroke={`#${pot.tint}`}
        strokeWidth={3 + pot.thick * 12}
        strokeLinecap="round"
      />
      <path d="M20 206H340" stroke="var(--ink)" strokeWidth="4" />
      {onHob &&
        Array.from({ length: 9 }, (_, i) => (
          <path
            key={i}
            d={`M${84 + i * 24} 204v${-12 * heat}`}
            stroke="var(--weld)"
            strokeWidth="6"
            strokeLinecap="round"
            opacity={heat > 0 ? 1 : 0}
          />
        ))}
      <text x="20" y="226" className="band-name">
        {pot.vessel}
        {onHob ? (heat > 0 ? `, hob at ${Math.round(heat * 100)} %` : ', hob off') : ''}
      </text>
    </svg>
  );
}
