import { Button, Checkbox, NumberInput } from '@mantine/core';
import { useState } from 'react';
import type { BottleEvent, BottleLine, BottleView } from '../../api/client';
import { useShelf, useWhatIf } from '../../api/queries';
import { said } from '../../kit/fields';
import { duration, type Format } from '../../kit/format';
import { useBottleChange } from './useBottleChange';
import { capital, WORDS } from '../../kit/words';
import { Choice } from '../../kit/Choice';
import { Reasons } from '../../kit/Reasons';
import { Trouble } from '../../kit/Trouble';

type What = BottleEvent['what'];

const HOURS = [1, 2, 4, 8];

/** What happened to it, or would: shown before it is done. */
export function Happen({ view, format }: { view: BottleView; format: Format }) {
  const { bottle } = view;
  const { happened } = useBottleChange(bottle.id);
  const shelf = useShelf();
  const [event, setEvent] = useState<BottleEvent>();
  const others = shelf.data?.bottles.filter((b) => b.id !== bottle.id) ?? [];
  const frozen = bottle.place === 'FREEZER';
  const choose = (what: What, more: Partial<BottleEvent> = {}) =>
    setEvent(
      event?.what === what && event.place === more.place
        ? undefined
        : { version: bottle.version, what, ...more },
    );
  const tap = (what: What, words: string, more: Partial<BottleEvent> = {}) => (
    <Button
      className="touch"
      variant={event?.what === what && event.place === more.place ? 'filled' : 'outline'}
      aria-expanded={event?.what === what && event.place === more.place}
      onClick={() => choose(what, more)}
    >
      {words}
    </Button>
  );
  return (
    <section aria-labelledby="happen">
      <h2 id="happen">What happened, or what if</h2>
      <div className="row">
        {!frozen && tap('LEFT_OUT', 'Left out', { hours: 2 })}
        {frozen &&
          bottle.container === 'CUBES' &&
          tap('THAW_PORTIONS', 'Thaw some of it', {
            millilitres: Math.min(60, Math.floor(bottle.leftMl)),
          })}
        {bottle.place !== 'FRIDGE' &&
          tap('MOVE', frozen ? 'Thaw it' : 'Back in the fridge', { place: 'FRIDGE' })}
        {bottle.place === 'FRIDGE' && tap('MOVE', 'Into the cupboard', { place: 'ROOM' })}
        {bottle.place === 'FRIDGE' && tap('MOVE', 'Into the bathroom', { place: 'BATHROOM' })}
        {!frozen && tap('MOVE', 'Freeze it', { place: 'FREEZER' })}
        {!frozen &&
          tap('FREEZE_PORTIONS', 'Freeze half', {
            portionMl: 30,
            millilitres: Math.floor(bottle.leftMl / 2),
          })}
        {!frozen && tap('OPEN', 'Fingers were in it')}
        {!frozen &&
          others.length > 0 &&
          tap('POUR', 'Pour into another', { millilitres: Math.floor(bottle.leftMl) })}
        {tap('SCHOOL', 'Keep by another school', {
          school: view.keptBy.schools.find((s) => s !== view.keptBy.school),
          cleanWorking: view.keptBy.cleanWorking,
        })}
      </div>
      {event && (
        <Asked
          key={event.what + (event.place ?? '')}
          event={{ ...event, version: bottle.version }}
          view={view}
          others={others}
          format={format}
          error={happened.error}
          busy={happened.isPending}
          onChange={setEvent}
          onDo={(words) =>
            happened.mutate(
              { event: { ...event, version: bottle.version }, words },
              { onSuccess: () => setEvent(undefined) },
            )
          }
        />
      )}
    </section>
  );
}

interface AskedProps {
  event: BottleEvent;
  view: BottleView;
  others: BottleLine[];
  format: Format;
  error: unknown;
  busy: boolean;
  onChange: (event: BottleEvent) => void;
  onDo: (words: string) => void;
}

