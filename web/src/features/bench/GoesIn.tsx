import type { components } from '../../api/generated/schema';
import { figure } from '../../kit/format';

type Goes = components['schemas']['GoesInJson'];

/** What goes in at this step: name, amount, and why it is another one than planned. */
export function GoesIn({ goes }: { goes: Goes[] }) {
  if (goes.length === 0) return null;
  return (
    <ul className="lines goes-in" aria-label="Goes in now">
      {goes.map((g) => (
        <li key={g.portion.ingredient}>
          <span className="strong">{g.portion.name}</span>
          <span className="amount">
            {g.portion.drops != null ? drops(g.portion.drops) : `${figure(g.portion.grams)} g`}
          </span>
          <span className="soft">{beside(g)}</span>
          {g.plannedGrams != null && (
            <span className="changed">
              Planned: {figure(g.plannedGrams)} g. {g.why}
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

const drops = (n: number) => `${n} ${n === 1 ? 'drop' : 'drops'}`;

/** The same amount for a spoon or a scale, and the dose that it comes from. */
function beside({ portion, dose, weighed }: Goes): string {
  return [
    portion.drops != null ? `${figure(portion.grams)} g` : portion.scoops,
    dose,
    weighed ? 'as you weighed it' : '',
  ]
    .filter(Boolean)
    .join(' · ');
}
