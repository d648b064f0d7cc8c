import { Button, NumberInput, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Occasion, type PersonPage, type SlotKind } from '../../api/client';
import { useFormulas } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import { useFormat } from '../../kit/format';
import { Several } from '../../kit/Several';
import { Trouble } from '../../kit/Trouble';
import { capital, options, WORDS } from '../../kit/words';
import { DAYS, daily, dailyRule, wayOf, WAYS, weekly, weeklyRule, type Way } from './repeats';
import { usePersonChange } from './usePersonChange';

type Slot = Occasion['slots'][number];
type Repeat = Occasion['repeat'];

const more = (all: Occasion[], first: string): Occasion => {
  let n = all.length + 1;
  while (all.some((o) => o.key === `o${n}`)) n++;
  return {
    key: `o${n}`,
    kind: 'MIDWEEK',
    name: 'Midweek',
    repeat: { first, rule: 'FREQ=WEEKLY;BYDAY=WE' },
    time: '19:00:00',
    slots: [{ kind: 'LEAVE_IN', choices: [] }],
  };
};

/** What is done for somebody, and when: occasions with their places in order. */
export function RoutineForm({ page }: { page: PersonPage }) {
  const navigate = useNavigate();
  const [all, setAll] = useState<Occasion[]>(page.routine.occasions);
  const set = (i: number, part: Partial<Occasion>) =>
    setAll(all.map((o, n) => (n === i ? { ...o, ...part } : o)));
  const id = page.person.id;
  const keep = usePersonChange(
    () =>
      ask(
        api.PUT('/api/people/{id}/routine', {
          params: { path: { id } },
          body: { version: page.person.version, routine: { occasions: all } },
        }),
      ),
    () => void navigate(`/use/people/${id}`),
  );
  const fields = all.flatMap((_, i) =>
    ['name', 'slots', 'repeat.rule', 'repeat.every', 'repeat.last', 'repeat.occasion'].map(
      (f) => `routine.occasions[${i}].${f}`,
    ),
  );
  return (
    <form
      className="stack reading"
      onSubmit={(e) => {
        e.preventDefault();
        keep.mutate(undefined);
      }}
    >
      <h1>What is done for {page.person.name}</h1>
      {all.map((o, i) => (
        <section key={o.key} className="sheet stack" aria-label={o.name}>
          <div className="row end">
            <TextInput
              className="fill"
              label="What is it called?"
              value={o.name}
              onChange={(e) => set(i, { name: e.currentTarget.value })}
              error={said(keep.error, `routine.occasions[${i}].name`)}
            />
            <Choice
              label="What sort?"
              value={o.kind}
              onChange={(kind) => set(i, { kind: kind as Occasion['kind'] })}
              data={options(WORDS.occasionKinds, capital)}
            />
            <TextInput
              type="time"
              label="Usually at"
              value={(o.time ?? '10:00').slice(0, 5)}
              onChange={(e) => set(i, { time: `${e.currentTarget.value}:00` })}
            />
          </div>
          <When
            repeat={o.repeat}
            others={all.filter((other) => other.key !== o.key && !other.repeat.follows)}
            error={said(
              keep.error,
              ...['rule', 'every', 'last', 'occasion', 'first'].map(
                (f) => `routine.occasions[${i}].repeat.${f}`,
              ),
            )}
            onChange={(repeat) => set(i, { repeat })}
          />
          <Slots slots={o.slots} onChange={(slots) => set(i, { slots })} />
          {said(keep.error, `routine.occasions[${i}].slots`) && (
            <p className="trouble">{said(keep.error, `routine.occasions[${i}].slots`)}</p>
          )}
          <div>
            <Button
              variant="subtle"
              color="madder"
              onClick={() => setAll(all.filter((_, n) => n !== i))}
            >
              Leave “{o.name}” out of the routine
            </Button>
          </div>
        </section>
      ))}
      <div>
        <Button variant="outline" onClick={() => setAll([...all, more(all, page.today)])}>
          One more occasion
        </Button>
      </div>
      <Trouble error={keep.error} fields={fields} />
      <div className="row">
        <Button type="submit" loading={keep.isPending}>
          Keep the routine
        </Button>
        <Button variant="outline" onClick={() => void navigate(`/use/people/${id}`)}>
          Leave it as it was
        </Button>
      </div>
    </form>
  );
}

