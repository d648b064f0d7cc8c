import { Button, Textarea, TextInput } from '@mantine/core';
import { useDebouncedValue, useHotkeys } from '@mantine/hooks';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import {
  api,
  ask,
  keys,
  ProblemError,
  type Finding,
  type FormulaView,
  type Method,
  type Purpose,
} from '../../api/client';
import { useFormula, useMethods, usePrediction } from '../../api/queries';
import { useOnce } from '../../api/useOnce';
import { said } from '../../kit/fields';
import { duration, useFormat } from '../../kit/format';
import { tell } from '../../kit/states';
import { BrewLine } from '../../signature/BrewLine';
import { ChooseLinks } from './ChooseLinks';
import { IngredientLines } from './IngredientLines';
import { StepLines } from './StepLines';
import { useEditor, type Keeping } from './useEditor';
import { options, WORDS } from '../../kit/words';
import { Choice } from '../../kit/Choice';
import { Several } from '../../kit/Several';
import { Loaded } from '../../kit/Loaded';

/** Changes a formula of the household's own; the self-check speaks as it goes. */
export function EditorPage() {
  const { id = '' } = useParams();
  const formula = useFormula(id);
  return (
    <Loaded of={formula}>
      {(data) =>
        data.own ? (
          <Editor key={id} id={id} view={data} />
        ) : (
          <Navigate to={`/choose/${id}`} replace />
        )
      }
    </Loaded>
  );
}

function Editor({ id, view }: { id: string; view: FormulaView }) {
  const editor = useEditor(id, view);
  const { formula, edit } = editor;
  const format = useFormat();
  const methods = useMethods();
  const [asked] = useDebouncedValue(formula, 250);
  const prediction = usePrediction({
    formula: { ...asked, id: undefined },
    target: { kind: 'VOLUME', amount: { value: 500, unit: 'ml' } },
    ranges: false,
  });
  const [step, setStep] = useState(-1);
  useHotkeys(
    [
      ['mod+Z', () => editor.undo?.()],
      ['mod+shift+Z', () => editor.redo?.()],
      ['mod+Y', () => editor.redo?.()],
    ],
    [],
  );
  const refused =
    editor.keeping.state === 'refused'
      ? editor.keeping.error
      : prediction.error instanceof ProblemError
        ? prediction.error
        : undefined;
  const findings: Finding[] = prediction.data?.findings ?? [];
  return (
    <main className="page" id="main">
      <ChooseLinks />
      <div className="row spread">
        <h1>{formula.name || 'A formula without a name'}</h1>
        <div className="row">
          <Button variant="outline" onClick={editor.undo} disabled={!editor.undo}>
            Undo
          </Button>
          <Button variant="outline" onClick={editor.redo} disabled={!editor.redo}>
            Redo
          </Button>
          <Button component={Link} to={`/choose/${id}/measure`}>
            Measure
          </Button>
        </div>
      </div>
      <KeptLine editor={editor} />
      {editor.recovered && (
        <p className="caution" role="status">
          What you typed last time and was not kept yet is here again. Undo brings back what was
          kept.
        </p>
      )}
      <div className="two above">
        <div className="stack">
          <div className="row end">
            <TextInput
              className="field"
              label="Name"
              value={formula.name}
              onChange={(e) => edit({ ...formula, name: e.currentTarget.value }, 'name')}
              error={said(refused, 'formula.name')}
            />
            <Choice
              className="field"
              label="Method"
              data={methods.data?.map((m) => ({ value: m.method, label: m.name })) ?? []}
              value={formula.method}
              onChange={(m) => edit({ ...formula, method: m as Method }, '')}
            />
            <Several
              label="Used as"
              data={options(WORDS.purposes)}
              value={formula.purposes ?? []}
              onChange={(p) => edit({ ...formula, purposes: p as Purpose[] }, '')}
            />
          </div>
          <section aria-labelledby="line">
            <h2 id="line">
              How it goes{prediction.data ? `: ${duration(prediction.data.totalMinutes)}` : ''}
            </h2>
            {prediction.data && (
              <div className={prediction.error ? 'stale' : ''}>
                <BrewLine
                  prediction={prediction.data}
                  format={format}
                  selected={step}
                  onSelect={setStep}
                />
              </div>
            )}
            {prediction.error && (
              <p className="trouble" role="alert">
                {prediction.error.message}
              </p>
            )}
            <StepLines
              formula={formula}
              open={step}
              onOpen={setStep}
              edit={edit}
              findings={findings}
              error={refused}
            />
          </section>
        </div>
        <aside className="stack">
          <IngredientLines formula={formula} edit={edit} findings={findings} error={refused} />
          <Textarea
            label="About it"
            autosize
            minRows={3}
            value={formula.about ?? ''}
            onChange={(e) => edit({ ...formula, about: e.currentTarget.value }, 'about')}
            error={said(refused, 'formula.about')}
          />
          <Check findings={findings} />
        </aside>
      </div>
    </main>
  );
}

function keptWords(keeping: Keeping): string {
  switch (keeping.state) {
    case 'kept':
      return 'Kept.';
    case 'keeping':
      return 'Keeping …';
    case 'waiting':
      return 'Not kept yet: no line to Dremsa. It is tried again; nothing is lost.';
    case 'refused':
      return `Not kept yet: ${keeping.error.message}`;
    default:
      return keeping.error.message;
  }
}

function KeptLine({ editor }: { editor: ReturnType<typeof useEditor> }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const once = useOnce();
  const copy = useMutation({
    mutationFn: () => {
      const body = {
        formula: editor.formula,
        name: `${editor.formula.name}, other`.slice(0, 120),
      };
      return once(body, (key) =>
        ask(api.POST('/api/formulas', { params: { header: { 'Idempotency-Key': key } }, body })),
      );
    },
    onSuccess: async (made) => {
      await editor.takeTheirs();
      await client.invalidateQueries({ queryKey: keys.formulas });
      await navigate(`/choose/${made.id}/change`);
    },
    onError: tell,
  });
  const elsewhere = editor.keeping.state === 'elsewhere';
  return (
    <div className={elsewhere ? 'trouble stack' : ''}>
      <p className={elsewhere ? '' : 'soft small'} role="status">
        {keptWords(editor.keeping)}
      </p>
      {elsewhere && (
        <div className="row">
          <Button variant="outline" onClick={() => editor.takeTheirs().catch(tell)}>
            Show theirs
          </Button>
          <Button variant="outline" onClick={() => copy.mutate()} loading={copy.isPending}>
            Keep mine as a copy
          </Button>
          <Button variant="outline" onClick={() => editor.keepMine().catch(tell)}>
            Keep mine instead
          </Button>
        </div>
      )}
    </div>
  );
}

function Check({ findings }: { findings: Finding[] }) {
  return (
    <section aria-labelledby="check" aria-live="polite">
      <h2 id="check">Self-check</h2>
      {findings.length === 0 && <p className="soft">Nothing to say against it.</p>}
      {findings.map((f) => (
        <div key={f.code + f.place + f.what} className="caution">
          <p>
            <b>{WORDS.severities[f.severity]}:</b> {f.what}
          </p>
          <p className="small">{f.why}</p>
          <p className="small">
            <b>Cure:</b> {f.cure}
          </p>
        </div>
      ))}
    </section>
  );
}
