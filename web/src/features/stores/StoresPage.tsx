import { Button, Checkbox, NumberInput, Select, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, ask, keys, newKey, type LotLine, type StoreLine } from '../../api/client';
import { useMaterials, useShopping, useStores } from '../../api/queries';
import { said, saidElse } from '../../app/fields';
import { figure, useFormat } from '../../app/format';
import { done, Empty, Failed, tell, Waiting } from '../../app/states';
import { ChooseLinks } from '../formulas/ChooseLinks';

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
      <div className="two" style={{ marginTop: 10 }}>
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

function useStoresChange<V>(mutationFn: (v: V) => Promise<unknown>, onDone?: () => void) {
  const client = useQueryClient();
  return useMutation({
    mutationFn,
    onSuccess: async (next) => {
      client.setQueryData(keys.stores, next);
      await client.invalidateQueries({ queryKey: keys.shopping });
      onDone?.();
    },
  });
}

const UNITS = [
  { value: 'g', label: 'g' },
  { value: 'kg', label: 'kg' },
  { value: 'ml', label: 'mL' },
  { value: 'l', label: 'L' },
  { value: 'oz', label: 'oz' },
  { value: 'lb', label: 'lb' },
];

function NewLot({ onDone }: { onDone: () => void }) {
  const materials = useMaterials();
  const stores = useStores();
  const [material, setMaterial] = useState<string | null>(null);
  const [origin, setOrigin] = useState<'HARVESTED' | 'BOUGHT'>('BOUGHT');
  const [amount, setAmount] = useState<number | string>('');
  const [unit, setUnit] = useState('g');
  const [gotOn, setGotOn] = useState(stores.data?.today ?? '');
  const [price, setPrice] = useState<number | string>('');
  const [place, setPlace] = useState('');
  const [note, setNote] = useState('');
  const key = useRef(newKey());
  const add = useStoresChange(
    () =>
      ask(
        api.POST('/api/lots', {
          params: { header: { 'Idempotency-Key': key.current } },
          body: {
            material: material ?? '',
            origin,
            amount: { value: Number(amount) || 0, unit },
            gotOn: gotOn || undefined,
            price: price === '' ? undefined : Number(price),
            place,
            note,
          },
        }),
      ),
    onDone,
  );
  const fields = ['material', 'amount.value', 'gotOn', 'price', 'place', 'note'];
  return (
    <form
      className="sheet stack"
      onSubmit={(e) => {
        e.preventDefault();
        add.mutate(undefined, {
          onError: () => {
            key.current = newKey();
          },
        });
      }}
    >
      <h2>Put into the stores</h2>
      <div className="row end">
        <Select
          label="What"
          searchable
          placeholder="herb, seed, oil, …"
          data={(materials.data ?? [])
            .filter((m) => m.kind !== 'WATER')
            .map((m) => ({ value: m.id, label: m.name }))}
          value={material}
          onChange={setMaterial}
          error={said(add.error, 'material')}
          style={{ flex: '1 1 220px' }}
        />
        <Select
          label="How"
          w={140}
          data={[
            { value: 'BOUGHT', label: 'bought' },
            { value: 'HARVESTED', label: 'harvested' },
          ]}
          value={origin}
          onChange={(o) => setOrigin(o as typeof origin)}
        />
        <NumberInput
          label="How much"
          w={120}
          value={amount}
          onChange={setAmount}
          error={said(add.error, 'amount.value')}
        />
        <Select label="Measure" w={90} data={UNITS} value={unit} onChange={(u) => setUnit(u!)} />
        <TextInput
          label="When"
          type="date"
          value={gotOn}
          onChange={(e) => setGotOn(e.currentTarget.value)}
          error={said(add.error, 'gotOn')}
        />
        <NumberInput
          label="Price paid"
          w={110}
          decimalScale={2}
          value={price}
          onChange={setPrice}
          error={said(add.error, 'price')}
        />
        <TextInput
          label="Where it stands"
          value={place}
          onChange={(e) => setPlace(e.currentTarget.value)}
          error={said(add.error, 'place')}
        />
        <TextInput
          label="Note"
          value={note}
          onChange={(e) => setNote(e.currentTarget.value)}
          error={said(add.error, 'note')}
        />
      </div>
      {saidElse(add.error, fields) && (
        <p className="trouble" role="alert">
          {saidElse(add.error, fields)}
        </p>
      )}
      <div>
        <Button type="submit" loading={add.isPending}>
          Put it in
        </Button>
      </div>
    </form>
  );
}

function MaterialLine({ line }: { line: StoreLine }) {
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
      {saidElse(error, ['amount.value', 'fresh.value', 'dried.value']) && (
        <p className="trouble" role="alert">
          {saidElse(error, ['amount.value', 'fresh.value', 'dried.value'])}
        </p>
      )}
    </div>
  );
}

function Shopping() {
  const list = useShopping();
  const client = useQueryClient();
  const [words, setWords] = useState('');
  const put = (next: unknown) => client.setQueryData(keys.shopping, next);
  const add = useMutation({
    mutationFn: () => ask(api.POST('/api/shopping', { body: { words } })),
    onSuccess: (next) => {
      put(next);
      setWords('');
    },
  });
  const bought = useMutation({
    mutationFn: (v: { id: string; bought: boolean }) =>
      ask(
        api.PUT('/api/shopping/{id}', {
          params: { path: { id: v.id } },
          body: { bought: v.bought },
        }),
      ),
    onSuccess: put,
    onError: tell,
  });
  const strike = useMutation({
    mutationFn: (id: string) => ask(api.DELETE('/api/shopping/{id}', { params: { path: { id } } })),
    onSuccess: put,
    onError: tell,
  });
  return (
    <section className="sheet" aria-labelledby="shopping">
      <h2 id="shopping">To get</h2>
      <ul className="lines">
        {list.data?.map((line) => (
          <li key={line.id ?? line.words} className="beside-end">
            {line.id ? (
              <>
                <Checkbox
                  size="md"
                  label={line.words}
                  checked={line.bought}
                  onChange={(e) => bought.mutate({ id: line.id!, bought: e.currentTarget.checked })}
                />
                <Button
                  variant="subtle"
                  size="compact-md"
                  aria-label={`Strike ${line.words}`}
                  onClick={() => strike.mutate(line.id!)}
                >
                  ✕
                </Button>
              </>
            ) : (
              <span>
                <b>{line.words}</b> <span className="soft small">{line.why}</span>
              </span>
            )}
          </li>
        ))}
      </ul>
      {list.data?.length === 0 && <p className="soft">Nothing to get.</p>}
      <form
        className="row end"
        onSubmit={(e) => {
          e.preventDefault();
          if (words.trim()) add.mutate();
        }}
      >
        <TextInput
          aria-label="Something to get"
          placeholder="spray bottles"
          value={words}
          onChange={(e) => setWords(e.currentTarget.value)}
          error={add.error?.message}
          style={{ flex: '1 1 140px' }}
        />
        <Button type="submit" variant="outline" loading={add.isPending}>
          Add
        </Button>
      </form>
      <Button variant="subtle" onClick={() => window.print()}>
        Print the list
      </Button>
    </section>
  );
}