function When({
  repeat,
  others,
  error,
  onChange,
}: {
  repeat: Repeat;
  others: Occasion[];
  error?: string;
  onChange: (repeat: Repeat) => void;
}) {
  const format = useFormat();
  const way = wayOf(repeat);
  const [rule, setRule] = useState(way === 'RULE');
  const shown: Way = rule && way !== 'WITH' ? 'RULE' : way;
  const week = weekly(repeat.rule ?? '') ?? { days: [], every: 1 };
  const by = (text: string) => onChange({ first: repeat.first, last: repeat.last, rule: text });
  const says = useQuery({
    queryKey: ['repeat', repeat],
    queryFn: () => ask(api.POST('/api/repeats', { body: repeat })),
    enabled: !repeat.follows,
    retry: false,
  });
  return (
    <div className="stack">
      <div className="row end">
        <Choice
          label="It comes round"
          value={shown}
          onChange={(v) => {
            setRule(v === 'RULE');
            if (v === 'WEEKS') by('FREQ=WEEKLY;BYDAY=SU');
            if (v === 'DAYS') by('FREQ=DAILY;INTERVAL=7');
            if (v === 'WITH' && others[0]) {
              onChange({ first: repeat.first, follows: others[0].key, every: 2 });
            }
            if (v === 'RULE' && repeat.follows) by('FREQ=WEEKLY');
          }}
          data={WAYS.filter((w) => w.value !== 'WITH' || others.length > 0)}
        />
        {shown === 'DAYS' && (
          <NumberInput
            label="Every"
            suffix=" days"
            value={daily(repeat.rule ?? '') ?? 7}
            onChange={(v) => by(dailyRule(Math.max(1, Number(v) || 1)))}
          />
        )}
        {shown === 'WITH' && (
          <>
            <NumberInput
              label="Every so-many-th"
              value={repeat.every ?? 1}
              onChange={(v) => onChange({ ...repeat, every: Number(v) || 1 })}
            />
            <Choice
              label="time of"
              value={repeat.follows ?? ''}
              onChange={(follows) => onChange({ ...repeat, follows })}
              data={others.map((o) => ({ value: o.key, label: o.name }))}
            />
          </>
        )}
        {shown === 'RULE' && (
          <TextInput
            className="fill"
            label="Rule (RFC 5545)"
            value={repeat.rule ?? ''}
            onChange={(e) => by(e.currentTarget.value)}
            error={error}
          />
        )}
      </div>
      {shown === 'WEEKS' && (
        <div className="row end">
          <Several
            label="On"
            data={DAYS}
            value={week.days}
            onChange={(days) => by(weeklyRule({ ...week, days }))}
          />
          <NumberInput
            label="Every"
            suffix={week.every === 1 ? ' week' : ' weeks'}
            value={week.every}
            onChange={(v) => by(weeklyRule({ ...week, every: Math.max(1, Number(v) || 1) }))}
          />
        </div>
      )}
      <div className="row end">
        <TextInput
          type="date"
          label="Beginning"
          value={repeat.first}
          onChange={(e) => onChange({ ...repeat, first: e.currentTarget.value })}
        />
        {!repeat.follows && (
          <TextInput
            type="date"
            label="Till (if it ends)"
            value={repeat.last ?? ''}
            onChange={(e) => onChange({ ...repeat, last: e.currentTarget.value || undefined })}
          />
        )}
      </div>
      {error && shown !== 'RULE' && (
        <p className="trouble" role="alert">
          {error}
        </p>
      )}
      {says.error && !error && <p className="trouble">{says.error.message}</p>}
      {says.data && (
        <p className="soft small" role="status">
          {capital(says.data.words)}:{' '}
          {says.data.days.length
            ? `next ${says.data.days.slice(0, 3).map(format.day).join(', ')}`
            : 'no day in the coming year'}
        </p>
      )}
    </div>
  );
}

