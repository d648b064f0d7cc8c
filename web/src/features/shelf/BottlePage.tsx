import { Button, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, keys, type BottleView, type DiscardReason } from '../../api/client';
import { useBottle } from '../../api/queries';
import { useFormat, type Format } from '../../kit/format';
import { AgainstWarning } from '../../kit/AgainstWarning';
import { HangsOn } from '../../kit/HangsOn';
import { done, tell } from '../../kit/states';
import { BottlePicture } from '../../signature/BottlePicture';
import { KeepingBand } from '../../signature/KeepingBand';
import { HeadsOfBottle } from '../people/HeadsOfBottle';
import '../people/people.css';
import { Happen } from './Happen';
import { TakeSome } from './TakeSome';
import { happened, tagWords } from './words';
import './shelf.css';
import { capital, WORDS } from '../../kit/words';
import { Loaded } from '../../kit/Loaded';
import { Reasons } from '../../kit/Reasons';

/** A bottle: how long, why, what happened to it. */
export function BottlePage() {
  const { id = '' } = useParams();
  const bottle = useBottle(id);
  const format = useFormat();
  return <Loaded of={bottle}>{(data) => <Bottle key={id} view={data} format={format} />}</Loaded>;
}

function Bottle({ view, format }: { view: BottleView; format: Format }) {
  const { bottle } = view;
  const client = useQueryClient();
  const [leaving, setLeaving] = useState(bottle.freshness === 'OVER');
  const path = { params: { path: { id: bottle.id } } };
  const put = async (next: BottleView, words?: string) => {
    client.setQueryData(keys.bottle(bottle.id), next);
    if (words) {
      done(words, () => undo.mutate(next.bottle.version));
    }
    await client.invalidateQueries({ queryKey: keys.all });
  };
  const finish = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/bottles/{id}/finish', { ...path, body: { version: bottle.version } })),
    onSuccess: (next) => put(next, 'Finished'),
    onError: tell,
  });
  const discard = useMutation({
    mutationFn: ({ reason, note }: { reason: DiscardReason; note: string }) =>
      ask(
        api.POST('/api/bottles/{id}/discard', {
          ...path,
          body: { version: bottle.version, reason, note },
        }),
      ),
    onSuccess: (next) => put(next, 'Thrown away'),
    onError: tell,
  });
  const undo = useMutation({
    mutationFn: (version: number) =>
      ask(api.POST('/api/bottles/{id}/undo', { ...path, body: { version } })),
    onSuccess: (next) => put(next),
    onError: tell,
  });
  const standing = bottle.status === 'STANDING';
  return (
    <main className="page" id="main">
      <p className="soft">
        <Link to="/keep">The shelf</Link> · {view.code}, bottle {bottle.number}
      </p>
      <div className="run">
        <div className="stack">
          <h1>{bottle.name}</h1>
          <Head view={view} format={format} />
          {standing && (
            <div className="stack">
              <TakeSome view={view} onTaken={(next) => put(next, 'Taken')} />
              <div className="row">
                <Button
                  variant="outline"
                  onClick={() => finish.mutate()}
                  loading={finish.isPending}
                >
                  It is finished
                </Button>
                <Button variant="outline" color="madder" onClick={() => setLeaving(!leaving)}>
                  Throw away
                </Button>
              </div>
              {leaving && (
                <ThrowAway onReason={(reason, note) => discard.mutate({ reason, note })} />
              )}
            </div>
          )}
          {standing && <Happen view={view} format={format} />}
          {!standing && (
            <div>
              <Button
                variant="outline"
                onClick={() => undo.mutate(bottle.version)}
                loading={undo.isPending}
              >
                Put it back on the shelf
              </Button>
            </div>
          )}
        </div>
        <Told view={view} format={format} />
      </div>
    </main>
  );
}

