import { Button, TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useMaterials } from '../../api/queries';
import { figureWords } from '../../kit/figures';
import { Loaded } from '../../kit/Loaded';
import { seek } from '../../kit/seek';
import { Empty } from '../../kit/states';
import { ChooseLinks } from '../formulas/ChooseLinks';
import { MaterialForm } from './MaterialForm';
import { useKinds } from './useKinds';
import './materials.css';
import type { Material } from '../../api/client';

/** What a formula may name: the catalogue, and what the household wrote down itself. */
export function MaterialsPage() {
  const { material: id } = useParams();
  const materials = useMaterials();
  const kinds = useKinds();
  return (
    <main className="page" id="main">
      <ChooseLinks />
      <Loaded part of={materials}>
        {(all) => (
          <Loaded part of={kinds}>
            {(known) =>
              id ? (
                <MaterialForm
                  key={id}
                  kinds={known}
                  all={all}
                  old={all.find((m) => m.id === id)}
                  unknown={id !== 'new'}
                />
              ) : (
                <MaterialList all={all} />
              )
            }
          </Loaded>
        )}
      </Loaded>
    </main>
  );
}

function MaterialList({ all }: { all: Material[] }) {
  const [find, setFind] = useState('');
  const entries = useMemo(
    () =>
      all
        .filter((m) => m.kind !== 'WATER')
        .sort((a, b) => Number(b.own ?? false) - Number(a.own ?? false))
        .map((m) => ({
          material: m,
          part: '',
          title: m.name,
          text: [m.kindWords, m.inci, m.note, ...(m.alsoCalled ?? [])].join(' '),
        })),
    [all],
  );
  const found = find.trim() ? seek(find, entries) : entries;
  const anew = `/choose/materials/new${find.trim() ? `?name=${encodeURIComponent(find.trim())}` : ''}`;
  return (
    <>
      <div className="row spread">
        <h1>Materials</h1>
        <Button component={Link} to={anew} variant={found.length ? 'outline' : 'filled'}>
          Write one of our own down
        </Button>
      </div>
      <TextInput
        className="short around"
        label="Find"
        type="search"
        placeholder="preservative, lavender oil, flax, …"
        value={find}
        onChange={(e) => setFind(e.currentTarget.value)}
      />
      <p className="soft small" role="status">
        {found.length} of {entries.length}
      </p>
      {found.length === 0 && (
        <Empty title="Nothing here is called that">
          <p>Try what it is (seed, oil, preservative), or write it down as one of your own.</p>
        </Empty>
      )}
      <ul className="lines materials">
        {found.map(({ material: m }) => (
          <li key={m.id}>
            <Link to={`/choose/materials/${m.id}`}>
              <b>{m.name}</b>
              <span className="soft">
                {m.kindWords}
                {m.inci && ` · ${m.inci}`}
                {m.own && ' · our own figures'}
              </span>
              {m.figures?.DOSE && (
                <span className="soft">usual dose {figureWords(m.figures.DOSE)}</span>
              )}
              {m.note && <span className="soft">{m.note}</span>}
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
