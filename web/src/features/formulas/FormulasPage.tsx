import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { useFormulas } from '../../api/queries';
import { duration } from '../../app/format';
import { Failed, Waiting } from '../../app/states';
import { BottlePicture } from '../../signature';

/** Choose: what can be brewed. */
export function FormulasPage() {
  const formulas = useFormulas();
  if (formulas.isPending) return <Waiting />;
  return (
    <main className="page" id="main">
      <h1>What shall it be?</h1>
      {formulas.isError && <Failed error={formulas.error} again={() => formulas.refetch()} />}
      <ul className="lines" style={{ marginTop: 14 }}>
        {formulas.data?.map((f) => (
          <li key={f.id}>
            <article className="formula-line">
              <BottlePicture
                container={f.container}
                fill={0.8}
                tint={f.tint}
                sizeMl={250}
                scale={0.8}
              />
              <div>
                <h2>{f.name}</h2>
                <p className="soft small">
                  {f.method} · {f.purposes.join(', ')} · about {duration(f.usualMinutes)}
                  {f.strainings > 1 ? ` · strained ${f.strainings} times` : ''}
                </p>
                <p>{f.about}</p>
                <p className="soft small">{f.ingredients.join(', ')}</p>
              </div>
              <Button component={Link} to={`/choose/${f.id}`} aria-label={`Measure ${f.name}`}>
                Measure
              </Button>
            </article>
          </li>
        ))}
      </ul>
    </main>
  );
}
