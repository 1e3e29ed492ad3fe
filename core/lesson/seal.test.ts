import { createPublicKey, verify } from 'node:crypto';
import { openValue } from '../formats';
import { checkSeal, sealed, signerFrom, type Attempt, type AttemptAnswer } from './index';
import { entry, lessons, record } from './tests/records';

describe('the seal', () => {
  // RFC 8032, 7.1, test 1 (published).
  const secret = Buffer.from(
    '9d61b19deffd5a60ba844af492ec2cc44449c5697b326919703bac031cae7f60',
    'hex',
  );
  const signer = signerFrom(new Uint8Array(secret));
  const lesson = lessons[0]!;
  const three = record(
    lesson,
    ['direct', 'reduction', 'neutral'].map((choice, k) =>
      entry(`q${k}`, { kind: 'choice', choice }, { at: `2030-01-01T08:1${k}:00Z` }),
    ),
  );

  test('key and signature are those of the standard', async () => {
    expect(signer.key).toBe('d75a980182b10ab7d54bfed3c964073a0ee172f3daa62325af021a68f707511a');
    const signed = Buffer.from(await signer.sign(new Uint8Array())).toString('hex');
    expect(signed).toBe(
      'e5564300c360ac729086e2cc806e828a84877f1eb8e5d974d873e065224901555fb8821590a33bacc61e39701cf9b46bd25bf5f0595bbe24655141438e7a100b',
    );
  });

  test('a general library verifies it too', async () => {
    const { seal, ...bare } = await sealed(three, signer);
    // The header that turns 32 bytes into a key as X.509 writes it (RFC 8410).
    const der = Buffer.concat([
      Buffer.from('302a300506032b6570032100', 'hex'),
      Buffer.from(seal!.key, 'hex'),
    ]);
    const key = createPublicKey({ key: der, format: 'der', type: 'spki' });
    const message = Buffer.from(`${seal!.links.at(-1)}\n${bare.finishedAt ?? ''}`);
    expect(verify(null, message, key, Buffer.from(seal!.signature, 'hex'))).toBe(true);
  });

  test('whole as it was sealed, also through a file; without one nothing is said', async () => {
    const whole = await sealed(three, signer);
    const again = JSON.parse(JSON.stringify(whole)) as Attempt;
    expect(checkSeal(again)).toEqual({ kind: 'whole', key: signer.key });
    expect(openValue(again, 'fair-sprocket/attempt').ok).toBe(true);
    expect(checkSeal(three)).toEqual({ kind: 'none' });
    expect(checkSeal(await sealed(record(lesson, []), signer)).kind).toBe('whole');
  });

  test('whatever is changed, it is told from where on', async () => {
    const whole = await sealed(three, signer);
    const change = (k: number, more: Partial<AttemptAnswer>) => ({
      ...whole,
      answers: whole.answers.map((a, n) => (n === k ? { ...a, ...more } : a)),
    });
    const edited = (attempt: Attempt) => {
      const verdict = checkSeal(attempt);
      return verdict.kind === 'edited' ? verdict.from : verdict.kind;
    };
    expect(edited(change(1, { at: '2030-01-01T07:00:00Z' }))).toBe(1);
    expect(edited(change(2, { score: 0 }))).toBe(2);
    expect(edited({ ...whole, student: 'Somebody Else' })).toBe(0);
    expect(edited({ ...whole, answers: whole.answers.slice(0, 2) })).toBeNull();
    expect(edited({ ...whole, finishedAt: '2030-01-01T09:00:00Z' })).toBeNull();
    expect(
      edited({ ...whole, answers: [whole.answers[1]!, whole.answers[0]!, whole.answers[2]!] }),
    ).toBe(0);
    // Links made anew without the device's key.
    const forged = await sealed(change(0, { score: 0 }), signerFrom(new Uint8Array(32).fill(1)));
    expect(edited({ ...forged, seal: { ...forged.seal!, key: signer.key } })).toBe(0);
    const links = (await sealed(change(0, { score: 0 }), signer)).seal!.links;
    const kept = { ...change(0, { score: 0 }), seal: { ...whole.seal!, links } };
    expect(edited(kept)).toBeNull();
  });

  test('an answer that this program can’t read keeps its place in the chain', async () => {
    const strange = { ...three, answers: [three.answers[0]!, { ...three.answers[1]!, score: 7 }] };
    const whole = await sealed(strange, signer);
    const opened = openValue(JSON.parse(JSON.stringify(whole)), 'fair-sprocket/attempt');
    if (!opened.ok) throw new Error(JSON.stringify(opened.failure));
    expect(opened.document.answers).toHaveLength(1);
    expect(checkSeal(opened.document).kind).toBe('whole');
  });
});
