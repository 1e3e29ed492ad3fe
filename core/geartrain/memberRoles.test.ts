import { memberRoles, solveUnit } from './index';
import { demoUnit } from '../tests/demoFile';

const unit = demoUnit('skerry-three');
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
