import fc from 'fast-check';
import type { AttemptAnswer } from '../lesson';
import {
  apply,
  commitsOf,
  moved,
  settled,
  studentView,
  type Room,
  type RoomEvent,
  type Vote,
} from './index';

const entry = (question: string, value: number): AttemptAnswer => ({
  question,
  round: 0,
  answer: { kind: 'read-match', value },
  confidence: 'guess',
  at: '2030-01-01T08:00:00.000Z',
  score: 0,
});
const OPENED: RoomEvent = {
  kind: 'opened',
  at: '2030-01-01T08:00:00.000Z',
  title: 'T',
  lesson: 'h',
  pace: 'led',
};
const commit = (student: string, vote: Vote, value: number, question = 'q'): RoomEvent => ({
  kind: 'committed',
  student,
  vote,
  entry: entry(question, value),
});
const after = (...events: RoomEvent[]): Room => {
  let room: Room | null = null;
  for (const event of [OPENED, ...events]) {
    const applied = apply(room, event);
    if (!applied.ok) throw new Error(`${event.kind}: ${applied.refusal}`);
    room = applied.room;
  }
  return room!;
};
const refusal = (room: Room | null, event: RoomEvent) => {
  const applied = apply(room, event);
  return applied.ok ? null : applied.refusal;
};
const JOIN = (id: string, name = id): RoomEvent => ({ kind: 'joined', student: id, name });
const ASK: RoomEvent = { kind: 'asked', question: 'q' };

test('a vote for each of both rounds, once, and only while it is asked', () => {
  const room = after(JOIN('a'), JOIN('b'), ASK);
  expect(refusal(null, JOIN('a'))).toBe('not-open');
  expect(refusal(after(JOIN('a')), commit('a', 1, 1))).toBe('not-asked');
  expect(refusal(room, commit('z', 1, 1))).toBe('unknown-student');
  expect(refusal(room, commit('a', 2, 1))).toBe('another-vote');
  expect(refusal(room, commit('a', 1, 1, 'other'))).toBe('another-question');
  expect(refusal(room, { kind: 'voted-again' })).toBe('nobody-committed');
  const voted = after(JOIN('a'), JOIN('b'), ASK, commit('a', 1, 1));
  expect(refusal(voted, commit('a', 1, 2))).toBe('committed-already');
  const second = after(JOIN('a'), JOIN('b'), ASK, commit('a', 1, 1), { kind: 'voted-again' });
  expect(refusal(second, commit('b', 1, 2))).toBe('another-vote');
  const shown = after(JOIN('a'), ASK, commit('a', 1, 1), { kind: 'revealed' });
  expect(refusal(shown, commit('a', 2, 2))).toBe('revealed');
  expect(refusal(shown, { kind: 'voted-again' })).toBe('revealed');
  expect(refusal(after({ kind: 'closed' }), JOIN('a'))).toBe('closed');
});

test('at their own pace, everyone answers what they have come to', () => {
  const room = after(JOIN('a'), { kind: 'paced', pace: 'own' }, commit('a', 1, 1, 'q7'));
  expect(commitsOf(room, 'q7', 1)).toHaveLength(1);
  expect(refusal(room, commit('a', 1, 1, 'q7'))).toBe('committed-already');
});

test('names: one each, spaces and capitals are no other name; a locked room lets in who was in', () => {
  const room = after(JOIN('a', ' Ina   Hawse '));
  expect(room.students).toEqual([{ id: 'a', name: 'Ina Hawse' }]);
  expect(refusal(room, JOIN('b', 'ina hawse'))).toBe('name-taken');
  expect(refusal(room, JOIN('b', '   '))).toBe('name-empty');
  expect(refusal(room, { kind: 'renamed', student: 'a', name: 'INA HAWSE' })).toBeNull();
  const locked = after(JOIN('a'), { kind: 'locked', locked: true });
  expect([refusal(locked, JOIN('b')), refusal(locked, JOIN('a'))]).toEqual(['locked', null]);
  const crowd = after(...Array.from({ length: 200 }, (_, k) => JOIN(`s${k}`)));
  expect(refusal(crowd, JOIN('late'))).toBe('full');
});

