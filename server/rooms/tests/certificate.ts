import { execFileSync } from 'node:child_process';
import path from 'node:path';

/** A certificate of our own for this machine, as a shop would make one. */
export function certificate(
  dir: string,
  name: string,
  days: number,
): { TLS_CERT: string; TLS_KEY: string } {
  const [cert, key] = [path.join(dir, `${name}.crt`), path.join(dir, `${name}.key`)];
  const made = `req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days ${days}`;
  const names = ['-subj', '/CN=shop', '-addext', 'subjectAltName=IP:127.0.0.1'];
  execFileSync('openssl', [...made.split(' '), '-keyout', key, '-out', cert, ...names], {
    stdio: 'ignore',
  });
  return { TLS_CERT: cert, TLS_KEY: key };
}
