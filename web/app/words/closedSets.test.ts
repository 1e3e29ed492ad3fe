import { CHECK_SPECS, FAULT_SPECS, HAZARDS } from '../../../core/faults';
import { KINDS } from '../../../core/formats';
import {
  PORTS,
  type ElementKind,
  type ElementState,
  type MemberRole,
  type Outcome,
} from '../../../core/geartrain';
import { CAUTION_TOPICS, CONFIDENCES, MISCONCEPTIONS } from '../../../core/lesson';
import { catalogue } from '../../tests/words';

/** Words that are asked for by a computed key: every value that the key can take has its word. Held complete by type. */
const names = <K extends string>(all: Readonly<Record<K, unknown>>) => Object.keys(all);

const outcomes: Record<Outcome, true> = {
  drives: true,
  neutral: true,
  'tied-up': true,
  'output-held': true,
  'input-held': true,
};
const states: Record<ElementState, true> = {
  applied: true,
  holding: true,
  overrunning: true,
  open: true,
  shared: true,
};
const roles: Record<MemberRole, true> = { drives: true, driven: true, held: true, idle: true };
const elements: Record<ElementKind, true> = {
  clutch: true,
  dog: true,
  brake: true,
  band: true,
  'one-way': true,
};
const doors = ['teach', 'learn'];
const places = ['lessons', 'models', 'ratio', 'apply', 'converter', 'clutch', 'faults'];

const SETS: Readonly<Record<string, readonly string[]>> = {
  outcomes: names(outcomes),
  elementStates: names(states),
  memberRoles: names(roles),
  elementKinds: names(elements),
  parts: PORTS,
  documentKinds: names(KINDS),
  'caution.names': CAUTION_TOPICS,
  'caution.topics': HAZARDS,
  'faults.kinds': names(FAULT_SPECS),
  'faults.checks': names(CHECK_SPECS),
  confidences: CONFIDENCES,
  misconceptions: MISCONCEPTIONS,
  nav: [...doors, ...places, 'records', 'classBook'],
};

test.each(Object.entries(SETS))('every one of %s has its word', (prefix, values) => {
  const words = prefix
    .split('.')
    .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], catalogue());
  expect(values.length).toBeGreaterThan(2);
  expect(
    values.filter((v) => (words as Record<string, unknown> | undefined)?.[v] === undefined),
  ).toEqual([]);
});
