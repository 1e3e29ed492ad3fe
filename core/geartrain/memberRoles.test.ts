import { readFileSync } from 'node:fs';
import { memberRoles, solveUnit, type Unit } from './index';

const unit = JSON.parse(readFileSync('demo/units/skerry-three.json', 'utf8')) as Unit;
const roles = (...applied: string[]) =>
  Object.fromEntries(memberRoles(unit, solveUnit(unit, applied)));

test('second gear: input and front ring drive, the output is driven, the sun is held', () => {
  expect(roles('C1', 'B1')).toEqual({
    case: 'held',
    in: 'drives',
    ring1: 'drives',
    out: 'driven',
    sun: 'held',
    car2: 'idle',
  });
});

test('direct: the whole turns as one, and only what carries torque is told', () => {
  expect(roles('C1', 'C2')).toMatchObject({ in: 'drives', out: 'driven', car2: 'idle' });
});

test('neutral and tied up: nothing is driven', () => {
  expect(roles()).toMatchObject({ in: 'drives', out: 'idle', car2: 'idle' });
  expect(Object.values(roles('C1', 'B1', 'B2')).filter((r) => r === 'driven')).toEqual([]);
});
