import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { usePeople } from '../../api/queries';
import { Loaded } from '../../kit/Loaded';
import { Empty } from '../../kit/states';
import { HairMark } from '../../signature/HairMark';
import { hairWords } from './words';
import { UseLinks } from './UseLinks';
import './people.css';

/** Use: everybody whose hair is cared for here. */
export function PeoplePage() {
  const people = usePeople();
  return (
    <main className="page" id="main">
      <UseLinks />
      <Loaded part of={people}>
        {({ people: all }) => (
          <>
            <div className="row spread">
              <h1>{all.length ? 'Whose hair' : 'Whose hair is it for?'}</h1>
              <Button
                component={Link}
                to="/use/people/new"
                variant={all.length ? 'outline' : 'filled'}
              >
                Somebody more
              </Button>
            </div>
            {all.length === 0 && (
              <Empty title="Nobody has a page yet">
                <p>
                  A name is enough to begin with. With a page each, wash days get their bottles and
                  doses, and what does not suit stays off a head.
                </p>
              </Empty>
            )}
            <ul className="heads">
              {all.map((p) => (
                <li key={p.id}>
                  <Link to={`/use/people/${p.id}`}>
                    <HairMark
                      hair={p.hair}
                      lengthCm={p.lengthCm}
                      shrinkage={p.shrinkage}
                      up={p.up}
                    />
                    <span>
                      <b>{p.name}</b>
                      <span className="soft small">{hairWords(p)}</span>
                      {p.occasions.map((o) => (
                        <span key={o.key} className="small">
                          {o.name}: {o.words}
                        </span>
                      ))}
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
            <p className="soft small above">
              What is told here of others stays in this household. Each page can be taken along as a
              file, and be taken away with all that is personal.
            </p>
          </>
        )}
      </Loaded>
    </main>
  );
}
