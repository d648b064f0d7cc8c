import { SegmentedControl } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { useId, useState } from 'react';
import { Link } from 'react-router';
import { useWaste } from '../../api/queries';
import { figure } from '../../kit/format';
import { Empty, Failed, Waiting } from '../../kit/states';
import { Patterns } from '../../signature/Patterns';
import { WORDS } from '../../kit/words';

const litres = (ml: number) => (ml >= 1000 ? `${figure(ml / 1000)} L` : `${Math.round(ml)} mL`);

/** What was brewed, used and thrown away, and what would throw less away. */
export function WastePage() {
  const [months, setMonths] = useState('6');
  const waste = useWaste(Number(months));
  if (waste.isPending) return <Waiting />;
  if (!waste.data) {
    return (
      <main className="page" id="main">
        <Failed error={waste.error} again={() => waste.refetch()} />
      </main>
    );
  }
  const { brewedMl, usedMl, thrownMl, thrownShare, formulas } = waste.data;
  const advised = formulas.filter((f) => f.advice);
  return (
    <main className="page" id="main">
      <p className="soft">
        <Link to="/keep">The shelf</Link>
      </p>
      <div className="spread">
        <h1>
          {brewedMl > 0 ? `${Math.round(thrownShare * 100)} % thrown away` : 'Used and thrown away'}
        </h1>
        <SegmentedControl
          aria-label="Over how long"
          data={[
            { value: '3', label: '3 months' },
            { value: '6', label: '6' },
            { value: '12', label: '12' },
          ]}
          value={months}
          onChange={setMonths}
        />
      </div>
      {brewedMl === 0 ? (
        <Empty title="Nothing was bottled in this time.">
          <p>What you brew, use and throw away adds up here.</p>
        </Empty>
      ) : (
        <>
          <p>
            {litres(brewedMl)} bottled, {litres(usedMl)} used, {litres(thrownMl)} thrown away.
          </p>
          <Months months={waste.data.months} />
          <section className="above-l">
            <h2>What to change</h2>
            {advised.length === 0 && <p>Little is wasted. Go on like this.</p>}
            <ul className="lines">
              {advised.slice(0, 6).map((f) => (
                <li key={f.formulaId}>
                  <b>{f.name}</b>: {litres(f.thrownMl)} of {litres(f.brewedMl)} thrown away
                  {f.thrownCost > 0.005 ? `, ${f.thrownCost.toFixed(2)} of its cost` : ''}.{' '}
                  {f.advice} <Link to={`/choose/${f.formulaId}/measure`}>Measure it anew</Link>
                </li>
              ))}
            </ul>
          </section>
          <section className="above-l wide-table">
            <h2>By formula</h2>
            <table className="compared">
              <thead>
                <tr>
                  <td />
                  <th>batches</th>
                  <th>bottled</th>
                  <th>used</th>
                  <th>thrown away</th>
                  <th>why</th>
                </tr>
              </thead>
              <tbody>
                {formulas.map((f) => (
                  <tr key={f.formulaId}>
                    <th scope="row">{f.name}</th>
                    <td>{f.batches}</td>
                    <td>{litres(f.brewedMl)}</td>
                    <td>{litres(f.usedMl)}</td>
                    <td className={f.thrownMl > 0 ? 'strong' : ''}>{litres(f.thrownMl)}</td>
                    <td>
                      {f.reasons
                        .map((r) => `${WORDS.discardReasons[r.reason]} ${litres(r.millilitres)}`)
                        .join(', ')}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        </>
      )}
    </main>
  );
}

type Month = NonNullable<ReturnType<typeof useWaste>['data']>['months'][number];

/** Used and thrown away by month, upright: solid is used, torn hatching is thrown away. */
function Months({ months }: { months: Month[] }) {
  const id = useId().replaceAll(':', '');
  const most = Math.max(1, ...months.map((m) => Math.max(m.brewedMl, m.usedMl + m.thrownMl)));
  const { ref, width } = useElementSize();
  const all = Math.max(300, width || 880);
  const narrow = all < 560;
  const step = (all - 20) / months.length;
  const h = (ml: number) => (ml / most) * 150;
  return (
    <svg
      ref={ref}
      width="100%"
      viewBox={`0 0 ${all} 214`}
      role="img"
      aria-label={months
        .map(
          (m) =>
            `${m.month}: ${litres(m.brewedMl)} bottled, ${litres(m.usedMl)} used, ${litres(m.thrownMl)} thrown away`,
        )
        .join('; ')}
    >
      <Patterns id={id} />
      {months.map((m, i) => {
        const x = 10 + i * step;
        const w = Math.min(90, step * 0.7);
        return (
          <g key={m.month}>
            <rect
              x={x}
              y={170 - h(m.brewedMl)}
              width={w}
              height={h(m.brewedMl)}
              fill="none"
              stroke="var(--ink)"
              strokeWidth="2"
            />
            <rect
              x={x + 3}
              y={170 - h(m.usedMl)}
              width={w - 6}
              height={h(m.usedMl)}
              fill="var(--nettle)"
            />
            <rect
              x={x + 3}
              y={170 - h(m.usedMl) - h(m.thrownMl)}
              width={w - 6}
              height={h(m.thrownMl)}
              fill="var(--madder)"
            />
            <path
              d={`M${x + 3} ${170 - h(m.usedMl)}h${w - 6}`}
              stroke="var(--paper)"
              strokeWidth="3"
              strokeDasharray="6 4"
            />
            <text x={x + w / 2} y="190" fontSize="14" textAnchor="middle">
              {m.month.slice(5)}/{m.month.slice(2, 4)}
            </text>
            {m.thrownMl > 0 && (
              <text x={x + w / 2} y="208" fontSize="13" textAnchor="middle" className="soft">
                {Math.round(m.thrownShare * 100)} %{narrow ? '' : ' away'}
              </text>
            )}
          </g>
        );
      })}
      <path d={`M4 170h${all - 8}`} stroke="var(--ink)" strokeWidth="3" />
      <text x="10" y="14" fontSize="13" className="soft">
        frame: bottled · green: used · red: thrown away
      </text>
    </svg>
  );
}
