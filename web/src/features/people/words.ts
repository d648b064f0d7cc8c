import type { Limit, PersonLine } from '../../api/client';
import { WORDS } from '../../kit/words';

/** What somebody's hair is like, in a line: "13 to 17 · curly, thick, 64 cm, falls a quarter shorter". */
export function hairWords(p: PersonLine): string {
  const { hair } = p;
  const length = hair.stretchedCm
    ? `${hair.stretchedCm} cm`
    : hair.reaches
      ? WORDS.reaches[hair.reaches]
      : '';
  const words = [
    hair.pattern && WORDS.patterns[hair.pattern],
    hair.density && `${WORDS.densities[hair.density]} hair`,
    length,
    p.shrinkage ? `falls ${Math.round(p.shrinkage * 100)} % shorter` : '',
    p.up && hair.worn?.style ? WORDS.wornStyles[hair.worn.style] : '',
  ].filter(Boolean);
  return [p.age, words.join(', ')].filter(Boolean).join(' · ');
}

/** Half a number is a half: "1½ of 2". */
export function half(n: number): string {
  const whole = Math.floor(n);
  return n % 1 ? `${whole || ''}½` : String(whole);
}

/** What is graver than a word of care. */
export const grave = (limits: Limit[]) => limits.filter((l) => l.weight !== 'MIND');
