import type { Prediction } from '../../api/client';
import { figure } from '../../kit/format';
import { WORDS } from '../../kit/words';

/** What it will be filled into, and what is to be done for that first. */
export function FillInto({ filling }: { filling: Prediction['filling'] }) {
  return (
    <section aria-labelledby="filled-into">
      <h2 id="filled-into">Into {inWords(filling.containers)}</h2>
      {filling.advice.map((words) => (
        <p key={words} className="soft">
          {words}
        </p>
      ))}
    </section>
  );
}

/** The same containers together: "2 jars of 250 mL, 1 jar of 100 mL". */
export function inWords(containers: Prediction['filling']['containers']): string {
  const counts = new Map<string, number>();
  for (const c of containers) {
    const words = WORDS.containers[c.container];
    const key = `${words} of ${figure(c.sizeMl)} mL`;
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return [...counts]
    .map(([words, count]) => (count === 1 ? `a ${words}` : `${count} × ${words}`))
    .join(', ');
}
