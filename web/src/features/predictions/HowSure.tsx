import type { Prediction } from '../../api/client';
import { duration, figure, type Format } from '../../kit/format';
import { Why } from './Why';

interface Props {
  prediction: Prediction;
  format: Format;
}

/** Every estimated figure with its range and what moves it most. */
export function HowSure({ prediction, format }: Props) {
  const lines = Object.entries(prediction.ranges)
    .filter(([name]) => name !== 'strength')
    .map(([name, range]) => ({ name, range, told: told(name, prediction, format) }))
    .filter((line) => line.told !== undefined);
  if (lines.length === 0) return null;
  return (
    <details>
      <summary>How sure every figure is</summary>
      <ul className="lines small">
        {lines.map(({ name, range, told }) => {
          const most = prediction.influences.find((i) => i.result === name);
          const { words, write } = told!;
          return (
            <li key={name}>
              <b>{words}:</b> {write(range.value)}
              {range.low != null && range.high != null && range.low < range.high && (
                <span>
                  , between {write(range.low)} and {write(range.high)}
                </span>
              )}
              {most && <span className="soft"> · mostly {lower(most.what)}</span>}
              {WITH_REASON.has(name) && <Why result={name} prediction={prediction} />}
            </li>
          );
        })}
      </ul>
    </details>
  );
}

/** Those that are not asked about elsewhere on the page. */
const WITH_REASON = new Set(['ph', 'alcohol']);

interface Told {
  words: string;
  write: (value: number) => string;
}

const grams = (g: number) => `${figure(g)} g`;
const percent = (p: number) => `${figure(p)} %`;
const thick = (t: number) => `${figure(t)} mPa·s`;
const hours = (h: number) => duration(h * 60);

function told(name: string, p: Prediction, format: Format): Told | undefined {
  const [kind, of] = name.split(':');
  switch (kind) {
    case 'bottled':
      return { words: 'In the bottle', write: format.ml };
    case 'held':
      return { words: 'Held by the plants', write: grams };
    case 'steam':
      return { words: 'Steam', write: grams };
    case 'cloth':
      return { words: 'Left in the cloth', write: grams };
    case 'time':
      return { words: 'Time in all', write: duration };
    case 'strength': {
      const plant = p.amounts.find((a) => a.ingredient === of)?.name ?? of ?? '';
      return { words: `Strength of ${lower(plant)}`, write: percent };
    }
    case 'alcohol':
      return p.alcoholPercent > 0.05
        ? { words: 'Alcohol', write: (a) => `${figure(a)} % vol` }
        : undefined;
    case 'ph':
      return {
        words: p.ph?.read ? 'pH, as it was read' : 'pH',
        write: (ph) => ph.toFixed(1),
      };
    case 'thickness':
      return { words: 'Thickness, cold', write: thick };
    case 'thicknessHot':
      return { words: 'Thickness, when strained', write: thick };
    case 'reached': {
      const mark = p.landmarks.find((l) => l.id === of);
      return mark && { words: `Until ${lower(mark.words)}`, write: duration };
    }
    case 'keeps':
      return { words: 'Keeps, from the first step', write: hours };
    default:
      return undefined;
  }
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
