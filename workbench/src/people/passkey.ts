import { api, ask, whoIsIn } from '../api/client';

/** Whether this browser knows passkeys, as W3C WebAuthn Level 3 writes them in JSON. */
export const knowsPasskeys =
  typeof PublicKeyCredential !== 'undefined' &&
  'parseCreationOptionsFromJSON' in PublicKeyCredential;

/** What a browser says, in words that help. Source of the names: W3C WebAuthn, 5.1.3 and 5.1.4. */
const SAID: Readonly<Record<string, string>> = {
  NotAllowedError:
    'No passkey was taken: nobody unlocked one, or it took too long. Nothing was changed.',
  InvalidStateError: 'This device has a passkey of yours already.',
  NotSupportedError: 'This device makes no passkeys that can be read here.',
  SecurityError: 'This address can have no passkeys; sign in at the one that the server is called.',
};

/** What the device answers. */
async function answered(asking: Promise<Credential | null>) {
  try {
    const answer = await asking;
    if (answer instanceof PublicKeyCredential) return { ...answer.toJSON() };
  } catch (problem) {
    const name = (problem as DOMException).name;
    throw new Error(SAID[name] ?? (problem as Error).message, { cause: problem });
  }
  throw new Error(SAID.NotAllowedError);
}

/** Makes a passkey on this device, or on one that it asks. */
export async function makePasskey(name: string) {
  const { options } = await ask(api.POST('/api/me/passkeys/asked'));
  const credential = await answered(
    navigator.credentials.create({
      publicKey: PublicKeyCredential.parseCreationOptionsFromJSON(
        options as unknown as PublicKeyCredentialCreationOptionsJSON,
      ),
    }),
  );
  await ask(api.POST('/api/me/passkeys', { body: { name, credential } }));
}

/** Comes in by a passkey. */
export async function showPasskey() {
  await whoIsIn();
  const { options } = await ask(api.POST('/api/sign-ins/asked'));
  const credential = await answered(
    navigator.credentials.get({
      publicKey: PublicKeyCredential.parseRequestOptionsFromJSON(
        options as unknown as PublicKeyCredentialRequestOptionsJSON,
      ),
    }),
  );
  await ask(api.POST('/api/sign-ins/passkey', { body: { credential } }));
}
