import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { connect, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import type { Server as HttpServer } from 'node:http';
import { addressesOf } from './addresses';
import { portFrom } from './portFrom';
import { createApp } from './app';
import { serverFor, SLOWEST_MS } from './serverFor';
import { certificate } from './rooms/tests/certificate';
import { tlsFrom } from './tlsFrom';

/** Over real HTTP, on a small build of its own. */
const PART = `/* ${'part '.repeat(900)} */`;
let dir: string;
let server: HttpServer;
let port: number;

beforeAll(async () => {
  dir = mkdtempSync(path.join(tmpdir(), 'server-test-'));
  mkdirSync(path.join(dir, 'web/assets'), { recursive: true });
  writeFileSync(path.join(dir, 'secret.txt'), 'SECRET');
  writeFileSync(path.join(dir, 'web/index.html'), '<!doctype html><title>PAGE</title>');
  writeFileSync(path.join(dir, 'web/.env'), 'SECRET');
  writeFileSync(path.join(dir, 'web/assets/app-abc123.js'), `/* ${'x'.repeat(5000)} */`);
  writeFileSync(path.join(dir, 'web/assets/part-def456.js'), PART);
  writeFileSync(path.join(dir, 'web/assets/part-def456.js.br'), brotliCompressSync(PART));
  server = createApp(path.join(dir, 'web')).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  port = (server.address() as AddressInfo).port;
});
afterAll(async () => {
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
  rmSync(dir, { recursive: true });
});

const get = (url: string, init: RequestInit = {}) => fetch(`http://127.0.0.1:${port}${url}`, init);

/** Sends the path exactly as written; `fetch` would tidy it up first. */
const raw = (target: string) =>
  new Promise<string>((done, fail) => {
    const socket = connect(port, '127.0.0.1', () =>
      socket.write(`GET ${target} HTTP/1.1\r\nHost: x\r\nConnection: close\r\n\r\n`),
    );
    let text = '';
    socket.on('data', (d: Buffer) => (text += d.toString()));
    socket.on('end', () => done(text));
    socket.on('error', fail);
  });

test('the page is never cached, client-side routes fall back to it', async () => {
  for (const route of ['/', '/teach/lessons', '/learn/lessons/some-id']) {
    const res = await get(route);
    expect([route, res.status, res.headers.get('cache-control')]).toEqual([route, 200, 'no-cache']);
    expect(await res.text()).toContain('PAGE');
  }
});

test('hashed assets are compressed and kept for a year; missing ones are 404', async () => {
  const res = await get('/assets/app-abc123.js', { headers: { 'accept-encoding': 'gzip' } });
  expect(res.headers.get('content-encoding')).toBe('gzip');
  expect(res.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
  expect((await get('/assets/none.js')).status).toBe(404);
  expect((await get('/missing.js')).status).toBe(404);
});

test('what the build has compressed goes out as it is, and one that has gone since is a plain 404', async () => {
  const br = { headers: { 'accept-encoding': 'gzip, deflate, br' } };
  const res = await get('/assets/part-def456.js', br);
  expect(res.headers.get('content-encoding')).toBe('br');
  expect(res.headers.get('content-type')).toMatch(/^text\/javascript/);
  expect(res.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
  expect(res.headers.get('vary')).toContain('Accept-Encoding');
  expect(await res.text()).toBe(PART);
  // Who does not take it gets it whole.
  const plain = await get('/assets/part-def456.js', { headers: { 'accept-encoding': 'identity' } });
  expect([plain.headers.get('content-encoding'), await plain.text()]).toEqual([null, PART]);
  for (const end of ['', '.br']) rmSync(path.join(dir, `web/assets/part-def456.js${end}`));
  const gone = await get('/assets/part-def456.js', br);
  expect([gone.status, await gone.text()]).toEqual([404, 'Not found']);
});

test('the id of a document may hold a dot: its address opens after a reload', async () => {
  for (const route of ['/teach/lessons/gears.v2', '/learn/lessons/a.b.c/preview'])
    expect([route, (await get(route)).status]).toEqual([route, 200]);
  expect((await get('/favicon.none.ico')).status).toBe(404);
});

test('installed in a folder whose name begins with a dot', async () => {
  const hidden = path.join(dir, '.opt/web');
  mkdirSync(hidden, { recursive: true });
  writeFileSync(path.join(hidden, 'index.html'), '<title>HIDDEN</title>');
  const own = createApp(hidden).listen(0, '127.0.0.1');
  await new Promise((done) => own.once('listening', done));
  const res = await fetch(`http://127.0.0.1:${(own.address() as AddressInfo).port}/`);
  expect([res.status, await res.text()]).toEqual([200, '<title>HIDDEN</title>']);
  await new Promise((done) => own.close(done));
});

test('a client that never finishes its request is let go of', async () => {
  const own = serverFor(createApp(path.join(dir, 'web')), 400).listen(0, '127.0.0.1');
  await new Promise((done) => own.once('listening', done));
  const socket = connect((own.address() as AddressInfo).port, '127.0.0.1', () =>
    socket.write('GET / HTTP/1.1\r\nHost: x\r\n'),
  );
  const told: string[] = [];
  socket.on('data', (d: Buffer) => told.push(d.toString()));
  const dripping = setInterval(() => socket.write('X-Slow: 1\r\n'), 100);
  socket.on('error', () => undefined);
  await new Promise((done) => socket.once('close', done));
  clearInterval(dripping);
  expect(told.join('')).not.toContain('200 OK');
  expect(SLOWEST_MS).toBe(20_000);
  await new Promise((done) => own.close(done));
});

test('a server that listens everywhere names addresses that can be opened', () => {
  expect(addressesOf('127.0.0.1')).toEqual(['127.0.0.1']);
  expect(addressesOf('::1')).toEqual(['[::1]']);
  const all = addressesOf('0.0.0.0');
  expect(all[0]).toBe('127.0.0.1');
  for (const address of all) expect(address).toMatch(/^\d+\.\d+\.\d+\.\d+$/);
  expect(all).not.toContain('0.0.0.0');
});

test('health, and nothing but reading', async () => {
  expect(await (await get('/healthz')).json()).toEqual({ status: 'ok' });
  for (const method of ['POST', 'PUT', 'DELETE'])
    expect((await get('/teach', { method })).status).toBe(405);
});

test('security headers', async () => {
  const { headers } = await get('/');
  const policy = headers.get('content-security-policy') ?? '';
  for (const part of [
    "default-src 'none'",
    "script-src 'self'",
    "frame-ancestors 'none'",
    "base-uri 'none'",
  ])
    expect(policy).toContain(part);
  expect(policy).not.toContain('unsafe-eval');
  expect(headers.get('x-content-type-options')).toBe('nosniff');
  expect(headers.get('x-powered-by')).toBeNull();
  expect(headers.get('referrer-policy')).toBe('no-referrer');
});

test.each([
  '/../secret.txt',
  '/assets/../../secret.txt',
  '/..%2fsecret.txt',
  '/assets/..%2f..%2fsecret.txt',
  '/%2e%2e/secret.txt',
  '/assets/%2e%2e/%2e%2e/secret.txt',
  '/..\\secret.txt',
  '/assets/..%5c..%5csecret.txt',
  '/%00',
  '/secret.txt%00.js',
  '/%c0%ae%c0%ae/secret.txt',
  '/%zz',
  '/.env',
  '//secret.txt',
  'http://evil/../secret.txt',
  `/${'a/'.repeat(3000)}`,
])('hostile path %s reads nothing outside the build', async (target) => {
  const text = await raw(target);
  expect(text).toMatch(/^HTTP\/1\.1 \d{3}/);
  expect(text).not.toContain('SECRET');
  expect(text).not.toContain(dir);
});

test('TLS is asked for whole, with a key that fits and a certificate that has not ended', () => {
  const why = (env: Record<string, string>, now?: Date) => {
    const asked = tlsFrom(env, now);
    return asked.ok ? asked.tls && 'tls' : asked.why;
  };
  const [one, two] = [certificate(dir, 'one', 30), certificate(dir, 'two', 30)];
  expect(why({})).toBeNull();
  expect(why(one)).toBe('tls');
  expect(why({ TLS_CERT: one.TLS_CERT })).toContain('TLS_KEY is missing');
  expect(why({ TLS_KEY: one.TLS_KEY })).toContain('TLS_CERT is missing');
  expect(why({ ...one, TLS_CERT: `${one.TLS_CERT}.not` })).toContain("can't be read");
  expect(why({ ...one, TLS_KEY: two.TLS_KEY })).toContain('no certificate with its key');
  expect(why({ ...one, TLS_CERT: one.TLS_KEY })).toContain('no certificate with its key');
  const later = new Date(Date.now() + 40 * 86_400_000);
  expect(why(one, later)).toMatch(/ended on \d{4}-\d\d-\d\d/);
});

test.each([
  [undefined, 3000],
  ['0', 0],
  [' 8080 ', 8080],
  ['65535', 65535],
  ['65536', null],
  ['-1', null],
  ['80.5', null],
  ['', null],
  ['harbour', null],
])('PORT=%p means %p', (asked, port) => {
  expect(portFrom(asked)).toBe(port);
});
