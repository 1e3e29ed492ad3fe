import type { GearSetSetup } from '../geartrain';
import type { Random } from '../numerics';
import type { ClaimBase, Thought } from './learners';
import type { Lesson } from './lesson';

/**
 * One family of questions: all in which it differs from the others. Everything that is the same for all (the key once
 * for many answers, the score out of the parts, what does not fit set aside) stands in `assess.ts`.
 */
export interface Family<T extends FamilyTypes> {
  /** The right answer, computed from the subject, or why the question can't be asked as it stands. */
  key(question: T['question'], subject: T['subject']): KeyResult<AnyKeyOf<T>, T['fault']>;
  readonly judge: { readonly [K in T['question']['kind']]: Judge<T, K> };
  /** Whether the question can have been answered so at all: nothing named that it does not offer. */
  readonly fits: { readonly [K in T['question']['kind']]: Fits<T, K> };
  readonly reasons: Reasons<T>;
  /** Chance that a guess is right, 0 to 1; `null` where guessing has no odds. */
  readonly guess: { readonly [K in T['question']['kind']]: Guess<T, K> | null };
  /** The question with other numbers, models or rows, as one student gets it; `null` for a kind that has nothing to vary. */
  readonly vary: { readonly [K in T['question']['kind']]: Vary<T, K> | null };
  /** Kinds whose key or grading takes long: nothing is tried out on them, and what `vary` draws of them can always be asked. */
  readonly dear: readonly T['question']['kind'][];
  /** Left out where a family has none. */
  readonly smaller?: SmallerQuestions<T>;
}

/** A draw. What it draws need not be askable, but of a dear kind: `posedIn` draws again until it is. */
export type Vary<T extends FamilyTypes, K> = (
  question: Of<T['question'], K>,
  subject: T['subject'],
  random: Random,
) => T['question'];

/** What can be said of an answer to a question of one family. */
export interface Reasons<T extends FamilyTypes> {
  /** What students who think thus answer; for each kind, every usual way to get it wrong. */
  readonly thoughts: {
    readonly [K in T['question']['kind']]: (asked: Keyed<T, K>) => readonly ThoughtOf<T, K>[];
  };
  /** How the right answer comes about. */
  readonly facts: {
    readonly [K in T['question']['kind']]: (asked: Asked<T, K>) => readonly T['claim'][];
  };
  /** Asks the model, not the key, whether a claim is so. */
  holds(
    claim: T['claim'],
    about: Pick<Asked<T, T['question']['kind']>, 'question' | 'subject'>,
  ): boolean;
}

/** What a round that is over says of the one to come. */
export interface Round<A> {
  readonly score: number;
  readonly answer: A;
  /** The gear set it was asked about, where it was about one. */
  readonly setup?: GearSetSetup;
}

/** The smaller questions that a family asks in the place of one that was answered wrong. */
export interface SmallerQuestions<T extends FamilyTypes> {
  /** After one wrong commit: of that very answer. */
  once?(question: T['question'], round: Round<T['answer']>): T['question'] | null;
  /** After two running: the step that is missing. */
  twice(
    question: T['question'],
    subject: T['subject'],
    round: Round<T['answer']>,
  ): T['question'] | null;
}

/** What questions of one family are about; apart from the rest, since it takes next to nothing to load. */
export interface FamilySubject<T extends FamilyTypes> {
  /** What the question is about; `null` when the lesson does not carry it. */
  subject(lesson: Lesson, question: T['question']): T['subject'] | null;
  /** What is said to be missing when there is no subject. */
  missing(question: T['question']): T['fault'];
}

/** What a family is made of; `part` is the part of an answer that is right or wrong by itself. */
export interface FamilyTypes {
  question: { kind: string };
  answer: { kind: string };
  subject: { kind: string };
  /** The right answer to each kind of question. */
  keys: { readonly [kind: string]: { readonly kind: string } };
  fault: string;
  part: string;
  /** A usual way to get it wrong. */
  slip: string;
  /** A fact about a question. */
  claim: ClaimBase;
}

export type Of<T extends { kind: string }, K> = Extract<T, { kind: K }>;

/** Keys whose kinds have the names of the questions'. */
export type NamedAlike<U extends { kind: string }> = { readonly [K in U['kind']]: Of<U, K> };
/** The right answer to a question of this kind. */
export type KeyTo<T extends FamilyTypes, K> = K extends keyof T['keys'] ? T['keys'][K] : never;
/** The right answer to a question of any kind of the family, or of one of several families. */
export type AnyKeyOf<T extends FamilyTypes> = T extends FamilyTypes
  ? KeyTo<T, T['question']['kind']>
  : never;

/** One question with its key, and an answer of the same kind. */
export interface Asked<T extends FamilyTypes, K> {
  readonly question: Of<T['question'], K>;
  readonly subject: T['subject'];
  readonly key: KeyTo<T, K>;
  readonly answer: Of<T['answer'], K>;
}
/** A question with its key, before it is answered. */
export type Keyed<T extends FamilyTypes, K> = Omit<Asked<T, K>, 'answer'>;
/** A way of thinking about a question of this kind. */
export type ThoughtOf<T extends FamilyTypes, K> = Thought<
  Of<T['answer'], K>,
  T['slip'],
  T['claim']
>;

type Judge<T extends FamilyTypes, K> = (asked: Asked<T, K>) => Judged<T['part']>;
type Guess<T extends FamilyTypes, K> = (asked: Keyed<T, K>) => number | null;
type Fits<T extends FamilyTypes, K> = (asked: Asked<T, K>) => boolean;

export type KeyResult<K, F extends string> =
  | { readonly ok: true; readonly key: K }
  | { readonly ok: false; readonly fault: F };

export const found = <K>(key: K) => ({ ok: true, key }) as const;
export const refused = <F extends string>(fault: F) => ({ ok: false, fault }) as const;

/** How an answer compares with the key, part by part. */
export interface Judged<P extends string> {
  readonly parts: readonly GradedPart<P>[];
  /** 0 to 1, where the parts do not count alike. */
  readonly score?: number;
}

/** The score of what was judged: parts count alike, but where a family weighs them. */
export const scored = <P extends string>({ parts, score }: Judged<P>) => ({
  parts,
  score: score ?? parts.filter((p) => p.right).length / parts.length,
});

export interface GradedPart<P extends string> {
  readonly part: P;
  readonly right: boolean;
  /** What the part is about: ranges, events. */
  readonly of?: string | readonly [string, string];
}

export const among = (given: readonly string[], offered: readonly string[]): boolean =>
  given.every((g) => offered.includes(g));
export const noneTwice = (given: readonly string[]): boolean =>
  new Set(given).size === given.length;
export const allOf = (given: readonly string[], offered: readonly string[]): boolean =>
  given.length === offered.length && noneTwice(given) && among(given, offered);
export const ids = (items: readonly { readonly id: string }[]): string[] => items.map((i) => i.id);