/** What it looks like, how much is left, and where it stands. */
function Head({ view, format }: { view: BottleView; format: Format }) {
  const { bottle } = view;
  const standing = bottle.status === 'STANDING';
  return (
    <div className="row end">
      <BottlePicture
        container={bottle.container}
        fill={bottle.leftMl / bottle.sizeMl}
        tint={bottle.tint}
        sizeMl={bottle.sizeMl}
        scale={1.4}
      />
      <div>
        <span className={`tag ${standing ? bottle.freshness : ''}`}>
          <b>
            {standing
              ? tagWords(bottle, format, view.today)
              : bottle.status === 'FINISHED'
                ? 'finished'
                : 'thrown away'}
          </b>
          {Math.round(bottle.leftMl)} mL left
        </span>
        <p className="soft small">
          of {Math.round(bottle.filledMl)} mL, filled {format.moment(bottle.filledAt)}
        </p>
        {view.sterilisedAt && (
          <p className="soft small">its container sterilised {format.moment(view.sterilisedAt)}</p>
        )}
        <p className="small">
          {capital(WORDS.places[bottle.place])}
          {standing && (
            <>
              {' · '}
              <Link to={`/keep/labels?bottle=${bottle.id}`}>label</Link>
            </>
          )}
        </p>
      </div>
    </div>
  );
}

function ThrowAway({ onReason }: { onReason: (reason: DiscardReason, note: string) => void }) {
  const [note, setNote] = useState('');
  return (
    <div className="stack sheet">
      <h2>Why?</h2>
      <div className="row">
        {(Object.keys(WORDS.discardReasons) as DiscardReason[]).map((reason) => (
          <Button
            key={reason}
            variant="outline"
            color="madder"
            onClick={() => onReason(reason, note)}
          >
            {WORDS.discardReasons[reason]}
          </Button>
        ))}
      </div>
      <TextInput
        label="A word on it, if you like"
        value={note}
        onChange={(e) => setNote(e.currentTarget.value)}
        maxLength={400}
      />
    </div>
  );
}

/** How long it keeps and why, what it is, and what happened to it. */
function Told({ view, format }: { view: BottleView; format: Format }) {
  const { bottle, keeping } = view;
  const standing = bottle.status === 'STANDING';
  return (
    <div className="stack wide">
      <section>
        <h2>
          {bottle.useNow ? 'For use at once' : `Last day ${format.dayLong(bottle.lastDay)}`}
          {bottle.marked && ' (marked)'}
        </h2>
        <KeepingBand
          keeping={keeping}
          bottledAt={Date.parse(bottle.filledAt)}
          format={format}
          now={standing ? Date.parse(view.now) : undefined}
        />
        <HangsOn keeping={keeping} format={format} />
        <AgainstWarning override={view.override} />
        {view.marks.map((words) => (
          <p key={words} className="caution">
            {words}
          </p>
        ))}
        <Reasons of={keeping.reasons} />
        <p className="caution">
          Throw it away whatever the day says at: {view.stops.join('; ').toLowerCase()}.
        </p>
      </section>
      <section>
        <h2>What is in it</h2>
        <p>
          {view.ingredients.join(', ')} ·{' '}
          <Link to={`/brew/${bottle.batchId}`}>how it was brewed</Link>
        </p>
      </section>
      <section>
        <h2>What it is for</h2>
        <p>Makers use it as {view.uses.join(', ')}.</p>
        {view.cautions.map((words) => (
          <p key={words} className="soft">
            {words}
          </p>
        ))}
      </section>
      <HeadsOfBottle bottle={bottle.id} />
      <section>
        <h2>What happened to it</h2>
        {view.happenings.length === 0 && <p className="soft">Nothing yet: it is full.</p>}
        <ul className="lines">
          {view.happenings.map((h, i) => (
            <li key={i} className="spread">
              <span className={h.undone ? 'undone' : ''}>{happened(h)}</span>
              <span className="soft small">
                {h.undone ? 'taken back · ' : ''}
                {h.doneBy ? `${h.doneBy} · ` : ''}
                {format.moment(h.at)}
              </span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
