import { useId } from 'react';
import type { Container } from '../api/client';

interface Props {
  container: Container;
  /** Share of its size that is filled, 0 to 1. */
  fill: number;
  /** Six hexadecimal digits. */
  tint: string;
  sizeMl: number;
  /** Drawn larger or smaller than its size alone would have it. */
  scale?: number;
}

const SHAPES: Record<
  Container,
  { body: string; top: string; w: number; h: number; from: number; to: number }
> = {
  SPRAY: {
    body: 'M14 60 q0 -16 14 -20 v-8 h16 v8 q14 4 14 20 v84 q0 8 -8 8 h-28 q-8 0 -8 -8z',
    top: 'M27 32 v-14 h-12 q-6 0 -6 -8 q12 -6 30 -6 q18 0 22 12 l-8 2 q-2 6 -8 6 v8z',
    w: 72,
    h: 154,
    from: 152,
    to: 44,
  },
  TRIGGER: {
    body: 'M12 64 q0 -18 16 -24 v-8 h16 v8 q16 6 16 24 v80 q0 8 -8 8 h-32 q-8 0 -8 -8z',
    top: 'M27 32 v-18 h-16 v-10 h34 q14 2 16 14 l-10 0 l6 18 h-6 l-8 -16 v12z',
    w: 72,
    h: 154,
    from: 152,
    to: 46,
  },
  APPLICATOR: {
    body: 'M14 66 q0 -12 16 -18 h12 q16 6 16 18 v78 q0 8 -8 8 h-28 q-8 0 -8 -8z',
    top: 'M30 48 l4 -34 q2 -4 4 0 l4 34z',
    w: 72,
    h: 154,
    from: 152,
    to: 52,
  },
  JAR: {
    body: 'M8 64 q0 -8 8 -10 h56 q8 2 8 10 v80 q0 8 -8 8 h-56 q-8 0 -8 -8z',
    top: 'M12 52 v-12 q0 -4 4 -4 h56 q4 0 4 4 v12z',
    w: 88,
    h: 154,
    from: 152,
    to: 58,
  },
  CUBES: {
    body: 'M6 104 h92 v42 q0 6 -6 6 h-80 q-6 0 -6 -6z',
    top: 'M6 104 h92 v-4 h-92z',
    w: 104,
    h: 154,
    from: 150,
    to: 106,
  },
};

/** A container drawn as what it is, at its real fill and in the brew's own tint. */
export function BottlePicture({ container, fill, tint, sizeMl, scale = 1 }: Props) {
  const id = useId().replaceAll(':', '');
  const shape = SHAPES[container];
  // A litre is drawn about half as tall again as a small bottle: told apart, and still on one board.
  const size = scale * (0.62 + 0.38 * Math.min(1, Math.cbrt(sizeMl / 500)));
  const level = shape.from - (shape.from - shape.to) * Math.max(0, Math.min(1, fill));
  return (
    <svg
      width={shape.w * size}
      height={shape.h * size}
      viewBox={`0 0 ${shape.w} ${shape.h}`}
      aria-hidden="true"
    >
      <clipPath id={id}>
        <path d={shape.body} />
      </clipPath>
      <path d={shape.body} fill="var(--paper)" />
      <rect
        x="0"
        y={level}
        width={shape.w}
        height={shape.h}
        fill={`#${tint}`}
        clipPath={`url(#${id})`}
      />
      <path
        d={`M0 ${level}h${shape.w}`}
        stroke="#fff"
        strokeOpacity=".5"
        clipPath={`url(#${id})`}
      />
      <path d={shape.body} fill="none" stroke="var(--ink)" strokeWidth="2.6" />
      <path d={shape.top} fill="var(--ink)" />
    </svg>
  );
}
