import { Button, NumberInput, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type LotLine, type StoreLine } from '../../api/client';
import { said } from '../../kit/fields';
import { figure, useFormat } from '../../kit/format';
import { done, tell } from '../../kit/states';
import { useStoresChange } from './useStoresChange';
import './stores.css';
import { Trouble } from '../../kit/Trouble';

/** A material on hand, with its lots. */
export function MaterialLine({ line }: { line: StoreLine }) {
  const [minimum, setMinimum] = useState<number | string>(line.minimumGrams ?? '');
  const keep = useStoresChange((grams: number) =>
    ask(
      api.PUT('/api/stores/{material}/minimum', {
        params: { path: { material: line.material } },
        body: { grams },
      }),
    ),
  );
  return (
    <details className="store-line">
      <summary>
        <span className="strong">{line.name}</span>
        <span className="amount">{figure(line.leftGrams)} g</span>
        <span className={`age ${line.runningOut ? 'OVER' : line.age}`}>
          {line.runningOut ? 'running out' : line.ageWords}
        </span>
      </summary>
      <ul className="plain">
        {line.lots.map((lot) => (
          <li key={lot.id}>
            <Lot lot={lot} line={line} />
          </li>
        ))}
      </ul>
      <div className="row end">
        <NumberInput
          label="Have at least, g"
          w={150}
          value={minimum}
          onChange={setMinimum}
          error={said(keep.error, 'grams')}
        />
        <Button
          variant="subtle"
          onClick={() => keep.mutate(Number(minimum) || 0)}
          loading={keep.isPending}
        >
          Tell me below that
        </Button>
      </div>
    </details>
  );
}

const ORIGIN = { HARVESTED: 'harvested', BOUGHT: 'bought', DRIED: 'dried' };

function Lot({ lot, line }: { lot: LotLine; line: StoreLine }) {
  const format = useFormat();
  const client = useQueryClient();
  const [amount, setAmount] = useState<number | string>('');
  const [dried, setDried] = useState<number | string>('');
  const form = line.driesTo[0];
  const path = { params: { path: { id: lot.id } } };
  const grams = { value: Number(amount) || 0, unit: 'g' };
  const undo = async () => {
    try {
      const now = client.getQueryData<{ materials: StoreLine[] }>(keys.stores);
      const version =
        now?.materials.flatMap((m) => m.lots).find((l) => l.id === lot.id)?.version ??
        lot.version + 1;
      const next = await ask(api.POST('/api/lots/{id}/undo', { ...path, body: { version } }));
      client.setQueryData(keys.stores, next);
    } catch (e) {
      tell(e);
    }
  };
  const clear = (words: string) => () => {
    setAmount('');
    setDried('');
    done(words, () => void undo());
  };
  const take = useStoresChange(
    () =>
      ask(
        api.POST('/api/lots/{id}/take', { ...path, body: { version: lot.version, amount: grams } }),
      ),
    clear('Taken out'),
  );
  const weigh = useStoresChange(
    () =>
      ask(
        api.POST('/api/lots/{id}/weigh', {
          ...path,
          body: { version: lot.version, amount: grams },
        }),
      ),
    clear('Weighed'),
  );
  const end = useStoresChange(
    () => ask(api.POST('/api/lots/{id}/end', { ...path, body: { version: lot.version, why: '' } })),
    clear(`${line.name} is used up`),
  );
  const dry = useStoresChange(
    () =>
      ask(
        api.POST('/api/lots/{id}/dry', {
          ...path,
          body: {
            version: lot.version,
            material: form?.material ?? '',
            fresh: grams,
            dried: { value: Number(dried) || 0, unit: 'g' },
          },
        }),
      ),
    () => {
      setAmount('');
      setDried('');
    },
  );
  const error = take.error ?? weigh.error ?? end.error ?? dry.error;
  return (
    <div className="lot">
      <p>
        <b>{figure(lot.leftGrams)} g</b> of {figure(lot.grams)} g, {ORIGIN[lot.origin]}{' '}
        {format.day(lot.gotOn)}
        {lot.openedOn ? `, opened ${format.day(lot.openedOn)}` : ''}
        {lot.bestUntil ? `, best till ${format.day(lot.bestUntil)}` : ''}
        {lot.place ? ` · ${lot.place}` : ''}
        {lot.price != null ? ` · paid ${lot.price.toFixed(2)}` : ''}
        {lot.note ? ` · ${lot.note}` : ''}
      </p>
      <div className="row end">
        <NumberInput
          aria-label={`Grams of the ${line.name} got ${lot.gotOn}`}
          placeholder="g"
          w={90}
          value={amount}
          onChange={setAmount}
          error={said(error, 'amount.value', 'fresh.value')}
        />
        <Button variant="outline" size="compact-md" onClick={() => take.mutate(undefined)}>
          Take out
        </Button>
        <Button variant="outline" size="compact-md" onClick={() => weigh.mutate(undefined)}>
          It weighs that
        </Button>
        <Button variant="subtle" size="compact-md" onClick={() => end.mutate(undefined)}>
          Used up
        </Button>
        {form && (
          <>
            <NumberInput
              aria-label={`Grams dry of the ${line.name} got ${lot.gotOn}`}
              placeholder={`dry, about ${figure((Number(amount) || lot.leftGrams) * form.share)} g`}
              w={170}
              value={dried}
              onChange={setDried}
              error={said(error, 'dried.value')}
            />
            <Button variant="outline" size="compact-md" onClick={() => dry.mutate(undefined)}>
              It has dried
            </Button>
          </>
        )}
      </div>
      <PutRight key={lot.version} lot={lot} />
      <Trouble error={error} fields={['amount.value', 'fresh.value', 'dried.value']} />
    </div>
  );
}

