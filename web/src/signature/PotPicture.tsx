import { useId } from 'react';

interface Props {
  kind: string;
  /** How full it is, 0 to 1. */
  fill: number;
  /** °C; steam is drawn above 50. */
  celsius: number;
  /** Written in the middle. */
  label: string;
  tint: string;
  covered: boolean;
  /** Said to who cannot see it; that it is at what is written in the middle where left out. */
  says?: string;
}

/** The pot, jar or bowl with its level, its steam and its temperature. */
export function PotPicture({ kind, fill, celsius, label, tint, covered, says }: Props) {
  const id = useId().replaceAll(':', '');
  const jar = kind === 'JAR' || kind === 'BLENDER';
  const x0 = jar ? 110 : 60;
  const x1 = jar ? 250 : 300;
  const round = kind === 'BOWL' ? 70 : 16;
  const outline = `M${x0} 40 V${170 - round} q0 ${round} ${round} ${round} H${x1 - round} q${round} 0 ${round} -${round} V40`;
  const level = 166 - 118 * Math.max(0, Math.min(1, fill));
  return (
    <svg width="100%" viewBox="0 0 360 180" role="img" aria-label={says ?? `It is at ${label}`}>
      <clipPath id={id}>
        <path d={outline + 'z'} />
      </clipPath>
      <path d={outline + 'z'} fill="var(--paper)" />
      <rect x="0" y={level} width="360" height="180" fill={`#${tint}`} clipPath={`url(#${id})`} />
      <path d={outline} fill="none" stroke="var(--ink)" strokeWidth="5" />
      {kind === 'POT' && <path d="M24 66h30v12h-30zM306 66h30v12h-30z" fill="var(--ink)" />}
      {covered && (
        <path d={`M${x0 - 10} 36h${x1 - x0 + 20}v-8h-${x1 - x0 + 20}z`} fill="var(--ink)" />
      )}
      {celsius > 50 &&
        [-50, 0, 50].map((dx) => (
          <path
            key={dx}
            d={`M${180 + dx} 24c-6 -6 6 -8 0 -16`}
            fill="none"
            stroke="var(--ink-soft)"
            strokeWidth="3"
          />
        ))}
      <g>
        <rect x="126" y="88" width="108" height="42" rx="3" fill="var(--paper)" fillOpacity=".9" />
        <text x="180" y="119" textAnchor="middle" className="display" fontSize="25">
          {label}
        </text>
      </g>
    </svg>
  );
}
