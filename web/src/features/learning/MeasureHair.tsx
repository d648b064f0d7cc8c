import { Button, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Lengths, LengthSection } from '../../api/client';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import { Trouble } from '../../kit/Trouble';
import { capital, options, WORDS } from '../../kit/words';
import { useLengthChange } from './useLengthChange';

type Section = LengthSection['section'];

/** One more length, or a cut. */
export function MeasureHair({ view }: { view: Lengths }) {
  const { read, cut } = useLengthChange(view.person);
  const [day, setDay] = useState(view.today);
  const [section, setSection] = useState<Section>(view.sections[0]?.section ?? 'BACK');
  const [cm, setCm] = useState<number | string>('');
  const [loose, setLoose] = useState<number | string>('');
  const [product, setProduct] = useState('');
  return (
    <form
      className="sheet stack above"
      aria-label="Measure"
      onSubmit={(e) => {
        e.preventDefault();
        read.mutate(
          {
            day,
            section,
            cm: Number(cm),
            ...(loose !== '' && { looseCm: Number(loose) }),
            ...(loose !== '' && product.trim() && { product: product.trim() }),
          },
          {
            onSuccess: () => {
              setCm('');
              setLoose('');
            },
          },
        );
      }}
    >
      <div className="row end">
        <label className="day-field">
          On
          <input
            type="date"
            value={day}
            max={view.today}
            onChange={(e) => setDay(e.currentTarget.value)}
          />
        </label>
        <Choice
          label="Where"
          data={options(WORDS.headSections, capital)}
          value={section}
          onChange={(s) => setSection(s as Section)}
          error={said(read.error, 'section')}
        />
        <NumberInput
          label="Stretched, cm"
          w={140}
          decimalScale={1}
          value={cm}
          onChange={setCm}
          error={said(read.error, 'cm')}
        />
        <NumberInput
          label="Left to itself, cm"
          placeholder="not measured"
          w={170}
          decimalScale={1}
          value={loose}
          onChange={setLoose}
          error={said(read.error, 'looseCm')}
        />
        {loose !== '' && (
          <TextInput
            label="With this on it"
            placeholder="nothing"
            maxLength={80}
            value={product}
            onChange={(e) => setProduct(e.currentTarget.value)}
            error={said(read.error, 'product')}
          />
        )}
        <Button type="submit" disabled={!day || cm === ''} loading={read.isPending}>
          Write it down
        </Button>
        <Button
          variant="outline"
          disabled={!day}
          loading={cut.isPending}
          onClick={() => cut.mutate(day)}
        >
          It was cut that day
        </Button>
      </div>
      {said(read.error, 'day') && <p className="trouble">{said(read.error, 'day')}</p>}
      <Trouble error={read.error} fields={['cm', 'looseCm', 'product', 'section', 'day']} />
    </form>
  );
}
