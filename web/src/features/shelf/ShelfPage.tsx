import { Button, SegmentedControl, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import type { BottleLine, RunLine } from '../../api/client';
import { useFormat } from '../../kit/format';
import { useRunning, useShelf } from '../../api/queries';
import { Empty, Failed, Waiting } from '../../kit/states';
import { BottlePicture } from '../../signature/BottlePicture';
import { found, type Which } from './finding';
import { LeftOver, LeftOverLine } from './LeftOver';
import { tagWords } from './words';
import './shelf.css';

const BOARDS: { place: BottleLine['place']; title: string; label: string }[] = [
  { place: 'FRIDGE', title: 'Fridge', label: 'In the fridge' },
  { place: 'FREEZER', title: 'Freezer', label: 'In the freezer' },
  { place: 'ROOM', title: 'Cupboard', label: 'In the cupboard' },
  { place: 'BATHROOM', title: 'Out in the bathroom', label: 'Out in the bathroom' },
];

/** From so many on they stand closer. */
const MANY = 8;

/** Keep: what is brewing, what is good, what must go today, what to use first. */
export function ShelfPage() {
  const shelf = useShelf();
  const running = useRunning();
  const format = useFormat();
  const [words, setWords] = useState('');
  const [which, setWhich] = useState<Which>('ALL');
  if (shelf.isPending) return <Waiting />;
  if (shelf.isError) {
    return (
      <main className="page" id="main">
        <Failed error={shelf.error} again={() => shelf.refetch()} />
      </main>
    );
  }
  const { bottles, fridgeC, today } = shelf.data;
  const shown = found(bottles, words, which);
  const first = bottles[0];
  const must = bottles.filter((b) => b.freshness === 'LAST_DAY' || b.freshness === 'OVER');
  return (
    <main className={bottles.length > MANY ? 'page many' : 'page'} id="main">
      <div className="spread">
        <h1>
          {must.length > 0
            ? `${must.length} must go today`
            : bottles.length > 0
              ? 'The shelf'
              : 'Fridge'}
        </h1>
        <p className="soft">
          {format.celsius(fridgeC)} · {bottles.length} bottle{bottles.length === 1 ? '' : 's'} ·{' '}
          <Link to="/keep/history">history</Link> · <Link to="/keep/labels">labels, calendar</Link>{' '}
          · <Link to="/keep/waste">waste</Link> ·{' '}
          <Link to="/keep/fridge">power cut, warm fridge</Link>
        </p>
      </div>
      {bottles.length > 4 && (
        <div className="row above-s">
          <TextInput
            aria-label="Find on the shelf"
            placeholder="Find: balm, gel, LBS-12"
            value={words}
            onChange={(e) => setWords(e.currentTarget.value)}
            w={230}
          />
          <SegmentedControl
            aria-label="Which"
            data={[
              { value: 'ALL', label: 'All' },
              { value: 'SOON', label: 'To use soon' },
              { value: 'MARKED', label: 'Marked' },
            ]}
            value={which}
            onChange={(w) => setWhich(w as Which)}
          />
        </div>
      )}
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
        <>
          <Hob runs={running.data ?? []} />
          <LeftOverLine />
          {shown.length === 0 && <p className="soft">Nothing on the shelf fits that.</p>}
          <div className="boards">
            {BOARDS.map(({ place, title, label }) => {
              const here = shown.filter((b) => b.place === place);
              if (here.length === 0) return null;
              return (
                <section key={place} className="board" aria-label={label}>
                  <h2 className="board-name">{title}</h2>
                  <div className="bottles">
                    {here.map((b) => (
                      <Standing key={b.id} bottle={b} today={today} large={shown.indexOf(b) < 3} />
                    ))}
                  </div>
                </section>
              );
            })}
          </div>
        </>
      )}
      <LeftOver />
      {first && <UseFirst bottle={first} />}
    </main>
  );
}

/** What is on the hob or stands brewing, each a step from its lane. */
function Hob({ runs }: { runs: RunLine[] }) {
  if (runs.length === 0) return null;
  return (
    <p className="hob">
      <b>On the bench:</b>{' '}
      {runs.map((r, i) => (
        <span key={r.id}>
          {i > 0 && ', '}
          <Link to={`/brew/${r.id}`}>{r.name}</Link> ({r.headline.toLowerCase()})
        </span>
      ))}
    </p>
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
        {Math.round(bottle.leftMl)} mL left{bottle.marked ? ', marked' : ''}
      </span>
    </Link>
  );
}

function UseFirst({ bottle }: { bottle: BottleLine }) {
  const format = useFormat();
  const over = bottle.freshness === 'OVER';
  const today = bottle.freshness === 'LAST_DAY';
  return (
    <section className="stack short above">
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
