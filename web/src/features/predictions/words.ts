import { duration } from '../../kit/format';
import { mainStep } from '../../signature/brewFrame';
import type { Prediction } from '../../api/client';

/** What holds the water back, by the kind of plant. */
export function plural(kind: string): string {
  if (kind.includes('leaf')) return 'the leaves';
  if (kind.includes('seed')) return 'the seeds';
  if (kind.includes('flower')) return 'the flowers';
  return kind.includes('powder') ? 'the powder' : 'the plants';
}

/** How much there may be to bottle; empty where nothing moves it. */
export function rangeWords(p: Prediction): string {
  const { low, value, high } = p.bottledMl;
  if (low == null || high == null) return '';
  return `About ${Math.round(value)} mL to bottle; between ${Math.round(low)} and ${Math.round(high)} mL, as cloths, lids and plants differ.`;
}

/** When it can be strained, of a brew that is ever hot; and what becomes of its longest step if late. */
export function coolWords(p: Prediction, celsius: (c: number) => string): string {
  const late = mainStep(p.steps)?.guide.late ?? '';
  const strain = p.landmarks.find((l) => l.id === 'STRAIN');
  const hot = p.steps.some((s) => Math.max(s.startC, s.endC) > (strain?.celsius ?? 60));
  if (!hot) return late;
  const cool =
    strain?.minute == null
      ? ''
      : `Cool enough to strain (${celsius(strain.celsius)}) after ${duration(strain.minute)}.`;
  // What is still hot when it is strained is warned of at its step.
  return [cool, late].filter(Boolean).join(' ');
}
