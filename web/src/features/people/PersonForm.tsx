import { Button, Checkbox, NumberInput, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Hair, type PersonPage } from '../../api/client';
import { useMaterials } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import { Fold } from '../../kit/Fold';
import { Rows } from '../../kit/Rows';
import { Seek } from '../../kit/Seek';
import { Several } from '../../kit/Several';
import { Trouble } from '../../kit/Trouble';
import { capital, options, WORDS } from '../../kit/words';
import { HairMark } from '../../signature/HairMark';
import { usePersonChange } from './usePersonChange';

const FIELDS = [
  'name',
  'hair.born',
  'hair.stretchedCm',
  'hair.unstretchedCm',
  'hair.worn.takeDown',
  'hair.ownProtein.times',
  'hair.ownProtein.days',
  'hair.ownSpirit.times',
  'hair.ownSpirit.days',
];

/** Nothing chosen is nothing told. */
const or = <T extends string>(value: string) => (value === '' ? undefined : (value as T));
const number = (v: number | string) => (v === '' ? undefined : Number(v));

/** Somebody, told: a name is enough, the rest helps doses and limits. */
export function PersonForm({ page }: { page?: PersonPage }) {
  const navigate = useNavigate();
  const materials = useMaterials();
  const [name, setName] = useState(page?.person.name ?? '');
  const [hair, setHair] = useState<Hair>(page?.person.hair ?? {});
  const set = (part: Partial<Hair>) => setHair({ ...hair, ...part });
  const worn = hair.worn ?? {};
  const unsuited = hair.unsuited ?? [];
  const families = unsuited.flatMap((u) => (u.family ? [u.family] : []));
  const struck = unsuited.filter((u) => !u.family);
  const keep = usePersonChange(
    () => {
      const told = { ...hair, unsuited: unsuited.filter((u) => u.family || u.material) };
      return page
        ? ask(
            api.PUT('/api/people/{id}', {
              params: { path: { id: page.person.id } },
              body: { version: page.person.version, name, hair: told },
            }),
          )
        : ask(api.POST('/api/people', { body: { name, hair: told, usual: true } }));
    },
    (kept) => void navigate(`/use/people/${kept.person.id}`),
  );
  return (
    <form
      className="stack reading"
      onSubmit={(e) => {
        e.preventDefault();
        keep.mutate(undefined);
      }}
    >
      <div className="row start">
        <HairMark
          hair={hair}
          lengthCm={hair.stretchedCm ?? REACH_CM[hair.reaches ?? 'CHIN']}
          shrinkage={
            hair.stretchedCm && hair.unstretchedCm
              ? Math.max(0, 1 - hair.unstretchedCm / hair.stretchedCm)
              : null
          }
          up={(worn.style ?? 'LOOSE') !== 'LOOSE'}
          size={72}
        />
        <h1>{page ? name || page.person.name : 'Whose hair?'}</h1>
      </div>
      <p className="soft">
        A name is enough. Everything else may stay open, and stays in this household.
      </p>
      <TextInput
        label="Name"
        value={name}
        onChange={(e) => setName(e.currentTarget.value)}
        error={said(keep.error, 'name')}
        maxLength={60}
        required
      />
      <Choice
        label="How old?"
        description="Limits for scents and doses go by it."
        value={hair.age ?? 'ADULT'}
        onChange={(v) => set({ age: or(v), born: undefined })}
        data={options(WORDS.ages, capital)}
      />
      <div className="fields">
        <Choice
          label="How far does it come, drawn straight?"
          placeholder="Not told"
          value={hair.reaches ?? ''}
          onChange={(v) => set({ reaches: or(v) })}
          data={options(WORDS.reaches, capital)}
        />
        <Choice
          label="How much hair?"
          value={hair.density ?? 'USUAL'}
          onChange={(v) => set({ density: or(v) })}
          data={options(WORDS.densities, capital)}
        />
        <Choice
          label="How does it fall?"
          value={hair.pattern ?? 'STRAIGHT'}
          onChange={(v) => set({ pattern: or(v) })}
          data={options(WORDS.patterns, capital)}
        />
        <Choice
          label="A single hair is"
          value={hair.strand ?? 'MEDIUM'}
          onChange={(v) => set({ strand: or(v) })}
          data={options(WORDS.strands, capital)}
        />
        <Choice
          label="The scalp is"
          value={hair.scalp ?? 'ORDINARY'}
          onChange={(v) => set({ scalp: or(v) })}
          data={options(WORDS.scalps, capital)}
        />
        <Choice
          label="Porosity"
          value={hair.porosity ?? 'UNSURE'}
          onChange={(v) => set({ porosity: or(v) })}
          data={options(WORDS.porosities, capital)}
        />
      </div>
      <Fold id="porosity" title="Find the porosity out" says="three looks, a minute">
        <PorosityGuide onFound={(porosity) => set({ porosity })} />
      </Fold>
      <Checkbox
        size="md"
        label="Coloured, grey or light: what stains is seen on it"
        checked={hair.light ?? false}
        onChange={(e) => set({ light: e.currentTarget.checked })}
      />
      <div className="fields">
        <Choice
          label="Worn"
          value={worn.style ?? 'LOOSE'}
          onChange={(v) => set({ worn: { ...worn, style: or(v) } })}
          data={options(WORDS.wornStyles, capital)}
        />
        {(worn.style ?? 'LOOSE') !== 'LOOSE' && (
          <>
            <TextInput
              type="date"
              label="Since"
              value={worn.since ?? ''}
              onChange={(e) => set({ worn: { ...worn, since: or(e.currentTarget.value) } })}
            />
            <TextInput
              type="date"
              label="Comes down on"
              value={worn.takeDown ?? ''}
              onChange={(e) => set({ worn: { ...worn, takeDown: or(e.currentTarget.value) } })}
              error={said(keep.error, 'hair.worn.takeDown')}
            />
          </>
        )}
      </div>
      <Fold
        id="lengths"
        title="Measured lengths"
        says={hair.stretchedCm ? `${hair.stretchedCm} cm` : 'for doses, and how much it shrinks'}
        wrong={Boolean(said(keep.error, 'hair.stretchedCm', 'hair.unstretchedCm'))}
      >
        <div className="fields">
          <NumberInput
            label="Drawn straight"
            suffix=" cm"
            value={hair.stretchedCm ?? ''}
            onChange={(v) => set({ stretchedCm: number(v) })}
            error={said(keep.error, 'hair.stretchedCm')}
          />
          <NumberInput
            label="As it falls"
            suffix=" cm"
            value={hair.unstretchedCm ?? ''}
            onChange={(v) => set({ unstretchedCm: number(v) })}
            error={said(keep.error, 'hair.unstretchedCm')}
          />
          <NumberInput
            label="Born in"
            description="Instead of the age: it then grows by itself."
            thousandSeparator={false}
            value={hair.born ?? ''}
            onChange={(v) => set({ born: number(v) })}
            error={said(keep.error, 'hair.born')}
          />
        </div>
      </Fold>
      <Fold
        id="unsuited"
        title="What must not come on this head"
        says={unsuited.length ? `${unsuited.length} struck` : 'nothing struck'}
      >
        <Several
          label="All of"
          data={options(WORDS.families, capital)}
          value={families}
          onChange={(all) =>
            set({
              unsuited: [
                ...struck,
                ...all.map((family) => ({ family: family as (typeof families)[number] })),
              ],
            })
          }
        />
        <Rows
          of={struck}
          known={(u) => ({
            key: u.material ?? '',
            name: materials.data?.find((m) => m.id === u.material)?.name ?? 'this one',
          })}
          more="One more material"
          onMore={() => set({ unsuited: [...unsuited, { material: '' }] })}
          onLeaveOut={(i) => set({ unsuited: unsuited.filter((u) => u !== struck[i]) })}
        >
          {(u) => (
            <Seek
              className="fill"
              aria-label="Material"
              value={u.material || null}
              onChange={(material) =>
                set({ unsuited: unsuited.map((each) => (each === u ? { material } : each)) })
              }
              data={(materials.data ?? []).map((m) => ({
                value: m.id,
                label: m.name,
                beside: m.kindWords,
              }))}
            />
          )}
        </Rows>
      </Fold>
      <Fold
        id="conditions"
        title="What switches cautions on"
        says={hair.conditions?.length ? `${hair.conditions.length} told` : 'only if you like'}
      >
        <p className="soft">
          Nobody has to say. Where it is said, brews with essential oils are not proposed.
        </p>
        <Several
          label="Told"
          data={options(WORDS.conditions, capital)}
          value={hair.conditions ?? []}
          onChange={(all) => set({ conditions: all as Hair['conditions'] })}
        />
      </Fold>
      <Fold
        id="own"
        title="Your own limits"
        says={hair.ownProtein || hair.ownSpirit ? 'yours' : 'ours, where you say nothing'}
        wrong={Boolean(said(keep.error, ...FIELDS.slice(5)))}
      >
        <OwnRate
          what="Protein"
          rate={hair.ownProtein}
          error={said(keep.error, 'hair.ownProtein.times', 'hair.ownProtein.days')}
          onChange={(ownProtein) => set({ ownProtein })}
        />
        <OwnRate
          what="Spirit"
          rate={hair.ownSpirit}
          error={said(keep.error, 'hair.ownSpirit.times', 'hair.ownSpirit.days')}
          onChange={(ownSpirit) => set({ ownSpirit })}
        />
      </Fold>
      <Trouble error={keep.error} fields={FIELDS} />
      <div className="row">
        <Button type="submit" loading={keep.isPending}>
          {page ? 'Keep it' : 'Make the page'}
        </Button>
        <Button variant="outline" onClick={() => void navigate(-1)}>
          Leave it
        </Button>
      </div>
      {!page && (
        <p className="soft small">
          The page begins with the usual routine for such hair; every part of it can be changed.
        </p>
      )}
    </form>
  );
}

