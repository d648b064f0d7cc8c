import { Button, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, ask, keys, type LabelFormat } from '../../api/client';
import { useSheets, useShelf } from '../../api/queries';
import { said } from '../../kit/fields';
import { Choice } from '../../kit/Choice';
import { Failed, Empty, Waiting } from '../../kit/states';
import { Trouble } from '../../kit/Trouble';
import { CalendarFeed } from './CalendarFeed';
import { LabelSeen, StickySheet } from './LabelSeen';
import { ToLabel } from './ToLabel';
import './shelf.css';

/** Labels for bottles, seen as they will print, and the calendar that goes with them. */
export function LabelsPage() {
  const shelf = useShelf();
  const sheets = useSheets();
  const client = useQueryClient();
  const [params] = useSearchParams();
  const [touched, setTouched] = useState<string[]>();
  const [format, setFormat] = useState<LabelFormat>(
    () => (localStorage.getItem('dremsa-labels') as LabelFormat | null) ?? 'A4_21',
  );
  const [skip, setSkip] = useState(0);
  const [name, setName] = useState('');
  // Until something is touched it is what the way here was about: a bottle, or all of a batch.
  const chosen =
    touched ??
    (shelf.data?.bottles ?? [])
      .filter((b) => b.freshness !== 'OVER')
      .filter((b) => b.id === params.get('bottle') || b.batchId === params.get('batch'))
      .map((b) => b.id);
  const form = { bottles: chosen, format, skip, name: name || undefined };
  const print = useMutation({
    mutationFn: async () => {
      const pdf = await ask(api.POST('/api/labels', { body: form, parseAs: 'blob' }));
      return pdf as unknown as Blob;
    },
    onSuccess: async (pdf) => {
      const link = document.createElement('a');
      link.href = URL.createObjectURL(pdf);
      link.download = 'labels.pdf';
      link.click();
      await client.invalidateQueries({ queryKey: keys.all });
    },
  });
  if (shelf.isPending || sheets.isPending) return <Waiting />;
  if (shelf.isError || sheets.isError) {
    return (
      <main className="page" id="main">
        <Failed
          error={shelf.error ?? sheets.error}
          again={() => void Promise.all([shelf.refetch(), sheets.refetch()])}
        />
      </main>
    );
  }
  const { bottles, today } = shelf.data;
  const sheet = sheets.data.find((s) => s.format === format) ?? sheets.data[0]!;
  return (
    <main className="page" id="main">
      <p className="soft">
        <Link to="/keep">The shelf</Link>
      </p>
      <h1>Labels</h1>
      {bottles.length === 0 ? (
        <Empty title="Nothing stands on the shelf.">
          <p>Labels are printed for bottles that are filled.</p>
        </Empty>
      ) : (
        <>
          <ToLabel bottles={bottles} today={today} chosen={chosen} onChosen={setTouched} />
          {chosen.length > 0 && (
            <div className="label-work">
              <LabelSeen
                form={form}
                shape={sheet.shape}
                name={bottles.find((b) => b.id === chosen[0])?.name ?? ''}
              />
              <div className="stack">
                <Choice
                  label="Sheet"
                  data={sheets.data.map((s) => ({ value: s.format, label: s.words }))}
                  value={format}
                  onChange={(next) => {
                    setFormat(next as LabelFormat);
                    setSkip(0);
                    localStorage.setItem('dremsa-labels', next);
                  }}
                />
                <StickySheet sheet={sheet} count={chosen.length} skip={skip} onSkip={setSkip} />
                {chosen.length === 1 && (
                  <TextInput
                    label="Another name on it"
                    value={name}
                    onChange={(e) => setName(e.currentTarget.value)}
                    error={said(print.error, 'name')}
                  />
                )}
                <Trouble error={print.error} fields={['name']} />
                <div>
                  <Button
                    className="touch"
                    loading={print.isPending}
                    onClick={() => print.mutate()}
                  >
                    {chosen.length === 1 ? 'Make the PDF' : `Make the PDF of ${chosen.length}`}
                  </Button>
                </div>
                <p className="soft small">
                  A date once printed never moves later: if the brew turns out to keep longer, the
                  label still counts. What is frozen is labelled anew.
                </p>
              </div>
            </div>
          )}
        </>
      )}
      <CalendarFeed />
    </main>
  );
}
