import type { AttemptAnswer } from '../lesson';

/**
 * A class in one room, told by what happened in it: every event is one line of a journal, and the room is what they add up to.
 * An instructor leads: ask, everyone commits, look at the spread, talk, commit again, reveal (predict, discuss, predict again:
 * Mazur, Peer Instruction, 1997). Or everyone goes at their own pace.
 */
export type Pace = 'led' | 'own';
/** The first vote, or the one after talking. */
export type Vote = 1 | 2;

export type RoomEvent =
  | { kind: 'opened'; at: string; title: string; lesson: string; pace: Pace }
  | { kind: 'joined'; student: string; name: string }
  | { kind: 'renamed'; student: string; name: string }
  | { kind: 'removed'; student: string }
  | { kind: 'locked'; locked: boolean }
  | { kind: 'paced'; pace: Pace }
  /** A question of the lesson, by its block. */
  | { kind: 'asked'; question: string }
  | { kind: 'voted-again' }
  /** Whether the class sees how the votes fall, before the reveal. */
  | { kind: 'spread'; shown: boolean }
  | { kind: 'revealed' }
  | { kind: 'committed'; student: string; vote: Vote; entry: AttemptAnswer }
  | { kind: 'closed' };

export interface RoomStudent {
  readonly id: string;
  readonly name: string;
}

export interface Commit {
  readonly student: string;
  readonly vote: Vote;
  readonly entry: AttemptAnswer;
}

/** The question that stands now. */
export interface Turn {
  readonly question: string;
  readonly vote: Vote;
  readonly revealed: boolean;
  readonly spread: boolean;
}

export interface Room {
  readonly openedAt: string;
  readonly title: string;
  /** Hash of the lesson. */
  readonly lesson: string;
  readonly pace: Pace;
  readonly locked: boolean;
  readonly closed: boolean;
  readonly students: readonly RoomStudent[];
  readonly turn: Turn | null;
  readonly commits: readonly Commit[];
}

/** Why something can't be done in a room. */
export type RoomRefusal =
  | 'not-open'
  | 'closed'
  | 'locked'
  | 'full'
  | 'name-empty'
  | 'name-taken'
  | 'unknown-student'
  | 'not-asked'
  | 'another-question'
  | 'another-vote'
  | 'revealed'
  | 'committed-already'
  | 'nobody-committed';

export const MOST_STUDENTS = 200;
export const MOST_STUDENT_NAME = 60;

export type Applied =
  | { readonly ok: true; readonly room: Room }
  | { readonly ok: false; readonly refusal: RoomRefusal };

const done = (room: Room): Applied => ({ ok: true, room });
const refused = (refusal: RoomRefusal): Applied => ({ ok: false, refusal });

const plainName = (name: string): string => name.trim().replace(/\s+/g, ' ').toLowerCase();

/** What a room is after one more event, or why that can't be. @param room `null`: nothing has happened */
export function apply(room: Room | null, event: RoomEvent): Applied {
  if (event.kind === 'opened') {
    const { at, title, lesson, pace } = event;
    return done({
      openedAt: at,
      title,
      lesson,
      pace,
      locked: false,
      closed: false,
      students: [],
      turn: null,
      commits: [],
    });
  }
  if (!room) return refused('not-open');
  if (room.closed) return refused('closed');
  switch (event.kind) {
    case 'joined':
      return joined(room, event.student, event.name);
    case 'renamed':
      return renamed(room, event.student, event.name);
    case 'removed':
      if (!isIn(room, event.student)) return refused('unknown-student');
      return done({
        ...room,
        students: room.students.filter((s) => s.id !== event.student),
        commits: room.commits.filter((c) => c.student !== event.student),
      });
    case 'locked':
      return done({ ...room, locked: event.locked });
    case 'paced':
      return done({ ...room, pace: event.pace });
    case 'asked':
      return done({
        ...room,
        turn: { question: event.question, vote: 1, revealed: false, spread: false },
      });
    case 'voted-again':
      return votedAgain(room);
    case 'spread':
      if (!room.turn) return refused('not-asked');
      return done({ ...room, turn: { ...room.turn, spread: event.shown } });
    case 'revealed':
      if (!room.turn) return refused('not-asked');
      return done({ ...room, turn: { ...room.turn, revealed: true } });
    case 'committed':
      return committed(room, event);
    case 'closed':
      return done({ ...room, closed: true });
  }
}

const isIn = ({ students }: Room, id: string): boolean => students.some((s) => s.id === id);

