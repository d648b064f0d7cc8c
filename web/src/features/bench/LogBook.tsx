import { Button, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { ProblemError, type Run } from '../../api/client';
import { CelsiusInput } from '../../kit/CelsiusInput';
import { said, saidElse } from '../../kit/fields';
import { figure, type Format } from '../../kit/format';
import { options, WORDS } from '../../kit/words';
import { DeviceTaps } from './DeviceTaps';
import { PhotoRow } from './PhotoRow';
import { useRemoval, type useTap } from './useTaps';
import { Choice } from '../../kit/Choice';

type Kind = Run['log'][number]['kind'];

/** A line of the log in words. */
export function entryWords(
  entry: Run['log'][number],
  run: Run,
  celsius: (c: number) => string,
): string {
  const name = run.prediction.amounts.find((a) => a.ingredient === entry.subject)?.name;
  const amount =
    entry.amount == null
      ? ''
      : entry.kind === 'TEMPERATURE'
        ? celsius(entry.amount)
        : entry.kind === 'PH'
          ? `pH ${entry.amount.toFixed(1)}`
          : `${figure(entry.amount)} ${WORDS.entryUnits[entry.kind]}`;
  return [name ?? WORDS.entries[entry.kind], amount, entry.words].filter(Boolean).join(' ');
}

/** What is measured, smelt, noted and photographed while a step lasts. */
export function LogBook({
  run,
  format,
  tap,
}: {
  run: Run;
  format: Format;
  tap: ReturnType<typeof useTap>;
}) {
  const [kind, setKind] = useState<Kind>('TEMPERATURE');
  const [amount, setAmount] = useState<number | string>('');
  const [words, setWords] = useState('');
  const [subject, setSubject] = useState<string | null>(null);
  const remove = useRemoval(run.id);
  const worded = kind === 'SMELL' || kind === 'NOTE';
  const asked =
    tap.variables?.path === '/entries' &&
    tap.error instanceof ProblemError &&
    tap.error.problem.type.endsWith('questioned');
  const enter = (sure: boolean) =>
    tap.mutate(
      {
        path: '/entries',
        body: {
          kind,
          amount: worded || kind === 'SHAKEN' || amount === '' ? undefined : Number(amount),
          subject: kind === 'INGREDIENT' ? subject : undefined,
          words: words || undefined,
          sure,
        },
        words: WORDS.entries[kind],
        mayWait: true,
      },
      {
        onSuccess: () => {
          setAmount('');
          setWords('');
        },
      },
    );
  const now = run.log.filter((e) => e.step === run.step);
  return (
    <section aria-labelledby="log">
      <h2 id="log">Log</h2>
      <form
        className="row end"
        onSubmit={(e) => {
          e.preventDefault();
          enter(false);
        }}
      >
        <Choice
          className="field-s"
          label="What"
          data={options(WORDS.entries)}
          value={kind}
          onChange={(k) => setKind((k as Kind) ?? 'NOTE')}
        />
        {kind === 'INGREDIENT' && (
          <Choice
            className="field-s"
            label="Of"
            data={run.prediction.amounts.map((a) => ({ value: a.ingredient, label: a.name }))}
            value={subject}
            onChange={setSubject}
            error={said(tap.error, 'subject')}
          />
        )}
        {worded ? (
          <TextInput
            className="field"
            label="Words"
            value={words}
            onChange={(e) => setWords(e.currentTarget.value)}
            maxLength={400}
            error={said(tap.error, 'words')}
          />
        ) : (
          kind !== 'SHAKEN' &&
          (kind === 'TEMPERATURE' ? (
            <CelsiusInput
              label=""
              value={amount}
              onChange={setAmount}
              error={said(tap.error, 'amount')}
              w={120}
            />
          ) : (
            <NumberInput
              label={WORDS.entryUnits[kind] || 'Amount'}
              value={amount}
              onChange={setAmount}
              error={said(tap.error, 'amount')}
              w={120}
            />
          ))
        )}
        <Button className="touch" type="submit" loading={tap.isPending}>
          Enter
        </Button>
        {asked && said(tap.error, 'amount') && (
          <Button className="touch" variant="outline" onClick={() => enter(true)}>
            It is right
          </Button>
        )}
      </form>
      {tap.error &&
        saidElse(tap.error, ['amount', 'words', 'subject', 'minutes', 'millilitres']) && (
          <p className="soft small">
            {saidElse(tap.error, ['amount', 'words', 'subject', 'minutes', 'millilitres'])}
          </p>
        )}
      <DeviceTaps run={run} tap={tap} />
      {run.fit && (
        <p className="small">
          By {run.fit.readings} {run.fit.readings === 1 ? 'reading' : 'readings'} it loses heat{' '}
          {figure(run.fit.factor)} times as fast as predicted (between {figure(run.fit.low)} and{' '}
          {figure(run.fit.high)}); the line above goes by that.
        </p>
      )}
      <ul className="lines">
        {[...now]
          .reverse()
          .slice(0, 12)
          .map((e) => (
            <li key={e.id} className="row apart">
              <span>
                {format.clock(e.at)} {entryWords(e, run, format.celsius)}
                {e.source !== 'typed' && <span className="soft"> · {e.source}</span>}
              </span>
              <Button
                variant="subtle"
                size="compact-md"
                aria-label={`Take out: ${entryWords(e, run, format.celsius)}`}
                onClick={() => remove.mutate(`/entries/${e.id}`)}
              >
                Take out
              </Button>
            </li>
          ))}
      </ul>
      <PhotoRow run={run} onRemove={(id) => remove.mutate(`/photos/${id}`)} />
    </section>
  );
}
