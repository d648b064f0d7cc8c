import type { Prediction } from '../../api/client';
import { figure } from '../../app/format';

/** What to measure out, in grams and in the household's own measures with their error. */
export function WeighOut({ prediction, stale }: { prediction: Prediction; stale?: boolean }) {
  return (
    <section className="sheet" aria-labelledby="weigh" style={{ opacity: stale ? 0.35 : 1 }}>
      <h2 id="weigh">Weigh out</h2>
      <ul className="lines" style={{ marginTop: 6 }}>
        {prediction.amounts.map((a) => (
          <li key={a.ingredient} className="figure-line">
            <span className="strong">{a.name}</span>
            <span className="strong">
              {a.drops != null ? `${a.drops} drops` : `${figure(a.grams)} g`}
            </span>
            <span className="soft small">
              {a.scoops || 'less than the smallest spoon'}
              {Math.abs(a.scoopErrorPercent) >= 0.5 && a.scoops
                ? ` · ${a.scoopErrorPercent > 0 ? '+' : '−'}${figure(Math.abs(a.scoopErrorPercent))} %`
                : ''}
              {' · '}
              {figure(a.millilitres)} mL
            </span>
          </li>
        ))}
      </ul>
      <p className="soft small" style={{ borderTop: '2px solid var(--ink)', paddingTop: 10 }}>
        In the {prediction.vessels.map((v) => v.name.toLowerCase()).join(' and ')}.
        {prediction.strengths[0] &&
          ` ${figure(prediction.strengths[0].gramsPer100Ml)} g of plant to 100 mL.`}
        {prediction.thickness && ` When cold: ${prediction.thickness.words}.`}
      </p>
    </section>
  );
}
