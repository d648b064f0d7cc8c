import type { components } from '../../api/generated/schema';
import { Link } from 'react-router';
import type { ContainerLine, Kitchen } from '../../api/client';
import { BottlePicture } from '../../signature/BottlePicture';
import { useInUse } from '../../api/queries';
import { figure, type Format } from '../../kit/format';
import { capital } from '../../kit/words';
import './kitchens.css';

type Held = components['schemas']['Held'];
type Vessel = Kitchen['vessels'][number];

const FLOOR = 172;

/** The largest thing of a kitchen is drawn so high; all others beside it in their true size. */
const TALLEST = 120;

/**
 * The kitchen as it stands: hobs, pots, bowls, jars and blender in their true proportions, each with
 * what brews in it now. A touch goes to where the thing is described.
 */
export function KitchenPicture({
  kitchen,
  containers,
  now,
  format,
}: {
  kitchen: Kitchen;
  /** What brews are bottled in. */
  containers: ContainerLine[];
  now: number;
  format: Format;
}) {
  const inUse = useInUse();
  const held = (inUse.data ?? []).filter((h) => Date.parse(h.from) <= now);
  const cm = TALLEST / Math.max(...kitchen.vessels.map(height), 1);
  // On which ring a pot stands nobody has said, and strainers are not drawn.
  const loose = held.filter((h) => h.kind !== 'VESSEL');
  const inVessel = (vessel: Vessel) => held.find((h) => h.kind === 'VESSEL' && h.id === vessel.id);
  const stateOf = (h: Held | undefined) =>
    h ? `${h.brew}, till ${format.soon(h.until, now)}` : 'free';
  return (
    <section aria-labelledby="drawn">
      <h2 id="drawn" className="sr">
        What stands in the kitchen
      </h2>
      <ul className="kitchen-shelf">
        {kitchen.hobs.map((hob) => (
          <Thing key={hob.id} to="hobs" name={hob.name}>
            <svg viewBox={`0 138 110 ${FLOOR - 132}`} width="110" aria-hidden>
              <ellipse
                cx="55"
                cy="158"
                rx="46"
                ry="13"
                fill="none"
                stroke="var(--ink)"
                strokeWidth="3"
              />
              <ellipse
                cx="55"
                cy="158"
                rx="28"
                ry="8"
                fill="none"
                stroke="var(--ink)"
                strokeWidth="3"
              />
            </svg>
          </Thing>
        ))}
        {kitchen.vessels.map((vessel) => (
          <Thing
            key={vessel.id}
            to="vessels"
            name={vessel.name}
            held={inVessel(vessel)}
            state={stateOf(inVessel(vessel))}
          >
            <VesselDrawing vessel={vessel} cm={cm} full={inVessel(vessel) !== undefined} />
          </Thing>
        ))}
        {containers.map((c) => (
          <Thing
            key={c.id}
            to="containers"
            name={`${figure(c.sizeMl)} mL`}
            state={`${c.free} of ${c.owned} free${c.promised.length > 0 ? `, ${c.promised.length} kept for ${[...new Set(c.promised)].join(', ')}` : ''}`}
          >
            <BottlePicture
              container={c.kind}
              fill={0}
              tint="F3EEE3"
              sizeMl={c.sizeMl}
              scale={0.62}
            />
          </Thing>
        ))}
      </ul>
      {loose.length > 0 && (
        <ul className="plain">
          {loose.map((h) => (
            <li key={h.kind + h.id + h.batch}>
              <b>{capital(h.name)}</b> is in use: <Link to={`/brew/${h.batch}`}>{h.brew}</Link>,
              till {format.soon(h.until, now)}.
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** How high a vessel is, cm: what it holds over its width; 1 mL is 1 cm³. */
const height = (v: Vessel) => v.capacityMl / (Math.PI * (v.diameterCm / 2) ** 2);

function VesselDrawing({ vessel, cm, full }: { vessel: Vessel; cm: number; full: boolean }) {
  const wide = Math.max(26, vessel.diameterCm * cm);
  const high = Math.max(26, height(vessel) * cm);
  const w = wide + 40;
  const x = 20;
  const y = FLOOR - high;
  const round = vessel.kind === 'BOWL' ? Math.min(high, wide / 2) * 0.8 : 6;
  const outline = `M${x} ${y} V${FLOOR - round} q0 ${round} ${round} ${round} H${x + wide - round} q${round} 0 ${round} -${round} V${y}`;
  return (
    <svg viewBox={`0 ${y - 12} ${w} ${high + 18}`} width={w} aria-hidden>
      <path d={outline + 'z'} fill="var(--paper)" />
      {full && (
        <path
          d={`M${x} ${y + high * 0.3} V${FLOOR - round} q0 ${round} ${round} ${round} H${x + wide - round} q${round} 0 ${round} -${round} V${y + high * 0.3}z`}
          fill="var(--woad-pale)"
        />
      )}
      <path d={outline} fill="none" stroke="var(--ink)" strokeWidth="3.5" />
      {vessel.kind === 'POT' && (
        <path
          d={`M${x - 14} ${y + 14}h14v8h-14zM${x + wide} ${y + 14}h14v8h-14z`}
          fill="var(--ink)"
        />
      )}
      {vessel.lid && vessel.kind !== 'BOWL' && (
        <path d={`M${x - 3} ${y - 4}h${wide + 6}v-6h-${wide + 6}z`} fill="var(--ink)" />
      )}
      {vessel.kind === 'BLENDER' && (
        <path d={`M${x + wide / 2 - 10} ${FLOOR - 6}l10 -9l10 9z`} fill="var(--ink)" />
      )}
    </svg>
  );
}

function Thing({
  to,
  name,
  held,
  state,
  children,
}: {
  to: string;
  name: string;
  held?: Held;
  /** What is in it, or that it is free; empty where that is not known of the single thing. */
  state?: string;
  children: React.ReactNode;
}) {
  return (
    <li>
      <Link to={held ? `/brew/${held.batch}` : `#${to}`}>
        {children}
        <b>{name}</b>
        {state && <span>{state}</span>}
      </Link>
    </li>
  );
}
