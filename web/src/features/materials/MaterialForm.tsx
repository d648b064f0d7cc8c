import { Button, NumberInput, Textarea, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation, useNavigate, useSearchParams } from 'react-router';
import { api, ask, keys, type Figure, type Material } from '../../api/client';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import { figureWords } from '../../kit/figures';
import { done, Failed, tell } from '../../kit/states';
import { Trouble } from '../../kit/Trouble';
import { capital } from '../../kit/words';
import type { Kind, Known } from './useKinds';

interface Props {
  kinds: Kind[];
  all: Material[];
  /** What is known of it already; a new one where there is none. */
  old: Material | undefined;
  /** Whether the address names one that is not there. */
  unknown: boolean;
}

type Property = Known['property'];
type Typed = Partial<Record<Property, { low?: number | string; high?: number | string }>>;

const isOwn = (f: Figure) => f.provenance === 'HOUSEHOLD' || f.provenance === 'CALIBRATED';

/** What the household knows of a material; what it leaves empty is taken from its kind. */
export function MaterialForm({ kinds, all, old, unknown }: Props) {
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const { key } = useLocation();
  // Back to where it was asked for; a page opened by itself has nowhere to go back to.
  const back = () => (key === 'default' ? navigate('/choose/materials') : navigate(-1));
  const client = useQueryClient();
  const [name, setName] = useState(old?.name ?? params.get('name') ?? '');
  const [kind, setKind] = useState<Kind['kind']>(old?.kind ?? 'LEAF');
  const [inci, setInci] = useState(old?.inci ?? '');
  const [note, setNote] = useState(old?.note ?? '');
  const [typed, setTyped] = useState<Typed>(() => own(old, kinds));
  const asked = kinds.find((k) => k.kind === kind)?.figures ?? [];
  const put = useMutation({
    mutationFn: (material: Material) =>
      ask(
        api.PUT('/api/materials/{id}', {
          params: { path: { id: material.id } },
          body: material,
        }),
      ),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: keys.all });
      await back();
    },
  });
  const forget = useMutation({
    mutationFn: async () => {
      const kept = old!;
      await ask(api.DELETE('/api/materials/{id}', { params: { path: { id: kept.id } } }));
      return kept;
    },
    onSuccess: async (kept) => {
      await client.invalidateQueries({ queryKey: keys.all });
      done(`${kept.name}: our own words are forgotten.`, () => put.mutate(kept));
      await navigate('/choose/materials');
    },
    onError: tell,
  });
  if (unknown && !old) return <Failed error={new Error('There is no such material.')} />;
  const keep = () =>
    put.mutate({
      id: old?.id ?? newId(name, all),
      name,
      kind,
      inci,
      note,
      tint: old?.tint,
      version: old?.version,
      figures: figures(typed, asked, own(old, kinds), old),
    });
  const shown = ['name', 'inci', 'note', ...asked.map((p) => `figures.${p.property}.value`)];
  return (
    <form
      className="stack reading"
      onSubmit={(e) => {
        e.preventDefault();
        keep();
      }}
    >
      <h1>{old ? old.name : 'A material of our own'}</h1>
      <TextInput
        label="What is it called?"
        value={name}
        onChange={(e) => setName(e.currentTarget.value)}
        error={said(put.error, 'name', 'id')}
        required
      />
      <Choice
        label="What sort of thing is it?"
        description="It decides where it goes in, what may be known of it, and what is taken where you know nothing."
        data={kinds.map((k) => ({ value: k.kind, label: capital(k.words) }))}
        value={kind}
        disabled={Boolean(old && !old.own)}
        onChange={(k) => setKind(k as Kind['kind'])}
      />
      <TextInput
        label="Its name on labels (INCI)"
        description="As on the package; it may stay empty."
        value={inci}
        onChange={(e) => setInci(e.currentTarget.value)}
        error={said(put.error, 'inci')}
      />
      <Textarea
        label="To bear in mind"
        value={note}
        onChange={(e) => setNote(e.currentTarget.value)}
        error={said(put.error, 'note')}
      />
      <section className="sheet stack" aria-labelledby="known">
        <h2 id="known">What you know of it</h2>
        <p className="soft">
          From its package or data sheet. Leave empty what you do not know: Dremsa then takes the
          usual figure of its kind, and says so.
        </p>
        {asked.map((p) => (
          <Fact
            key={p.property}
            known={p}
            usual={old?.figures?.[p.property]}
            value={typed[p.property] ?? {}}
            onChange={(v) => setTyped({ ...typed, [p.property]: v })}
            error={said(put.error, `figures.${p.property}.value`)}
          />
        ))}
        {kind === 'PRESERVATIVE' && (
          <p className="caution">
            A preservative whose dose and pH are not both written down is not counted on: the brew
            keeps as if it were not in it.
          </p>
        )}
      </section>
      <Trouble error={put.error} fields={shown} />
      <div className="row">
        <Button type="submit" loading={put.isPending}>
          Keep it
        </Button>
        <Button variant="outline" onClick={() => void back()}>
          Leave it as it was
        </Button>
        {old?.own && (
          <Button
            variant="subtle"
            color="madder"
            onClick={() => forget.mutate()}
            loading={forget.isPending}
          >
            Forget what we wrote down
          </Button>
        )}
      </div>
    </form>
  );
}

