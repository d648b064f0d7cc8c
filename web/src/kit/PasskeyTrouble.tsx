import { saidByDevice } from './passkey';
import { Trouble } from './Trouble';

/** What the device said of a passkey, or the server. */
export function PasskeyTrouble({ error, fields }: { error: unknown; fields?: string[] }) {
  const words = saidByDevice(error);
  return words ? (
    <p className="trouble" role="alert">
      {words}
    </p>
  ) : (
    <Trouble error={error} fields={fields} />
  );
}
