import { Button, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Sheet } from '../../api/client';
import { useShelf } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import type { Format } from '../../kit/format';
import { capital, WORDS } from '../../kit/words';
import { BottlePicture } from '../../signature/BottlePicture';
import { LimitLines } from '../people/LimitLines';
import type { Asked } from './words';

type Place = Sheet['heads'][number]['places'][number];
type Wish = Omit<Asked['wishes'][number], 'place'>;

interface Props {
  place: Place;
  wish: Asked['wishes'][number] | undefined;
  format: Format;
  onWish: (wish: Wish) => void;
}

/** A place on a head: the bottle as it stands on the shelf, the dose, and what else would do. */
export function PlaceLine({ place, wish, format, onWish }: Props) {
  const shelf = useShelf();
  const [changing, setChanging] = useState(false);
  const bottle = (id: string) => shelf.data?.bottles.find((b) => b.id === id);
  const ml = place.portions.reduce((sum, p) => sum + p.millilitres, 0);
  const ours = Boolean(place.dose);
  return (
    <div className="place">
      <div className="place-bottles">
        {place.portions.map((p) => {
          const b = bottle(p.bottle);
          return (
            b && (
              <BottlePicture
                key={p.bottle}
                container={b.container}
                fill={(p.leftAfter + p.millilitres) / b.sizeMl}
                tint={b.tint}
                sizeMl={b.sizeMl}
                scale={0.42}
              />
            )
          );
        })}
      </div>
      <div>
        <p>
          <b>{capital(WORDS.slotKinds[place.slot])}</b>
          {place.contact && place.portions.length > 0 && (
            <span className="soft small">
              {' '}
              {Math.round(place.contact.least)}–{Math.round(place.contact.most)} min on the hair
            </span>
          )}
        </p>
        {place.portions.map((p) => (
          <p key={p.bottle}>
            {format.ml(Math.round(p.millilitres))} of <Link to={`/keep/${p.bottle}`}>{p.name}</Link>{' '}
            <span className="soft small">{p.why}</span>
          </p>
        ))}
        {place.portions.length === 0 && place.bought && <p>{place.bought}</p>}
        {wish?.leftOut && <p className="soft">Left out.</p>}
        {!wish?.leftOut && place.without && <p className="goes-without">{place.without}</p>}
        {place.dose && place.portions.length > 0 && (
          <p className="soft small">
            Usual {Math.round(place.dose.value)} mL, {place.doseWords}
          </p>
        )}
        <LimitLines limits={place.limits} />
        {changing && (
          <div className="row end above-s">
            {place.others.length > 0 && (
              <Choice
                label="Another bottle"
                placeholder={place.portions[0]?.name ?? 'Choose one'}
                value={wish?.bottle ?? ''}
                onChange={(id) => onWish({ bottle: id || undefined })}
                data={place.others.map((o) => ({
                  value: o.bottle,
                  label: `${o.name}, ${Math.round(o.leftMl)} mL${
                    o.limits.some((l) => l.weight !== 'MIND') ? ' (mind its limit)' : ''
                  }`,
                }))}
              />
            )}
            {place.portions.length > 0 && (
              <NumberInput
                className="field-s"
                label="mL"
                value={Math.round(ml)}
                min={1}
                onBlur={(e) => {
                  const typed = Number(e.currentTarget.value.replace(',', '.'));
                  if (typed > 0 && Math.round(typed) !== Math.round(ml)) {
                    onWish({ bottle: wish?.bottle, millilitres: typed });
                  }
                }}
              />
            )}
            <Button variant="outline" onClick={() => onWish({ leftOut: !wish?.leftOut })}>
              {wish?.leftOut ? 'Do it after all' : 'Leave it out'}
            </Button>
            {wish && (
              <Button variant="subtle" onClick={() => onWish({})}>
                As proposed
              </Button>
            )}
          </div>
        )}
      </div>
      {ours && (
        <Button
          className="no-print"
          variant="subtle"
          aria-expanded={changing}
          aria-label={`Change ${WORDS.slotKinds[place.slot]}`}
          onClick={() => setChanging(!changing)}
        >
          Change
        </Button>
      )}
    </div>
  );
}
