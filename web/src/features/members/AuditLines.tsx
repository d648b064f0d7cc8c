import { Button } from '@mantine/core';
import { useFormat } from '../../kit/format';
import { Failed } from '../../kit/states';
import { useAudit, type AuditLine } from './queries';

const SAID: Record<AuditLine['what'], string> = {
  HOUSEHOLD_MADE: 'made the household',
  SIGNED_IN: 'signed in',
  WRONG_PASSWORD: 'was tried with a wrong password',
  SIGNED_OUT_ELSEWHERE: 'signed out on another device',
  PASSWORD_CHANGED: 'changed the password',
  PASSWORD_RECOVERED: 'set a new password with a recovery code',
  RECOVERY_CODES_MADE: 'made recovery codes',
  PASSKEY_ADDED: 'made a passkey',
  PASSKEY_TAKEN_AWAY: 'took a passkey away',
  INVITED: 'invited somebody',
  INVITATION_TAKEN_BACK: 'took an invitation back',
  JOINED: 'came in by an invitation',
  ROLE_CHANGED: 'changed what somebody may do',
  TAKEN_AWAY: 'took somebody away',
  LEFT: 'left the household',
  BACKUP_FETCHED: 'fetched a backup',
  RESTORED: 'read a backup in',
  HOUSEHOLD_DELETED: 'deleted the household',
};

/** Who had the keys: sign-ins, invitations, restores, the newest first. */
export function AuditLines() {
  const audit = useAudit();
  const format = useFormat();
  if (audit.isError) return <Failed error={audit.error} again={() => audit.refetch()} />;
  const lines = audit.data?.pages.flat() ?? [];
  return (
    <div className="stack">
      <ul className="lines">
        {lines.map((line) => (
          <li key={line.id} className="spread">
            <span className={line.what === 'WRONG_PASSWORD' ? 'caution' : ''}>
              <b>{line.who ?? 'Dremsa'}</b> {SAID[line.what]}
              {line.about && <span className="soft">: {line.about}</span>}
            </span>
            <span className="soft small">
              {format.moment(line.at)}
              {line.address && ` · ${line.address}`}
            </span>
          </li>
        ))}
      </ul>
      {audit.hasNextPage && (
        <div>
          <Button
            variant="outline"
            onClick={() => audit.fetchNextPage()}
            loading={audit.isFetchingNextPage}
          >
            Earlier
          </Button>
        </div>
      )}
    </div>
  );
}
