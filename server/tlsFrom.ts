import { X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createSecureContext } from 'node:tls';

/** A certificate with its chain, and its private key, both as PEM. */
export interface Tls {
  readonly cert: Buffer;
  readonly key: Buffer;
}

/** What was asked for: no TLS (`null`), TLS, or what is wrong with it, for whoever started the server. */
export type TlsAsked =
  | { readonly ok: true; readonly tls: Tls | null }
  | { readonly ok: false; readonly why: string };

const refused = (why: string): TlsAsked => ({ ok: false, why });

/** Out of `TLS_CERT` and `TLS_KEY`, the files of a certificate and its key: neither, or both. */
export function tlsFrom(env: Record<string, string | undefined>, now = new Date()): TlsAsked {
  const { TLS_CERT: certFile, TLS_KEY: keyFile } = env;
  if (!certFile && !keyFile) return { ok: true, tls: null };
  if (!certFile || !keyFile)
    return refused(
      `TLS needs both TLS_CERT and TLS_KEY; ${certFile ? 'TLS_KEY' : 'TLS_CERT'} is missing.`,
    );
  let tls: Tls;
  try {
    tls = { cert: readFileSync(certFile), key: readFileSync(keyFile) };
  } catch (error) {
    return refused(`TLS_CERT or TLS_KEY can't be read: ${(error as Error).message}`);
  }
  try {
    createSecureContext(tls);
    const until = new Date(new X509Certificate(tls.cert).validTo);
    if (until < now)
      return refused(`The certificate in TLS_CERT ended on ${until.toISOString().slice(0, 10)}.`);
  } catch (error) {
    return refused(
      `TLS_CERT and TLS_KEY are no certificate with its key: ${(error as Error).message}`,
    );
  }
  return { ok: true, tls };
}
