import { Button, Checkbox, NumberInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type Container, type ContainerLine } from '../../api/client';
import { useContainers } from '../../api/queries';
import { said } from '../../kit/fields';
import { figure, useFormat } from '../../kit/format';
import { Failed, tell, Waiting } from '../../kit/states';
import { BottlePicture } from '../../signature/BottlePicture';
import { capital, options, WORDS } from '../../kit/words';
import { Choice } from '../../kit/Choice';
import { Trouble } from '../../kit/Trouble';

const SPRAYS: Container[] = ['SPRAY', 'TRIGGER'];

/** The bottles, jars and trays owned: how many, how many free, when they were sterilised. */
export function ContainersForm() {
  const containers = useContainers();
  if (containers.isPending) return <Waiting />;
  if (containers.isError) return <Failed error={containers.error} />;
  return (
    <section className="stack" aria-label="Bottles and jars">
      <p className="soft">
        Dremsa proposes the free ones that a brew comes out of again, and says what to sterilise.
        Boiled out and closed, one counts as sterilised for a day.
      </p>
      {containers.data.length > 0 && (
        <ul className="lines">
          {containers.data.map((line) => (
            <Owned key={`${line.id}-${line.version}`} line={line} />
          ))}
        </ul>
      )}
      <OneMore />
    </section>
  );
}

/** A change that is answered with all containers as they are then. */
function useContainersChange<V>(mutationFn: (v: V) => Promise<ContainerLine[]>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn,
    onSuccess: async (next) => {
      client.setQueryData(keys.containers, next);
      await client.invalidateQueries({ queryKey: keys.all });
    },
  });
}

function Owned({ line }: { line: ContainerLine }) {
  const format = useFormat();
  const [owned, setOwned] = useState<number | string>(line.owned);
  const path = { params: { path: { id: line.id } } };
  const change = useContainersChange((form: { owned: number; filter: boolean }) =>
    ask(api.PUT('/api/containers/{id}', { ...path, body: { version: line.version, ...form } })),
  );
  const sterilise = useContainersChange((count: number) =>
    ask(
      api.POST('/api/containers/{id}/sterilised', {
        ...path,
        body: { version: line.version, count },
      }),
    ),
  );
  const remove = useContainersChange(() => ask(api.DELETE('/api/containers/{id}', path)));
  const words = capital(WORDS.containers[line.kind]);
  const save = () => Number(owned) !== line.owned && change.mutate({ ...line, owned: +owned });
  return (
    <li className="row end">
      <BottlePicture
        container={line.kind}
        fill={0}
        tint="F3EEE3"
        sizeMl={line.sizeMl}
        scale={0.42}
      />
      <div className="field">
        <b>
          {words}, {figure(line.sizeMl)} mL
        </b>
        <p className="soft small">
          {line.full} filled, {line.free} free
          {line.promised.length > 0 &&
            `, ${line.promised.length} kept for ${[...new Set(line.promised)].join(', ')}`}
          {line.ready > 0 && `, ${line.ready} empty and sterilised`}
          {line.sterilisedAt &&
            ` ${line.ready > 0 ? '' : '· last sterilised '}${format.moment(line.sterilisedAt)}`}
        </p>
        <p className="soft small">
          {line.thickestMpas == null
            ? 'for anything, the thickest gel too'
            : `for what is no thicker than ${figure(line.thickestMpas)} mPa·s (water is 1)`}
          {line.fillShare < 1 && `, filled to ${Math.round(line.fillShare * 100)} %`}
        </p>
      </div>
      {SPRAYS.includes(line.kind) && (
        <Checkbox
          size="md"
          label="filter on its tube"
          checked={line.filter}
          onChange={(e) => change.mutate({ ...line, filter: e.currentTarget.checked })}
        />
      )}
      <NumberInput
        label="How many"
        w={92}
        value={owned}
        onChange={setOwned}
        onBlur={save}
        onKeyDown={(e) => e.key === 'Enter' && save()}
        error={said(change.error, 'owned')}
      />
      <Button
        variant="outline"
        disabled={line.free === 0}
        loading={sterilise.isPending}
        onClick={() => sterilise.mutate(line.free, { onError: tell })}
      >
        Sterilised now
      </Button>
      <Button
        variant="subtle"
        aria-label={`Leave ${words} ${line.sizeMl} mL out`}
        onClick={() => remove.mutate(undefined, { onError: tell })}
      >
        ✕
      </Button>
    </li>
  );
}

function OneMore() {
  const [kind, setKind] = useState<Container>('SPRAY');
  const [sizeMl, setSizeMl] = useState<number | string>('');
  const [owned, setOwned] = useState<number | string>(1);
  const add = useContainersChange(() =>
    ask(
      api.POST('/api/containers', {
        body: { kind, sizeMl: Number(sizeMl), owned: Number(owned), filter: false },
      }),
    ),
  );
  return (
    <form
      className="stack"
      onSubmit={(e) => {
        e.preventDefault();
        add.mutate(undefined, { onSuccess: () => setSizeMl('') });
      }}
    >
      <div className="row end">
        <Choice
          label="One more sort"
          data={options(WORDS.containers, capital)}
          value={kind}
          onChange={(k) => setKind(k as Container)}
          w={180}
        />
        <NumberInput
          label="One holds, mL"
          w={130}
          value={sizeMl}
          onChange={setSizeMl}
          error={said(add.error, 'sizeMl')}
        />
        <NumberInput
          label="There are"
          w={100}
          value={owned}
          onChange={setOwned}
          error={said(add.error, 'owned')}
        />
        <Button type="submit" variant="outline" loading={add.isPending}>
          Write it down
        </Button>
      </div>
      <Trouble error={add.error} fields={['sizeMl', 'owned']} />
    </form>
  );
}