function Fact({
  known,
  usual,
  value,
  onChange,
  error,
}: {
  known: Known;
  usual: Figure | undefined;
  value: { low?: number | string; high?: number | string };
  onChange: (value: { low?: number | string; high?: number | string }) => void;
  error: string | undefined;
}) {
  const unit = known.unit ? `, ${known.unit}` : '';
  const described = usual && !isOwn(usual) ? `Else: ${figureWords(usual)}` : undefined;
  if (!known.ranged)
    return (
      <NumberInput
        label={capital(known.words) + unit}
        description={described}
        value={value.low ?? ''}
        onChange={(v) => onChange({ low: v })}
        error={error}
      />
    );
  return (
    <div className="span-line">
      <NumberInput
        label={`${capital(known.words)}${unit}, from`}
        description={described}
        value={value.low ?? ''}
        onChange={(v) => onChange({ ...value, low: v })}
        error={error}
      />
      <NumberInput
        label="to"
        aria-label={`${capital(known.words)}, to`}
        value={value.high ?? ''}
        onChange={(v) => onChange({ ...value, high: v })}
      />
    </div>
  );
}

/** Both ends of a span, of all else its usual figure. */
const shownAs = (f: Figure, span: boolean) =>
  span ? { low: f.low ?? f.value, high: f.high ?? f.value } : { low: f.value, high: f.value };

/** The household's own figures, to be typed over. */
function own(material: Material | undefined, kinds: Kind[]): Typed {
  const spans = new Set(
    kinds.flatMap((k) => k.figures.filter((p) => p.ranged).map((p) => p.property)),
  );
  const typed: Typed = {};
  for (const [property, f] of Object.entries(material?.figures ?? {})) {
    if (isOwn(f)) typed[property as Property] = shownAs(f, spans.has(property as Property));
  }
  return typed;
}

/** Only what was typed; of a span the middle is the usual figure. */
function figures(
  typed: Typed,
  asked: Known[],
  was: Typed,
  old: Material | undefined,
): Material['figures'] {
  // What the form does not ask about, and what nobody touched, stays as it was.
  const kept = Object.fromEntries(
    Object.entries(old?.figures ?? {}).filter(
      ([property, f]) => isOwn(f) && !asked.some((p) => p.property === property),
    ),
  );
  for (const p of asked) {
    const { low = '', high = '' } = typed[p.property] ?? {};
    if (low === '' && high === '') continue;
    const before = was[p.property];
    if (before && before.low === low && (!p.ranged || before.high === high)) {
      kept[p.property] = old!.figures![p.property]!;
      continue;
    }
    const from = Number(low === '' ? high : low);
    const to = p.ranged ? Number(high === '' ? low : high) : from;
    kept[p.property] = { value: (from + to) / 2, low: from, high: to, provenance: 'HOUSEHOLD' };
  }
  return kept;
}

/** An id that no material has yet. */
function newId(name: string, all: Material[]): string {
  const plain =
    name
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 60) || 'material';
  const taken = new Set(all.map((m) => m.id));
  let id = plain;
  for (let n = 2; taken.has(id); n++) id = `${plain}-${n}`;
  return id;
}