/** What was told of a lot, to be put right. */
function PutRight({ lot }: { lot: LotLine }) {
  const [gotOn, setGotOn] = useState(lot.gotOn);
  const [openedOn, setOpenedOn] = useState(lot.openedOn ?? '');
  const [price, setPrice] = useState<number | string>(lot.price ?? '');
  const [place, setPlace] = useState(lot.place);
  const [note, setNote] = useState(lot.note);
  const put = useStoresChange(() =>
    ask(
      api.PUT('/api/lots/{id}', {
        params: { path: { id: lot.id } },
        body: {
          version: lot.version,
          gotOn,
          openedOn: openedOn || undefined,
          price: price === '' ? undefined : Number(price),
          place,
          note,
        },
      }),
    ),
  );
  const fields = ['gotOn', 'openedOn', 'price', 'place', 'note'];
  return (
    <details>
      <summary className="small">Put right</summary>
      <div className="row end">
        <TextInput
          label="Got"
          type="date"
          value={gotOn}
          onChange={(e) => setGotOn(e.currentTarget.value)}
          error={said(put.error, 'gotOn')}
        />
        <TextInput
          label="Opened"
          type="date"
          value={openedOn}
          onChange={(e) => setOpenedOn(e.currentTarget.value)}
          error={said(put.error, 'openedOn')}
        />
        <NumberInput
          label="Paid for all of it"
          w={140}
          decimalScale={2}
          value={price}
          onChange={setPrice}
          error={said(put.error, 'price')}
        />
        <TextInput
          label="Where it stands"
          value={place}
          onChange={(e) => setPlace(e.currentTarget.value)}
          error={said(put.error, 'place')}
        />
        <TextInput
          label="Note"
          value={note}
          onChange={(e) => setNote(e.currentTarget.value)}
          error={said(put.error, 'note')}
        />
        <Button variant="outline" onClick={() => put.mutate(undefined)} loading={put.isPending}>
          Keep that
        </Button>
      </div>
      <Trouble error={put.error} fields={fields} />
    </details>
  );
}
