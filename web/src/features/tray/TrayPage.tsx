import { Button, Switch } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask, keys } from '../../api/client';
import { useHousehold, useTray } from '../../api/queries';
import { formatFor } from '../../kit/format';
import { Empty, Failed, tell, Waiting } from '../../kit/states';
import { sound, useRemembered } from '../bench/hands';
import { useCalling } from './calling';
import { CalledDevices } from './CalledDevices';
import './tray.css';

const LOUD = { SOON: 'soon', NOW: 'now', LATE: 'late' } as const;

/** What was called out while nobody looked, and what is still to come. */
export function TrayPage() {
  const tray = useTray();
  const household = useHousehold();
  const format = formatFor(household.data);
  const client = useQueryClient();
  const [sounds, setSounds] = useRemembered('sounds', true);
  const calling = useCalling();
  const read = useMutation({
    mutationFn: () => ask(api.POST('/api/messages/read', {})),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.tray }),
    onError: tell,
  });
  if (tray.isPending) return <Waiting />;
  if (!tray.data) {
    return (
      <main className="page" id="main">
        <Failed error={tray.error} again={() => tray.refetch()} />
      </main>
    );
  }
  const { messages, coming, unread } = tray.data;
  return (
    <main className="page" id="main">
      <div className="spread">
        <h1>The tray</h1>
        {unread > 0 && (
          <Button variant="outline" onClick={() => read.mutate()} loading={read.isPending}>
            All seen
          </Button>
        )}
      </div>
      <div className="row around">
        <Switch
          size="md"
          label="Sounds on this device"
          checked={sounds}
          onChange={(e) => setSounds(e.currentTarget.checked)}
        />
        <Switch
          size="md"
          label="Notifications of this browser"
          checked={calling.on}
          disabled={calling.busy}
          onChange={(e) => void (e.currentTarget.checked ? calling.call() : calling.stop())}
        />
        {(['soon', 'now', 'late'] as const).map((loud) => (
          <Button key={loud} variant="subtle" size="compact-md" onClick={() => void sound(loud)}>
            Hear “{loud}”
          </Button>
        ))}
      </div>
      {calling.words && <p className="caution">{calling.words}</p>}
      <CalledDevices format={format} />
      {messages.length === 0 && coming.length === 0 && (
        <Empty title="Nothing was called out yet.">
          <p>What a brew or a bottle wants from you is written here at its time.</p>
        </Empty>
      )}
      <div className="two">
        <ul className="lines" aria-label="Called out">
          {messages.map((m) => (
            <li key={m.id} className="row apart">
              <span>
                <span className={`tray-mark ${m.kind}`}>{LOUD[m.kind]}</span>{' '}
                <Link to={m.link} className={m.unread ? 'strong' : ''}>
                  {m.words}
                </Link>
                <span className="soft small"> {m.title}</span>
              </span>
              <span className="soft small">{format.moment(m.at)}</span>
            </li>
          ))}
        </ul>
        <aside>
          <h2>To come</h2>
          <ul className="lines">
            {coming.map((c) => (
              <li key={c.at + c.words + c.title}>
                <b>{format.moment(c.at)}</b> <Link to={c.link}>{c.words}</Link>
                <span className="soft small"> {c.title}</span>
              </li>
            ))}
          </ul>
          {coming.length === 0 && <p className="soft">Nothing.</p>}
        </aside>
      </div>
    </main>
  );
}
