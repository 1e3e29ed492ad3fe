import { networkInterfaces } from 'node:os';

/** Addresses that can be opened in a browser: a server that listens everywhere has one for each network. */
export function addressesOf(host: string): string[] {
  if (host !== '0.0.0.0' && host !== '::') return [host.includes(':') ? `[${host}]` : host];
  const own = Object.values(networkInterfaces())
    .flatMap((addresses) => addresses ?? [])
    .filter((a) => a.family === 'IPv4' && !a.internal)
    .map((a) => a.address);
  return ['127.0.0.1', ...own];
}
