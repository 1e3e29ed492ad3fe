import { bytesToHex } from '@noble/hashes/utils.js';
import { sealed, signerFrom, type Attempt, type Signer } from '../../core/lesson';
import type { KeyValueStore } from './keyValueStore';
import { settingKey } from './settingsIn';

const KEY = settingKey('device-key');

/** Kept in the browser's database: a pair whose secret can't be read out, or, over plain http, 32 bytes. */
type Kept = CryptoKeyPair | Uint8Array;

/** What seals records with this device's key. */
export async function deviceSeal(
  store: KeyValueStore,
): Promise<(attempt: Attempt) => Promise<Attempt>> {
  const signer = await deviceSigner(store);
  return (attempt) => sealed(attempt, signer);
}

/**
 * The key that this device seals records with, made on its first start. Where the browser offers signatures (secure
 * contexts) its secret never leaves the browser; elsewhere it is kept as bytes.
 */
async function deviceSigner(store: KeyValueStore): Promise<Signer> {
  const made = await make();
  // Two tabs may start at once: the first key stays.
  const kept = await store.change<Kept>(KEY, (stored) =>
    isKept(stored) ? { do: 'nothing', result: stored } : { do: 'write', value: made, result: made },
  );
  if (kept instanceof Uint8Array) return signerFrom(kept);
  const { publicKey, privateKey } = kept;
  return {
    key: bytesToHex(new Uint8Array(await crypto.subtle.exportKey('raw', publicKey))),
    sign: async (message) =>
      new Uint8Array(await crypto.subtle.sign('Ed25519', privateKey, new Uint8Array(message))),
  };
}

/** Not every browser and context has it, whatever the type says. */
const subtle = (): SubtleCrypto | undefined => (crypto as { subtle?: SubtleCrypto }).subtle;

async function make(): Promise<Kept> {
  try {
    const pair = await subtle()?.generateKey('Ed25519', false, ['sign', 'verify']);
    if (pair && 'privateKey' in pair) return pair;
  } catch {
    // No Ed25519 in this browser.
  }
  return crypto.getRandomValues(new Uint8Array(32));
}

function isKept(value: unknown): value is Kept {
  if (value instanceof Uint8Array) return value.length === 32;
  return (
    typeof value === 'object' && value !== null && 'privateKey' in value && subtle() !== undefined
  );
}