/** Where nothing is proposed of itself. */
const NOTHING_OF_OURS: SlotKind[] = ['DETANGLE', 'SHAMPOO', 'DRY'];
const WHATEVER = '';
const BOUGHT = 'bought';

/** The places of an occasion, in order: what is done, and with what. */
function Slots({ slots, onChange }: { slots: Slot[]; onChange: (slots: Slot[]) => void }) {
  const formulas = useFormulas();
  const set = (i: number, slot: Slot) => onChange(slots.map((s, n) => (n === i ? slot : s)));
  const swap = (i: number) => {
    const next = [...slots];
    [next[i - 1], next[i]] = [next[i]!, next[i - 1]!];
    onChange(next);
  };
  const names = (formulas.data ?? []).map((f) => ({ value: f.id, label: f.name }));
  return (
    <div>
      <h3>In this order</h3>
      <ol className="occasion-slots">
        {slots.map((slot, i) => {
          const choices = slot.choices ?? [];
          const choose = (n: number, value: string) => {
            const chosen = value === BOUGHT ? { bought: '…' } : { formula: value };
            set(i, {
              ...slot,
              choices:
                value === WHATEVER
                  ? choices.filter((_, c) => c !== n)
                  : n < choices.length
                    ? choices.map((c, k) => (k === n ? chosen : c))
                    : [...choices, chosen],
            });
          };
          return (
            <li key={i} className="row end">
              <Choice
                aria-label={`Place ${i + 1}`}
                value={slot.kind}
                onChange={(kind) => set(i, { ...slot, kind: kind as SlotKind })}
                data={options(WORDS.slotKinds, capital)}
              />
              {[...choices, undefined].slice(0, 4).map((choice, n) => (
                <span key={n} className="row end">
                  <Choice
                    aria-label={`Place ${i + 1}, with`}
                    value={
                      choice === undefined
                        ? WHATEVER
                        : choice.bought
                          ? BOUGHT
                          : (choice.formula ?? WHATEVER)
                    }
                    onChange={(v) => choose(n, v)}
                    data={[
                      {
                        value: WHATEVER,
                        label:
                          n === 0
                            ? NOTHING_OF_OURS.includes(slot.kind)
                              ? 'with nothing of ours'
                              : 'whatever serves'
                            : choice
                              ? 'leave this out'
                              : 'or else …',
                      },
                      { value: BOUGHT, label: 'something bought' },
                      ...names,
                    ]}
                  />
                  {choice?.bought && (
                    <TextInput
                      aria-label={`Place ${i + 1}, bought`}
                      value={choice.bought === '…' ? '' : choice.bought}
                      placeholder="its name"
                      maxLength={80}
                      onChange={(e) =>
                        set(i, {
                          ...slot,
                          choices: choices.map((c, k) =>
                            k === n ? { bought: e.currentTarget.value || '…' } : c,
                          ),
                        })
                      }
                    />
                  )}
                </span>
              ))}
              <span className="together">
                <Button
                  variant="subtle"
                  aria-label={`Place ${i + 1} earlier`}
                  disabled={i === 0}
                  onClick={() => swap(i)}
                >
                  ↑
                </Button>
                <Button
                  variant="subtle"
                  aria-label={`Leave place ${i + 1} out`}
                  onClick={() => onChange(slots.filter((_, n) => n !== i))}
                >
                  ✕
                </Button>
              </span>
            </li>
          );
        })}
      </ol>
      <Button
        variant="subtle"
        onClick={() => onChange([...slots, { kind: 'LEAVE_IN', choices: [] }])}
      >
        One more thing to do
      </Button>
    </div>
  );
}
