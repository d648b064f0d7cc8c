import type { ReactNode } from 'react';
import { useSession } from '../api/queries';
import type { Session } from '../api/client';
import './look.css';

export type Role = NonNullable<Session['role']>;

/** What a role may do, as a list of choices says it. */
export const ROLES: Record<Role, { word: string; may: string }> = {
  KEEPER: { word: 'keeper', may: 'everything: formulas, kitchen, people, backups' },
  HELPER: { word: 'helper', may: 'brew, use and look; changes no formula and no kitchen' },
  GUEST: { word: 'guest', may: 'look at the bench, nothing else' },
};

/** What whoever is signed in may do; undefined until it is known. */
export function useRole(): Role | undefined {
  return useSession().data?.role ?? undefined;
}

/**
 * What one may look at and not change: its fields and buttons rest, its links and folds do not. The
 * server refuses as well; this only says so before somebody types.
 */
export function LookingOn({ say, children }: { say: string; children: ReactNode }) {
  return (
    <>
      <p className="looking-on" role="note">
        {say}
      </p>
      <fieldset className="plain" disabled>
        {children}
      </fieldset>
    </>
  );
}

/** A part that keepers change; others look on. */
export function Keepers({ children }: { children: ReactNode }) {
  const role = useRole();
  if (role !== 'HELPER') return <>{children}</>;
  return (
    <LookingOn say="You are a helper here: a keeper of the household changes this; you can look at it.">
      {children}
    </LookingOn>
  );
}

/** A part that helpers work at; guests look on. */
export function Helpers({ children }: { children: ReactNode }) {
  const role = useRole();
  if (role !== 'GUEST') return <>{children}</>;
  return <LookingOn say="You are a guest here: look on as it brews.">{children}</LookingOn>;
}