/** For the drawing alone; what a dose goes by is reckoned on the server. */
const REACH_CM = { CROPPED: 5, CHIN: 20, SHOULDER: 35, MID_BACK: 55, WAIST: 75 };

type Rate = NonNullable<Hair['ownProtein']>;

function OwnRate({
  what,
  rate,
  error,
  onChange,
}: {
  what: string;
  rate: Rate | undefined;
  error?: string;
  onChange: (rate: Rate | undefined) => void;
}) {
  return (
    <div className="row end">
      <Checkbox
        size="md"
        label={`${what}: our own figure`}
        checked={rate !== undefined}
        onChange={(e) => onChange(e.currentTarget.checked ? { times: 1, days: 7 } : undefined)}
      />
      {rate && (
        <>
          <NumberInput
            className="field-s"
            label="Times"
            value={rate.times}
            onChange={(v) => onChange({ ...rate, times: Number(v) || 0 })}
            error={error}
          />
          <NumberInput
            className="field-s"
            label="In days"
            value={rate.days}
            onChange={(v) => onChange({ ...rate, days: Number(v) || 0 })}
          />
        </>
      )}
    </div>
  );
}

type Spray = keyof typeof WORDS.porositySprays;
type Drying = keyof typeof WORDS.porosityDryings;
type Products = keyof typeof WORDS.porosityProducts;

