import { Button, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { api, ask } from '../../api/client';
import { useMaterials, useStores } from '../../api/queries';
import { useOnce } from '../../api/useOnce';
import { said } from '../../kit/fields';
import { options, WORDS } from '../../kit/words';
import { InWords } from './InWords';
import { useStoresChange } from './useStoresChange';
import { Choice } from '../../kit/Choice';
import { Seek } from '../../kit/Seek';
import { NotThere } from '../materials/NotThere';
import { sighted } from '../materials/sighted';
import { Trouble } from '../../kit/Trouble';

const UNITS = [
  { value: 'g', label: 'g' },
  { value: 'kg', label: 'kg' },
  { value: 'ml', label: 'mL' },
  { value: 'l', label: 'L' },
  { value: 'oz', label: 'oz' },
  { value: 'lb', label: 'lb' },
];

/** Puts a lot into the stores. */
export function NewLot({ onDone }: { onDone: () => void }) {
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
  const once = useOnce();
  const add = useStoresChange(() => {
    const body = {
      material: material ?? '',
      origin,
      amount: { value: Number(amount) || 0, unit },
      gotOn: gotOn || undefined,
      price: price === '' ? undefined : Number(price),
      place,
      note,
    };
    return once(body, (key) =>
      ask(api.POST('/api/lots', { params: { header: { 'Idempotency-Key': key } }, body })),
    );
  }, onDone);
  const fields = ['material', 'amount.value', 'gotOn', 'price', 'place', 'note'];
  return (
    <form
      className="sheet stack"
      onSubmit={(e) => {
        e.preventDefault();
        add.mutate(undefined);
      }}
    >
      <h2>Put into the stores</h2>
      <InWords
        onRead={(thing, grams) => {
          setMaterial(thing);
          setAmount(grams);
          setUnit('g');
        }}
      />
      <div className="row end">
        <Seek
          className="field"
          label="What"
          placeholder="herb, seed, oil, …"
          data={(materials.data ?? []).filter((m) => m.kind !== 'WATER').map(sighted)}
          nothing={<NotThere />}
          value={material}
          onChange={setMaterial}
          error={said(add.error, 'material')}
        />
        <Choice
          label="How"
          w={140}
          data={options(WORDS.got)}
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
        <Choice label="Measure" w={90} data={UNITS} value={unit} onChange={(u) => setUnit(u!)} />
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
      <Trouble error={add.error} fields={fields} />
      <div>
        <Button type="submit" loading={add.isPending}>
          Put it in
        </Button>
      </div>
    </form>
  );
}