// Predict, discuss, predict again (published: Mazur, Peer Instruction, 1997): what counts is who moves, and where to.
test('who moved between the votes, counted by hand', () => {
  const votes: readonly (readonly [string, number, number])[] = [
    ['a', 0, 1],
    ['b', 0, 1],
    ['c', 1, 0],
    ['d', 1, 1],
    ['e', 0, 0],
  ];
  const room = after(
    ...votes.map(([s]) => JOIN(s)),
    JOIN('silent'),
    ASK,
    ...votes.map(([s, v]) => commit(s, 1, v)),
    { kind: 'voted-again' },
    ...votes.map(([s, , v]) => commit(s, 2, v)),
  );
  const isRight = (c: { entry: AttemptAnswer }) =>
    'value' in c.entry.answer && c.entry.answer.value === 1;
  expect(moved(room, 'q', isRight)).toEqual({
    toRight: 2,
    toWrong: 1,
    stayedRight: 1,
    stayedWrong: 1,
  });
});

test('whatever happens, nobody sees another’s name or answer, and nobody has two voices', () => {
  const someone = fc.constantFrom('ann', 'bob', 'cyd');
  const anyEvent = fc.oneof(
    fc.record({
      kind: fc.constant('joined' as const),
      student: someone,
      name: fc.constantFrom('Ann', 'Bob', 'Cyd'),
    }),
    fc.record({ kind: fc.constant('asked' as const), question: fc.constantFrom('q', 'r') }),
    fc.constantFrom<RoomEvent>(
      { kind: 'voted-again' },
      { kind: 'revealed' },
      { kind: 'paced', pace: 'own' },
    ),
    fc
      .tuple(
        someone,
        fc.constantFrom<Vote>(1, 2),
        fc.constantFrom('q', 'r'),
        fc.integer({ min: 1000, max: 9999 }),
      )
      .map(([s, v, q, n]) => commit(s, v, n, q)),
    someone.map((student): RoomEvent => ({ kind: 'removed', student })),
  );
  fc.assert(
    fc.property(fc.array(anyEvent, { maxLength: 40 }), (events) => {
      let room: Room = after();
      for (const event of events) {
        const applied = apply(room, event);
        if (applied.ok) room = applied.room;
      }
      const seen = new Set(room.commits.map((c) => `${c.student} ${c.vote} ${c.entry.question}`));
      expect(seen.size).toBe(room.commits.length);
      for (const { id, name } of room.students) {
        const text = JSON.stringify(studentView(room, id));
        for (const other of room.students)
          if (other.id !== id)
            expect([text.includes(other.id), text.includes(`"${other.name}"`)]).toEqual([
              false,
              false,
            ]);
        expect(text).toContain(name);
        for (const c of room.commits)
          if (c.student !== id) expect(text).not.toContain(JSON.stringify(c.entry));
      }
      expect(studentView(room, 'nobody')).toBeNull();
    }),
  );
});

test('an answer goes onto the record once it was shown, or the room went on; the first vote where there is one', () => {
  const view = (...events: RoomEvent[]) => studentView(after(JOIN('a'), ASK, ...events), 'a')!;
  const told = (...events: RoomEvent[]) => settled(view(...events)).map((c) => c.vote);
  expect(told(commit('a', 1, 1))).toEqual([]);
  expect(told(commit('a', 1, 1), { kind: 'revealed' })).toEqual([1]);
  expect(
    told(commit('a', 1, 1), { kind: 'voted-again' }, commit('a', 2, 2), { kind: 'revealed' }),
  ).toEqual([1]);
  // A phone that slept through the reveal, and one whose room was closed before it.
  expect(told(commit('a', 1, 1), { kind: 'asked', question: 'r' })).toEqual([1]);
  expect(told(commit('a', 1, 1), { kind: 'closed' })).toEqual([1]);
});

test('the spread is shown to the whole class, until the next question', () => {
  const shown = after(JOIN('a'), ASK, { kind: 'spread', shown: true });
  expect(shown.turn).toMatchObject({ spread: true });
  expect(after(JOIN('a'), ASK, { kind: 'spread', shown: true }, ASK).turn).toMatchObject({
    spread: false,
  });
  expect(refusal(after(JOIN('a')), { kind: 'spread', shown: true })).toBe('not-asked');
});