/** Three looks at the hair that vote; not sure is a result. */
function PorosityGuide({
  onFound,
}: {
  onFound: (porosity: NonNullable<Hair['porosity']>) => void;
}) {
  const [spray, setSpray] = useState<Spray | ''>('');
  const [drying, setDrying] = useState<Drying | ''>('');
  const [products, setProducts] = useState<Products | ''>('');
  const query = {
    spray: or<Spray>(spray),
    drying: or<Drying>(drying),
    products: or<Products>(products),
  };
  const vote = useQuery({
    queryKey: ['porosity', query],
    queryFn: () => ask(api.GET('/api/porosity', { params: { query } })),
    enabled: Boolean(spray || drying || products),
  });
  return (
    <div className="stack">
      <Choice
        label="Spray water on clean, dry hair with nothing in it. After a minute:"
        placeholder="Not looked yet"
        value={spray}
        onChange={(v) => setSpray(v as Spray)}
        data={options(WORDS.porositySprays)}
      />
      <Choice
        label="In the air it dries in"
        placeholder="Not known"
        value={drying}
        onChange={(v) => setDrying(v as Drying)}
        data={options(WORDS.porosityDryings)}
      />
      <Choice
        label="Creams and oils"
        placeholder="Not known"
        value={products}
        onChange={(v) => setProducts(v as Products)}
        data={options(WORDS.porosityProducts)}
      />
      {vote.data && (
        <div className="row" role="status">
          <b>{capital(vote.data.words)}</b>
          <Button variant="outline" onClick={() => onFound(vote.data.porosity)}>
            Take it
          </Button>
        </div>
      )}
      <p className="soft small">
        Floating a hair on water is not asked for: it tells of oil and air on the hair, not of the
        hair.
      </p>
    </div>
  );
}
