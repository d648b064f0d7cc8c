import type { components } from '../api/generated/schema';

type Hair = components['schemas']['HairJson'];

interface Props {
  hair: Hair;
  /** Drawn straight, cm; unknown hair is drawn to the chin. */
  lengthCm?: number | null;
  /** How much shorter it falls, 0 to 1. */
  shrinkage?: number | null;
  /** Whether it is up today. */
  up?: boolean;
  size?: number;
}

type Pattern = NonNullable<Hair['pattern']>;

/** How far the edge bends and how often, in px of the picture. */
const EDGE: Record<Pattern, { bend: number; every: number; round: boolean }> = {
  STRAIGHT: { bend: 0, every: 10, round: false },
  WAVY: { bend: 1.7, every: 9, round: false },
  CURLY: { bend: 3, every: 9, round: true },
  COILED: { bend: 2.6, every: 6.4, round: true },
  TIGHTLY_COILED: { bend: 2, every: 4.4, round: true },
};

/** Beyond the face on each side, px: thin hair lies on, thick hair stands off. */
const BODY = { FINE: 2.5, USUAL: 4.5, DENSE: 8 };

const MIDDLE = 40;
const FACE = { y: 33, rx: 13, ry: 16 };

/** The hair behind the face, from the left end over the crown to the right; ends at a height. */
function behind(body: number, end: number, { bend, every, round }: (typeof EDGE)[Pattern]): string {
  const rx = FACE.rx + body;
  const crown = FACE.y - 4;
  const ry = FACE.ry + body * 0.8 - 4;
  // Long hair falls wider than the head, and comes together a little at its ends.
  const flare = Math.max(0, (end - 50) * 0.12) + (round ? Math.max(0, (end - 44) * 0.22) : 0);
  const points: string[] = [];
  const put = (x: number, y: number, nx: number, ny: number, s: number) => {
    const wave = Math.sin((s / every) * Math.PI);
    const out = bend * (round ? Math.abs(wave) : wave);
    points.push(`${(x + nx * out).toFixed(1)} ${(y + ny * out).toFixed(1)}`);
  };
  const side = Math.max(1, end - crown);
  let s = 0;
  for (let y = end; y > crown; y -= 0.8, s += 0.8) {
    put(MIDDLE - rx - flare * ((y - crown) / side), y, -1, 0, s);
  }
  for (let turn = Math.PI; turn <= 2 * Math.PI; turn += 0.05, s += 0.05 * rx) {
    put(
      MIDDLE + Math.cos(turn) * rx,
      crown + Math.sin(turn) * ry,
      Math.cos(turn),
      Math.sin(turn),
      s,
    );
  }
  for (let y = crown; y < end; y += 0.8, s += 0.8) {
    put(MIDDLE + rx + flare * ((y - crown) / side), y, 1, 0, s);
  }
  for (let x = rx + flare; x > -rx - flare; x -= 0.8, s += 0.8) {
    put(MIDDLE + x, end, 0, 1, s);
  }
  return `M${points.join('L')}Z`;
}

/** Rows of plaits over the crown, and their tails beside the face. */
function Rows({ style, end }: { style: string; end: number }) {
  if (style === 'WRAP') {
    return (
      <path
        d="M24 31q-1 -21 16 -22q17 1 16 22q-16 -10 -32 0zM54 14q8 -8 11 -1q-1 6 -10 5z"
        fill="var(--woad)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
    );
  }
  const tail = Math.max(40, end);
  return (
    <>
      <path d="M26 31q-1 -19 14 -20q15 1 14 20q-14 -9 -28 0z" fill="var(--ink)" />
      {[-9, -3, 3, 9].map((x) => (
        <path
          key={x}
          d={`M${MIDDLE + x} ${26 + Math.abs(x) * 0.3}Q${MIDDLE + x * 0.8} 18 ${MIDDLE + x * 0.4} 11.5`}
          fill="none"
          stroke="var(--linen)"
          strokeWidth="1.5"
        />
      ))}
      {[-15.5, 15.5].map((x) => (
        <path
          key={x}
          d={`M${MIDDLE + x} 27V${tail}`}
          stroke="var(--ink)"
          strokeWidth="6"
          strokeDasharray={style === 'TWISTS' ? '7 1' : '4.5 1.2'}
        />
      ))}
    </>
  );
}

/** Somebody, by their hair: as long, as thick and as curled as it is. No face is drawn. */
export function HairMark({ hair, lengthCm, shrinkage, up = false, size = 64 }: Props) {
  const pattern = hair.pattern ?? 'STRAIGHT';
  const style = hair.worn?.style ?? 'LOOSE';
  const falls = (lengthCm ?? 20) * (1 - (shrinkage ?? 0));
  const end = 27 + Math.min(60, falls * 0.95);
  const worn = up && style !== 'LOOSE';
  return (
    <svg
      className="hair-mark"
      width={size}
      height={size * 1.1}
      viewBox="0 0 80 88"
      aria-hidden="true"
    >
      {!worn && (
        <path d={behind(BODY[hair.density ?? 'USUAL'], end, EDGE[pattern])} fill="var(--ink)" />
      )}
      <path
        d="M8 88q2 -21 25 -24v-14h14v14q23 3 25 24z"
        fill="var(--cloth)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      <ellipse
        cx={MIDDLE}
        cy={FACE.y}
        rx={FACE.rx}
        ry={FACE.ry}
        fill="var(--cloth)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {worn ? (
        <Rows style={style} end={end} />
      ) : (
        <path
          d="M26.5 31q-1 -16 13.5 -16q14.5 0 13.5 16q-4 -8 -11 -9.5q-9 1 -16 9.5z"
          fill="var(--ink)"
        />
      )}
    </svg>
  );
}
