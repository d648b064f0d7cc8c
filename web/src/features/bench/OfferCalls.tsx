import { Button } from '@mantine/core';
import { useState } from 'react';
import type { Run } from '../../api/client';
import { allowed, useCalling } from '../tray/calling';

const ASKED = 'dremsa-calls-asked';

/** Offered when the first timer runs: a call when the pot is due, also with the screen locked. */
export function OfferCalls({ run }: { run: Run }) {
  const [dropped, setDropped] = useState(() => localStorage.getItem(ASKED) !== null);
  const calling = useCalling();
  const drop = () => {
    localStorage.setItem(ASKED, 'yes');
    setDropped(true);
  };
  const alarm = (
    <a href={`/api/batches/${run.id}/steps.ics?now=true`}>Put its alarm into your calendar</a>
  );
  if (calling.on && !calling.words) return null;
  if (dropped || allowed() === 'denied' || allowed() === 'missing')
    return run.line.usualAt ? <p className="small">{alarm}</p> : null;
  return (
    <div className="offer" role="group" aria-label="Calls on this device">
      <p>
        {calling.words ||
          'Shall this device call you when the pot is due, also while its screen is locked?'}
      </p>
      <div className="row">
        {!calling.words && (
          <Button className="touch" onClick={() => void calling.call()} loading={calling.busy}>
            Call me
          </Button>
        )}
        <Button className="touch" variant="outline" onClick={drop}>
          {calling.words ? 'All right' : 'Not on this device'}
        </Button>
        {run.line.usualAt && alarm}
      </div>
    </div>
  );
}
