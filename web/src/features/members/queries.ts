import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { api, ask, keys } from '../../api/client';
import type { components } from '../../api/generated/schema';

export type MemberLine = components['schemas']['MemberView'];
export type MadeInvitation = components['schemas']['MadeInvitation'];
export type OpenInvitation = components['schemas']['OpenInvitation'];
export type SignedIn = components['schemas']['SignedIn'];
export type AuditLine = components['schemas']['AuditLine'];

export const useMembers = () =>
  useQuery({ queryKey: keys.members, queryFn: () => ask(api.GET('/api/members')) });

export const useInvitations = () =>
  useQuery({ queryKey: keys.invitations, queryFn: () => ask(api.GET('/api/invitations')) });

export const useSignedInDevices = () =>
  useQuery({ queryKey: keys.signedIn, queryFn: () => ask(api.GET('/api/session/devices')) });

export const useRecoveryCodes = () =>
  useQuery({
    queryKey: keys.recovery,
    queryFn: () => ask(api.GET('/api/session/recovery-codes')),
  });

export const usePasskeys = () =>
  useQuery({ queryKey: keys.passkeys, queryFn: () => ask(api.GET('/api/session/passkeys')) });

/** Who came in, the newest first, page by page. */
export const useAudit = () =>
  useInfiniteQuery({
    queryKey: keys.audit,
    queryFn: ({ pageParam }) =>
      ask(
        api.GET('/api/audit', {
          params: { query: pageParam === undefined ? {} : { before: pageParam } },
        }),
      ),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (last) => (last.length === 40 ? last[last.length - 1]!.id : undefined),
  });
