import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type Sheet } from '../../api/client';
import { useHousehold, type SheetForm } from '../../api/queries';
import { useOnce } from '../../api/useOnce';
import { duration, useFormat, type Format } from '../../kit/format';
import { tell } from '../../kit/states';
import { PlaceLine } from './PlaceLine';
import { WriteDown } from './WriteDown';
import { wish, type Asked } from './words';

interface Props {
  form: SheetForm;
  sheet: Sheet;
  asked: Asked[];
  onAsk: (asked: Asked[]) => void;
}

/** A sheet before it begins: what from which bottle, what beforehand, in which order. */
export function SheetView({ form, sheet, asked, onAsk }: Props) {
  const format = useFormat();
  const household = useHousehold();
  const client = useQueryClient();
  const once = useOnce();
  const [writing, setWriting] = useState(false);
  const today = household.data && format.dateOf(household.data.now) === sheet.day;
  const begin = useMutation({
    mutationFn: () =>
      once(form, (key) =>
        ask(
          api.POST('/api/wash-runs', {
            params: { header: { 'Idempotency-Key': key } },
            body: form,
          }),
        ),
      ),
    onSuccess: async (run) => {
      client.setQueryData(keys.washRuns, [run]);
      await client.invalidateQueries({ queryKey: keys.all });
    },
    onError: tell,
  });
  return (
    <>
      <p className="soft above">
        From {format.clock(sheet.startsAt)} · about {duration(sheet.minutes)} until everybody is
        done, with one pair of hands
      </p>
      <Before sheet={sheet} format={format} />
      <div className="sheet-heads">
        {sheet.heads.map((head, h) => (
          <section key={head.person + head.occasion} aria-label={head.name}>
            <h2>
              {head.name} <span className="soft">{head.occasionName.toLowerCase()}</span>
            </h2>
            <ul className="lines">
              {head.places.map((place, p) => (
                <li key={p}>
                  <PlaceLine
                    place={place}
                    wish={asked[h]?.wishes.find((w) => w.place === p)}
                    format={format}
                    onWish={(w) => onAsk(wish(asked, h, { place: p, ...w }))}
                  />
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      <Order sheet={sheet} format={format} />
      <ul className="plain above">
        {sheet.cautions.map((words) => (
          <li key={words} className="soft small">
            {words}
          </li>
        ))}
      </ul>
      {writing ? (
        <WriteDown sheet={sheet} onLeave={() => setWriting(false)} />
      ) : (
        <div className="row above-l no-print">
          {today && (
            <Button size="lg" onClick={() => begin.mutate()} loading={begin.isPending}>
              Begin, with timers
            </Button>
          )}
          <Button size="lg" variant="outline" onClick={() => setWriting(true)}>
            It is done: write it down
          </Button>
          <Print form={form} />
        </div>
      )}
    </>
  );
}

/** A page to take to the bath. */
function Print({ form }: { form: SheetForm }) {
  const print = useMutation({
    mutationFn: async () =>
      ask(
        api.POST('/api/sheets/print', { body: form, parseAs: 'blob' }) as Promise<{
          data?: Blob;
          error?: unknown;
          response: Response;
        }>,
      ),
    onSuccess: (blob) => window.open(URL.createObjectURL(blob as Blob), '_blank'),
    onError: tell,
  });
  return (
    <Button size="lg" variant="subtle" onClick={() => print.mutate()} loading={print.isPending}>
      Print it
    </Button>
  );
}

function Before({ sheet, format }: { sheet: Sheet; format: Format }) {
  if (sheet.before.length === 0) return null;
  return (
    <section className="sheet above" aria-labelledby="before">
      <h2 id="before">Before</h2>
      <ul className="lines">
        {sheet.before.map((b) => (
          <li key={b.kind + b.bottle}>
            <b>{format.moment(b.at)}</b> {b.words}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** All steps in one common time: a column a head, hands in one place at a time. */
function Order({ sheet, format }: { sheet: Sheet; format: Format }) {
  const start = Date.parse(sheet.startsAt);
  return (
    <section className="above-l" aria-labelledby="order">
      <h2 id="order">In this order</h2>
      <ol className="wash-order" style={{ '--heads': sheet.heads.length } as React.CSSProperties}>
        {sheet.order.map((item) => {
          const head = sheet.heads[item.head]!;
          const step = head.steps[item.step]!;
          return (
            <li
              key={`${item.head}-${item.step}`}
              style={{ '--column': item.head } as React.CSSProperties}
            >
              <span className="wash-at">{format.clock(start + item.start * 60_000)}</span>
              <span className="wash-what">
                <b>{head.name}</b> {step.words}
                {step.rest && (
                  <span className="soft">
                    {' '}
                    Then {Math.round(step.rest.least)} to {Math.round(step.rest.most)} min, usually{' '}
                    {Math.round(step.rest.usual)}.
                  </span>
                )}
              </span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
