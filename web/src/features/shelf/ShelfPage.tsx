import { Button, SegmentedControl, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import type { BottleLine } from '../../api/client';
import { useFormat } from '../../kit/format';
import { useCalled, useShelf, useToday } from '../../api/queries';
import { Empty, Failed, Waiting } from '../../kit/states';
import { BottlePicture } from '../../signature/BottlePicture';
import { found, type Which } from './finding';
import { LeftOver } from './LeftOver';
import { ToDo } from './ToDo';
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
  const today = useToday();
  const format = useFormat();
  const [words, setWords] = useState('');
  const names = useCalled();
  const [which, setWhich] = useState<Which>('ALL');
  if (shelf.isPending || today.isPending) return <Waiting />;
  if (shelf.isError) {
    return (
      <main className="page" id="main">
        <Failed error={shelf.error} again={() => shelf.refetch()} />
      </main>
    );
  }
  const { bottles, fridgeC, today: day } = shelf.data;
  const shown = found(bottles, words, which, names);
  return (
    <main className={bottles.length > MANY ? 'page many' : 'page'} id="main">
      <ToDo tasks={today.data ?? []} />
      <div className="spread">
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
          <div className="row">
            <Button component={Link} to="/choose/note">
              Write down what somebody told you
            </Button>
            <Button component={Link} to="/choose" variant="outline">
              Choose a brew
            </Button>
          </div>
        </Empty>
      ) : (
        <>
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
                      <Standing key={b.id} bottle={b} today={day} large={shown.indexOf(b) < 3} />
                    ))}
                  </div>
                </section>
              );
            })}
          </div>
        </>
      )}
      <LeftOver />
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
        {Math.round(bottle.leftMl)} mL left{bottle.marked ? ', marked' : ''}
      </span>
    </Link>
  );
}