/** The name that is kept, or why it can't be. */
function nameFor(
  room: Room,
  name: string,
  besides: string,
): { readonly told: string } | { readonly refusal: RoomRefusal } {
  const told = name.trim().replace(/\s+/g, ' ').slice(0, MOST_STUDENT_NAME);
  if (told === '') return { refusal: 'name-empty' };
  const taken = room.students.some(
    (s) => s.id !== besides && plainName(s.name) === plainName(told),
  );
  return taken ? { refusal: 'name-taken' } : { told };
}

function joined(room: Room, student: string, name: string): Applied {
  // A device that comes back is in already.
  if (isIn(room, student)) return done(room);
  if (room.locked) return refused('locked');
  if (room.students.length >= MOST_STUDENTS) return refused('full');
  const named = nameFor(room, name, student);
  if ('refusal' in named) return refused(named.refusal);
  return done({ ...room, students: [...room.students, { id: student, name: named.told }] });
}

function renamed(room: Room, student: string, name: string): Applied {
  if (!isIn(room, student)) return refused('unknown-student');
  // What was drawn for them goes by their name.
  if (room.commits.some((c) => c.student === student)) return refused('committed-already');
  const named = nameFor(room, name, student);
  if ('refusal' in named) return refused(named.refusal);
  return done({
    ...room,
    students: room.students.map((s) => (s.id === student ? { ...s, name: named.told } : s)),
  });
}

function votedAgain(room: Room): Applied {
  const { turn } = room;
  if (!turn) return refused('not-asked');
  if (turn.revealed) return refused('revealed');
  if (commitsOf(room, turn.question, 1).length === 0) return refused('nobody-committed');
  return done({ ...room, turn: { ...turn, vote: 2 } });
}

function committed(
  room: Room,
  { student, vote, entry }: Extract<RoomEvent, { kind: 'committed' }>,
) {
  if (!isIn(room, student)) return refused('unknown-student');
  const { turn, pace } = room;
  if (pace === 'led') {
    if (!turn) return refused('not-asked');
    if (turn.question !== entry.question) return refused('another-question');
    if (turn.revealed) return refused('revealed');
    if (turn.vote !== vote) return refused('another-vote');
  }
  const before = commitsOf(room, entry.question, vote).some((c) => c.student === student);
  if (before) return refused('committed-already');
  return done({ ...room, commits: [...room.commits, { student, vote, entry }] });
}

/** What was committed to a question in one vote. */
export const commitsOf = ({ commits }: Room, question: string, vote: Vote): Commit[] =>
  commits.filter((c) => c.entry.question === question && c.vote === vote);

/**
 * First votes of a student that are settled: the answer was shown, or the room went on. Only then do they go onto the record.
 */
export function settled({
  commits,
  turn,
  closed,
}: Pick<StudentView, 'commits' | 'turn' | 'closed'>): Commit[] {
  const over = (question: string) => closed || turn?.question !== question || turn.revealed;
  return commits.filter(
    (c) =>
      over(c.entry.question) &&
      (c.vote === 1 || !commits.some((o) => o.vote === 1 && o.entry.question === c.entry.question)),
  );
}

/** What one student may see of a room: nobody else's name or answer. */
export interface StudentView {
  readonly title: string;
  readonly lesson: string;
  readonly pace: Pace;
  readonly closed: boolean;
  readonly turn: Turn | null;
  readonly name: string;
  /** In the room, and committed in this vote. */
  readonly counts: { readonly inside: number; readonly committed: number };
  /** Their own. */
  readonly commits: readonly Commit[];
}

/** @returns `null` for one who is not in the room */
export function studentView(room: Room, id: string): StudentView | null {
  const own = room.students.find((s) => s.id === id);
  if (!own) return null;
  const { title, lesson, pace, closed, turn, students } = room;
  return {
    title,
    lesson,
    pace,
    closed,
    turn,
    name: own.name,
    counts: {
      inside: students.length,
      committed: turn ? commitsOf(room, turn.question, turn.vote).length : 0,
    },
    commits: room.commits.filter((c) => c.student === id),
  };
}

/** How many moved between two votes, by whether they were right; only those who voted twice. */
export interface Moved {
  readonly toRight: number;
  readonly toWrong: number;
  readonly stayedRight: number;
  readonly stayedWrong: number;
}

/** @param isRight grades one commit anew: what a device says of its own score is not believed */
export function moved(room: Room, question: string, isRight: (commit: Commit) => boolean): Moved {
  const counts = { toRight: 0, toWrong: 0, stayedRight: 0, stayedWrong: 0 };
  for (const first of commitsOf(room, question, 1)) {
    const second = commitsOf(room, question, 2).find((c) => c.student === first.student);
    if (!second) continue;
    const [before, after] = [isRight(first), isRight(second)];
    if (before) counts[after ? 'stayedRight' : 'toWrong']++;
    else counts[after ? 'toRight' : 'stayedWrong']++;
  }
  return counts;
}