/** One event with its numbers, and what it does to the last day. */
function Asked({ event, view, others, format, error, busy, onChange, onDo }: AskedProps) {
  const complete = event.what !== 'POUR' || Boolean(event.into);
  const look = useWhatIf(view.bottle.id, complete ? event : undefined);
  const wrong = error ?? look.error;
  const set = (part: Partial<BottleEvent>) => onChange({ ...event, ...part });
  const fields = ['hours', 'millilitres', 'portionMl', 'into', 'place', 'school'];
  const before = look.data?.before;
  const after = look.data?.after;
  const words = SAID[event.what];
  return (
    <div className="sheet stack above">
      {event.what === 'LEFT_OUT' && (
        <>
          <div className="row" role="group" aria-label="How long">
            {HOURS.map((h) => (
              <Button
                className="touch"
                key={h}
                variant={event.hours === h ? 'filled' : 'outline'}
                onClick={() => set({ hours: h })}
              >
                {h} h
              </Button>
            ))}
            <NumberInput
              aria-label="Hours"
              value={event.hours ?? ''}
              onChange={(h) => set({ hours: h === '' ? undefined : Number(h) })}
              error={said(wrong, 'hours')}
              w={90}
            />
          </div>
        </>
      )}
      {(event.what === 'POUR' ||
        event.what === 'FREEZE_PORTIONS' ||
        event.what === 'THAW_PORTIONS') && (
        <div className="row end">
          {event.what === 'POUR' && (
            <Choice
              className="field"
              label="Into"
              data={others.map((b) => ({
                value: b.id,
                label: `${b.name} ${b.number}, ${Math.round(b.leftMl)} of ${Math.round(b.sizeMl)} mL`,
              }))}
              value={event.into ?? null}
              onChange={(into) => set({ into: into || undefined })}
              error={said(wrong, 'into')}
            />
          )}
          <NumberInput
            label="mL"
            value={event.millilitres ?? ''}
            onChange={(ml) => set({ millilitres: Number(ml) })}
            error={said(wrong, 'millilitres')}
            w={110}
          />
          {event.what === 'FREEZE_PORTIONS' && (
            <NumberInput
              label="A portion, mL"
              value={event.portionMl ?? ''}
              onChange={(ml) => set({ portionMl: Number(ml) })}
              error={said(wrong, 'portionMl')}
              w={130}
            />
          )}
        </div>
      )}
      {event.what === 'SCHOOL' && (
        <>
          <Choice
            label="School"
            data={view.keptBy.schools.map((s) => ({
              value: s,
              label: WORDS.schools[s],
            }))}
            value={event.school ?? null}
            onChange={(s) => set({ school: s as BottleEvent['school'] })}
          />
          <Checkbox
            size="md"
            label="Worked clean: sterilised bottle, strained fine, fridge at 5 °C"
            checked={event.cleanWorking ?? false}
            onChange={(e) => set({ cleanWorking: e.currentTarget.checked })}
          />
          <p className="soft small">
            The careful school is the shortest with published backing. The practice school is what
            makers do; a date beyond the published one is marked wherever it stands.
          </p>
        </>
      )}
      {after && before && (
        <p aria-live="polite">
          {event.what === 'POUR' ? 'The bottle it goes into' : 'Its last day'}:{' '}
          {before.lastDay === after.lastDay ? (
            <b>stays {format.day(after.lastDay)}</b>
          ) : (
            <>
              {format.day(before.lastDay)} → <b>{format.day(after.lastDay)}</b>
            </>
          )}
          {after.useNow && <b> – use it now</b>}
          {after.marked && <b> (marked)</b>}
          {before.runsOut > after.runsOut && (
            <span className="soft small">
              {' '}
              {duration((Date.parse(before.runsOut) - Date.parse(after.runsOut)) / 60_000)} of life
              less
            </span>
          )}
        </p>
      )}
      {after && (
        <details>
          <summary>Why</summary>
          <Reasons of={after.reasons} />
        </details>
      )}
      {said(wrong, 'place') && <p className="trouble">{said(wrong, 'place')}</p>}
      <Trouble error={wrong} fields={fields} />
      <div>
        <Button
          className="touch"
          loading={busy}
          disabled={!complete || Boolean(look.error)}
          onClick={() =>
            onDo(
              event.what === 'MOVE' && event.place
                ? capital(WORDS.places[event.place])
                : words.done,
            )
          }
        >
          {words.tap}
        </Button>
      </div>
    </div>
  );
}

const SAID: Record<What, { tap: string; done: string }> = {
  LEFT_OUT: { tap: 'It happened: it is back', done: 'Noted: left out' },
  MOVE: { tap: 'Put it there', done: 'Moved' },
  OPEN: { tap: 'It happened', done: 'Noted: opened' },
  FREEZE_PORTIONS: { tap: 'Freeze the portions', done: 'Frozen in portions' },
  THAW_PORTIONS: { tap: 'Thaw them', done: 'Thawed' },
  POUR: { tap: 'Pour it', done: 'Poured' },
  SCHOOL: { tap: 'Keep it so', done: 'Kept by another school' },
};
