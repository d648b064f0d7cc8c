import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { api, ask, keys, type Prediction } from '../../api/client';
import { figure } from '../../kit/format';
import { done } from '../../kit/states';
import { Why } from './Why';
import './predictions.css';

interface Props {
  title: string;
  prediction: Prediction;
  stale?: boolean;
}

/**
 * What to measure out, in the order in which the steps take it, in grams and in the household's own
 * measures; what the stores lack; what it costs.
 */
export function WeighOut({ title, prediction: p, stale }: Props) {
  const stored = p.amounts.filter((a) => a.kind !== 'water' && !a.material.startsWith('brew:'));
  const grams = Object.fromEntries(stored.map((a) => [a.material, Math.round(a.grams * 10) / 10]));
  const onHand = useQuery({
    queryKey: [...keys.stores, 'check', grams],
    queryFn: () => ask(api.POST('/api/stores/check', { body: { grams } })),
    placeholderData: (before) => before,
  });
  const lacking = (material: string) => {
    const found = onHand.data?.find((h) => h.material === material);
    return found && found.leftGrams > 0 && found.missingGrams > 0.05
      ? `${figure(found.missingGrams)} g missing`
      : found && found.leftGrams === 0
        ? 'not in the stores'
        : '';
  };
  const sorted = inOrder(p);
  const text = () =>
    [
      title,
      ...sorted.map((a) =>
        [
          a.name,
          a.drops != null ? `${a.drops} drops` : `${figure(a.grams)} g`,
          a.scoops && `(${a.scoops})`,
          lacking(a.material) && `- ${lacking(a.material)}`,
        ]
          .filter(Boolean)
          .join(' '),
      ),
    ].join('\n');
  const send = async () => {
    if (navigator.share) {
      try {
        await navigator.share({ title, text: text() });
      } catch {
        // Closed without sending: nothing to say.
      }
      return;
    }
    await navigator.clipboard.writeText(text());
    done('The list is in the clipboard', () => undefined);
  };
  return (
    <section className={stale ? 'sheet gather stale' : 'sheet gather'} aria-labelledby="weigh">
      <h2 id="weigh">Weigh out</h2>
      <p className="only-print">{title}</p>
      <ul className="lines above-s">
        {sorted.map((a) => (
          <li key={a.ingredient} className="figure-line">
            <span className="strong">{a.name}</span>
            <span className="strong">
              {a.drops != null ? `${a.drops} drops` : `${figure(a.weighed ?? a.grams)} g`}
            </span>
            <span className="soft small">
              {a.weighed == null && a.drops == null && 'too little for your scale: '}
              {a.scoops || 'less than the smallest spoon'}
              {Math.abs(a.scoopErrorPercent) >= 0.5 && a.scoops
                ? ` · ${a.scoopErrorPercent > 0 ? '+' : '−'}${figure(Math.abs(a.scoopErrorPercent))} %`
                : ''}
              {spoonRange(a)}
              {lacking(a.material) && <b className="lacking"> {lacking(a.material)}</b>}
            </span>
          </li>
        ))}
      </ul>
      <div className="sum">
        <p className="soft small">
          <span className="no-print">
            Amounts <Why result="amount" prediction={p} />
          </span>{' '}
          In the {p.vessels.map((v) => v.name.toLowerCase()).join(' and ')}.
          {p.strengths[0] && ` ${figure(p.strengths[0].gramsPer100Ml)} g of plant to 100 mL`}
          {p.strengths[0] && <Why result="strength" prediction={p} />}
        </p>
        {p.thickness && (
          <p className="soft small">
            When cold: {p.thickness.words}, {figure(p.thickness.cold)} mPa·s
            <Why result="thickness" prediction={p} />
          </p>
        )}
        {p.loads.map((l) => (
          <p key={l.step} className="small">
            Step {l.step + 1}: fill the {l.equipment} {l.fillings} times.
          </p>
        ))}
        {p.cost && (
          <p className="small">
            Costs {p.cost.total.toFixed(2)}, {p.cost.per100Ml.toFixed(2)} for 100 mL
            {p.cost.ofShopPrice != null &&
              `, ${Math.round(p.cost.ofShopPrice * 100)} % of the shop’s price`}
            <Why result="cost" prediction={p} />
            {p.cost.unpriced.filter((u) => u !== 'water').length > 0 && (
              <span className="soft">
                {' '}
                Without a price: {p.cost.unpriced.filter((u) => u !== 'water').join(', ')}.
              </span>
            )}
          </p>
        )}
        <p className="row no-print">
          <Button variant="subtle" size="compact-md" onClick={() => window.print()}>
            Print the list
          </Button>
          <Button variant="subtle" size="compact-md" onClick={() => void send()}>
            Send it
          </Button>
        </p>
      </div>
    </section>
  );
}

/** The amounts in the order in which the steps take them. */
function inOrder(p: Prediction): Prediction['amounts'] {
  const order = p.steps.flatMap((s) => s.ingredients);
  const at = (key: string) => {
    const i = order.indexOf(key);
    return i < 0 ? order.length : i;
  };
  return [...p.amounts].sort((a, b) => at(a.ingredient) - at(b.ingredient));
}

/** A spoon of leaf weighs what it happens to weigh: said where it matters. */
function spoonRange(a: Prediction['amounts'][number]): string {
  const g = a.scoopGrams;
  return a.plant && a.scoops && g?.low != null && g.high != null && g.high > g.low * 1.15
    ? ` (weighs ${figure(g.low)} to ${figure(g.high)} g)`
    : '';
}
