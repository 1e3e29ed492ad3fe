import * as ed25519 from '@noble/ed25519';
import { sha256, sha512 } from '@noble/hashes/sha2.js';
import { bytesToHex, hexToBytes, utf8ToBytes } from '@noble/hashes/utils.js';
import { stringify } from 'safe-stable-stringify';
import type { Attempt, AttemptAnswer } from './attempt';

/**
 * The seal of a record. Every answer, with its time, is hashed together with all that went before it, and the last link is
 * signed with a key that was made on the device (Ed25519, RFC 8032). It shows that nothing was changed after it was
 * signed and which records come from one device. It does not show who sat there, nor that the device's clock was right.
 */
/** Signs with the device's key. */
export interface Signer {
  /** Public key in hexadecimal. */
  readonly key: string;
  sign(message: Uint8Array): Promise<Uint8Array>;
}

/** edited: `from` is the first answer that does not fit, or `null` where the signature itself does not. */
export type SealVerdict =
  | { readonly kind: 'none' }
  | { readonly kind: 'whole'; readonly key: string }
  | { readonly kind: 'edited'; readonly key: string; readonly from: number | null };

ed25519.hashes.sha512 = sha512;

const linkOf = (before: string, value: unknown): string =>
  bytesToHex(sha256(utf8ToBytes(`${before}\n${stringify(value)}`)));

const headOf = ({ id, student, lesson, startedAt }: Attempt, key: string): string =>
  linkOf('fair-sprocket/seal 1', { id, student, lesson, startedAt, key });

const messageOf = (attempt: Attempt, last: string): Uint8Array =>
  utf8ToBytes(`${last}\n${attempt.finishedAt ?? ''}`);

/** Every answer as it was written, those set aside included, each in its place. */
function asWritten({ answers, setAside = [] }: Attempt): unknown[] {
  const all: unknown[] = [...answers];
  for (const { at, raw } of [...setAside].sort((a, b) => a.at - b.at))
    all.splice(at, 0, readBack(raw));
  return all;
}

function readBack(raw: string): unknown {
  try {
    return JSON.parse(raw) as AttemptAnswer;
  } catch {
    return raw;
  }
}

function linksOf(attempt: Attempt, key: string): string[] {
  const links: string[] = [];
  for (const answer of asWritten(attempt))
    links.push(linkOf(links.at(-1) ?? headOf(attempt, key), answer));
  return links;
}

/** The record with a seal over all that it holds now. */
export async function sealed(attempt: Attempt, signer: Signer): Promise<Attempt> {
  const links = linksOf(attempt, signer.key);
  const last = links.at(-1) ?? headOf(attempt, signer.key);
  const signature = bytesToHex(await signer.sign(messageOf(attempt, last)));
  return { ...attempt, seal: { key: signer.key, links, signature } };
}

export function checkSeal(attempt: Attempt): SealVerdict {
  const { seal } = attempt;
  if (!seal) return { kind: 'none' };
  const links = linksOf(attempt, seal.key);
  const wrong = links.findIndex((link, k) => link !== seal.links[k]);
  if (wrong >= 0) return { kind: 'edited', key: seal.key, from: wrong };
  const last = links.at(-1) ?? headOf(attempt, seal.key);
  const good =
    links.length === seal.links.length &&
    verified(seal.signature, messageOf(attempt, last), seal.key);
  return good ? { kind: 'whole', key: seal.key } : { kind: 'edited', key: seal.key, from: null };
}

function verified(signature: string, message: Uint8Array, key: string): boolean {
  try {
    return ed25519.verify(hexToBytes(signature), message, hexToBytes(key));
  } catch {
    // A key that is no point of the curve.
    return false;
  }
}

/** A signer for where the browser offers none: over plain http. @param secret 32 random bytes, kept on the device */
export const signerFrom = (secret: Uint8Array): Signer => ({
  key: bytesToHex(ed25519.getPublicKey(secret)),
  sign: (message) => Promise.resolve(ed25519.sign(message, secret)),
});
