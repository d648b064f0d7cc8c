import { Button } from '@mantine/core';
import { useState } from 'react';
import { useStores } from '../../api/queries';
import { Empty, Failed, Waiting } from '../../kit/states';
import { ChooseLinks } from '../formulas/ChooseLinks';
import { MaterialLine } from './Lots';
import { NewLot } from './NewLot';
import { Shopping } from './Shopping';

/** What is on hand, how old it is, and what is to be got. */
export function StoresPage() {
  const stores = useStores();
  const [adding, setAdding] = useState(false);
  if (stores.isPending) return <Waiting />;
  if (stores.isError) {
    return (
      <main className="page" id="main">
        <Failed error={stores.error} again={() => stores.refetch()} />
      </main>
    );
  }
  const { materials, season } = stores.data;
  return (
    <main className="page" id="main">
      <ChooseLinks />
      <div className="row spread">
        <h1>Stores</h1>
        <Button onClick={() => setAdding(!adding)} variant={adding ? 'outline' : 'filled'}>
          {adding ? 'Not now' : 'Put something in'}
        </Button>
      </div>
      {adding && <NewLot onDone={() => setAdding(false)} />}
      <div className="two above">
        <div>
          {materials.length === 0 && !adding && (
            <Empty title="The stores are empty">
              <p>
                Put in what you have: then a brew takes from it, its cost is known, and what runs
                out shows in time.
              </p>
            </Empty>
          )}
          <ul className="lines">
            {materials.map((m) => (
              <li key={m.material}>
                <MaterialLine line={m} />
              </li>
            ))}
          </ul>
        </div>
        <aside className="stack">
          {season.length > 0 && (
            <section className="sheet" aria-labelledby="season">
              <h2 id="season">Worth harvesting now</h2>
              <ul className="plain">
                {season.map((h) => (
                  <li key={h.material}>
                    <b>{h.name}</b>: {h.why}
                  </li>
                ))}
              </ul>
            </section>
          )}
          <Shopping />
        </aside>
      </div>
    </main>
  );
}
