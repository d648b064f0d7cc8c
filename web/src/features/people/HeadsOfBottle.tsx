import { Link } from 'react-router';
import { useHeads, usePeople } from '../../api/queries';
import { WORDS } from '../../kit/words';
import { HairMark } from '../../signature/HairMark';
import { LimitLines } from './LimitLines';
import { grave } from './words';

/** Whose head a bottle is for, and for whose not; nothing where nobody has a page. */
export function HeadsOfBottle({ bottle }: { bottle: string }) {
  const heads = useHeads(bottle);
  const people = usePeople();
  if (!heads.data?.length) return null;
  return (
    <section aria-labelledby="whose">
      <h2 id="whose">Whose head it is for</h2>
      <ul className="lines">
        {heads.data.map((h) => {
          const person = people.data?.people.find((p) => p.id === h.person);
          return (
            <li key={h.person} className="row start">
              {person && (
                <HairMark
                  hair={person.hair}
                  lengthCm={person.lengthCm}
                  shrinkage={person.shrinkage}
                  up={person.up}
                  size={38}
                />
              )}
              <div className="fill">
                <p className="spread">
                  <Link to={`/use/people/${h.person}`}>{h.name}</Link>
                  <span className={h.well ? 'good' : 'bad'}>
                    {h.well
                      ? `fine as ${WORDS.slotKinds[h.slot]}`
                      : grave(h.limits)[0]!.title.toLowerCase()}
                  </span>
                </p>
                <LimitLines limits={h.limits} />
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
