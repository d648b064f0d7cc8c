import { api, ask, ProblemError } from '../api/client';

/** Why a passkey can be made or used here, or cannot. */
export type PasskeyPlace = 'here' | 'not by an address' | 'not by this browser';

/** A passkey belongs to a name: browsers refuse it to a page that is open by an address. */
export function passkeyPlace(host: string = location.hostname): PasskeyPlace {
  if (/^[\d.]+$/.test(host) || host.includes(':')) return 'not by an address';
  // Not there, too, where the page came without TLS from elsewhere than this machine.
  return 'PublicKeyCredential' in window &&
    'parseRequestOptionsFromJSON' in PublicKeyCredential &&
    window.isSecureContext
    ? 'here'
    : 'not by this browser';
}

const asJson = (made: Credential | null) =>
  (made as PublicKeyCredential).toJSON() as Record<string, unknown>;

/**
 * Has the device make a passkey, and the server keep it.
 *
 * @throws ProblemError where the server refuses
 * @throws DOMException where the device does, or its owner
 */
export async function makePasskey(password: string) {
  const options = await ask(api.POST('/api/session/passkeys/options', { body: { password } }));
  const made = await navigator.credentials.create({
    publicKey: PublicKeyCredential.parseCreationOptionsFromJSON(
      options as unknown as PublicKeyCredentialCreationOptionsJSON,
    ),
  });
  return ask(api.POST('/api/session/passkeys', { body: { credential: asJson(made) } }));
}

/**
 * Comes in with a passkey of this device.
 *
 * @throws as {@link makePasskey}
 */
export async function comeInByPasskey() {
  const options = await ask(api.POST('/api/session/passkey/options'));
  const answer = await navigator.credentials.get({
    publicKey: PublicKeyCredential.parseRequestOptionsFromJSON(
      options as unknown as PublicKeyCredentialRequestOptionsJSON,
    ),
  });
  return ask(api.POST('/api/session/passkey', { body: { credential: asJson(answer) } }));
}

/** What went wrong on the device itself, in words; nothing where the server said it. */
export function saidByDevice(error: unknown): string | undefined {
  if (!error || error instanceof ProblemError) return undefined;
  const { name } = error as { name?: string };
  if (name === 'InvalidStateError') return 'This device holds a passkey of yours already.';
  if (name === 'NotAllowedError') return 'Nothing was done: it was broken off, or took too long.';
  return 'This device could not do it.';
}
