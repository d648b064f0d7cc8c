import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { BottleLine } from '../../api/client';
import { useFormat } from '../../app/format';
import { useShelf } from '../../api/queries';
import { Empty, Failed, Waiting } from '../../app/states';
import { BottlePicture } from '../../signature';
import { tagWords } from './words';

/** Keep: what is good, what must go today, what to use first. */
export function ShelfPage() {
  const shelf = useShelf();
  const format = useFormat();
  if (shelf.isPending) return <Waiting />;
  if (shelf.isError) {
    return (
      <main className="page" id="main">
        <Failed error={shelf.error} again={() => shelf.refetch()} />
      </main>
    );
  }
  const { bottles, fridgeC, today } = shelf.data;
  const first = bottles[0];
  return (
    <main className="page" id="main">
      <div className="spread">
        <h1>Fridge</h1>
        <p className="soft">
          {format.celsius(fridgeC)} · {bottles.length} bottle{bottles.length === 1 ? '' : 's'} ·{' '}
          <Link to="/keep/history">everything that happened</Link>
        </p>
      </div>
      {bottles.length === 0 ? (
        <Empty title="The shelf is empty.">
          <p>What you brew and bottle stands here with its last day on the tag.</p>
          <div>
            <Button component={Link} to="/choose">
              Choose a brew
            </Button>
          </div>
        </Empty>
      ) : (
        <section className="board" aria-label="In the fridge">
          <div className="bottles">
            {bottles.map((b, i) => (
              <Standing key={b.id} bottle={b} today={today} large={i < 3} />
            ))}
          </div>
        </section>
      )}
      {first && <UseFirst bottle={first} />}
    </main>
  );
}

function Standing({ bottle, today, large }: { bottle: BottleLine; today: string; large: boolean }) {
  const format = useFormat();
  return (
    <Link className="standing" to={`/keep/${bottle.id}`}>
      <span className="name">
        {bottle.name}
        {bottle.number > 1 ? ` ${bottle.number}` : ''}
      </span>
      <BottlePicture
        container={bottle.container}
        fill={bottle.leftMl / bottle.sizeMl}
        tint={bottle.tint}
        sizeMl={bottle.sizeMl}
        scale={large ? 1.15 : 0.95}
      />
      <span className="plank" />
      <span className="string" />
      <span className={`tag ${bottle.freshness}`}>
        <b>{tagWords(bottle, format, today)}</b>
        {Math.round(bottle.leftMl)} mL left
      </span>
    </Link>
  );
}

function UseFirst({ bottle }: { bottle: BottleLine }) {
  const format = useFormat();
  const over = bottle.freshness === 'OVER';
  const today = bottle.freshness === 'LAST_DAY';
  return (
    <section className="stack" style={{ maxWidth: 560, marginTop: 10 }}>
      <h2>
        {over
          ? `Throw the ${bottle.name.toLowerCase()} away`
          : today
            ? `Use the ${bottle.name.toLowerCase()} today`
            : `Use the ${bottle.name.toLowerCase()} first`}
      </h2>
      <p>
        {over
          ? `Its last day was ${format.dayLong(bottle.lastDay)}. ${Math.round(bottle.leftMl)} mL are left.`
          : `${Math.round(bottle.leftMl)} mL are left. Its last day is ${today ? 'today' : format.dayLong(bottle.lastDay)}.`}
      </p>
      <div className="row">
        <Button component={Link} to={`/keep/${bottle.id}`}>
          {over ? 'See it off' : 'Take some'}
        </Button>
      </div>
    </section>
  );
}
