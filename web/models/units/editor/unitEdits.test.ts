import { openValue } from '../../../../core/formats';
import { solveUnit, unitFindings, type Unit } from '../../../../core/geartrain';
import { toText } from '../../../../core/numerics';
import {
  addElement,
  addGearSet,
  addMember,
  addRange,
  carriedOver,
  changeElement,
  changeInterlock,
  changeRange,
  freeId,
  newUnit,
  raiseRange,
  removeElement,
  removeGearSet,
  removeMember,
  removeRange,
  shareSleeve,
  sleeveMates,
  tiesOf,
  withKind,
} from './unitEdits';
import { modelDraftOpened, modelDraftReducer, modelEdited } from '../../modelDraftSlice';
import { ActionCreators } from 'redux-undo';
import { demoFile } from '../../../../core/tests/demoFile';

const fresh = () => newUnit('own', (key) => key);
const sound = (unit: Unit) => openValue(unit, 'fair-sprocket/unit').ok;

// Published: sun in, ring held, carrier out gives 1 + Nr/Ns (Willis; any gear text).
test('a new unit is sound and drives', () => {
  const unit = fresh();
  expect(sound(unit)).toBe(true);
  expect(unitFindings(unit)).toEqual([]);
  expect(toText(solveUnit(unit, ['B1']).ratio!)).toBe('10/3');
});

// What is shown may be a keystroke behind: the keystroke stays.
test('an edit of what was shown is carried over onto what is there now', () => {
  const shown = fresh();
  const now = { ...shown, name: 'Typed meanwhile', sleeves: [] };
  const next = addRange(shown);
  expect(carriedOver(shown, next, now)).toEqual({ ...now, ranges: next.ranges });
  const { sleeves: _gone, ...without } = { ...shown, sleeves: [] };
  expect(carriedOver({ ...shown, sleeves: [] }, without, now)).not.toHaveProperty('sleeves');
});

test('every addition leaves a file that opens', () => {
  let unit = fresh();
  for (const kind of ['single-pinion', 'double-pinion', 'mesh'] as const) {
    unit = addGearSet(unit, kind, (port, id) => `${id} ${port}`);
    expect([kind, sound(unit)]).toEqual([kind, true]);
  }
  for (const kind of ['clutch', 'dog', 'brake', 'band', 'one-way'] as const) {
    unit = addElement(unit, kind, kind);
    expect([kind, sound(unit)]).toEqual([kind, true]);
  }
  unit = addRange(addMember(unit, 'Spare').unit);
  expect(sound(unit)).toBe(true);
  expect(unit.gearsets.map((g) => g.id)).toEqual(['P1', 'P2', 'P3', 'G1']);
  expect(unit.elements.map((e) => e.id)).toEqual(['B1', 'C1', 'D1', 'B2', 'B3', 'F1']);
});

test('a gear set goes with the members that only it ties', () => {
  const grown = addGearSet(fresh(), 'single-pinion', (port) => port);
  expect(grown.members).toHaveLength(6);
  expect(removeGearSet(grown, 1).members).toEqual(fresh().members);
  // The ends and tied members stay.
  const bare = removeGearSet(fresh(), 0);
  expect(bare.members.map((m) => m.id)).toEqual(['in', 'out', 'ring']);
  expect(tiesOf(bare, 'ring')).toEqual(['B1']);
  expect(tiesOf(bare, 'in')).toEqual([]);
  expect(removeMember(bare, 'ring').members).toHaveLength(2);
});

test('an element renamed or taken out follows in the chart', () => {
  const unit = fresh();
  const element = unit.elements[0]!;
  const renamed = changeElement(unit, 0, { ...element, id: 'BK' });
  expect(renamed.ranges[0]!.apply).toEqual(['BK']);
  expect(sound(renamed)).toBe(true);
  const oneWay = changeElement(unit, 0, withKind(unit, element, 'one-way'));
  expect(oneWay.ranges[0]!.apply).toEqual([]);
  expect(sound(oneWay)).toBe(true);
  expect(removeElement(unit, 0).ranges[0]!.apply).toEqual([]);
});

test('two gears share a sleeve; it follows when one is renamed, taken out or no dog clutch any more', () => {
  const winch = demoFile<Unit>('units/winch-manual');
  const { sleeves: _told, ...old } = winch;
  const [first, second] = ['S1', 'S2'].map((id) => old.elements.find((e) => e.id === id)!);
  expect(sleeveMates(old, first!).map((e) => e.id)).toEqual(['S2', 'S3', 'S4', 'S5', 'SR']);
  const shared = shareSleeve(old, first!, second!);
  expect(shared.sleeves).toEqual([{ id: 'H1', hub: 'out', sides: ['S1', 'S2'] }]);
  const locked = changeInterlock(shared, 'H1', 'rails');
  expect(locked.sleeves![0]!.interlock).toBe('rails');
  expect(changeInterlock(locked, 'H1', '')).toEqual(shared);
  const at = (unit: typeof old, id: string) => unit.elements.findIndex((e) => e.id === id);
  const renamed = changeElement(shared, at(shared, 'S2'), { ...second!, id: 'S22' });
  expect(renamed.sleeves![0]!.sides).toEqual(['S1', 'S22']);
  expect(sound(renamed)).toBe(true);
  const alone = removeElement(shared, at(shared, 'S1'));
  expect(alone.sleeves![0]!.sides).toEqual([null, 'S2']);
  expect(removeElement(alone, at(alone, 'S2')).sleeves).toBeUndefined();
  const clutch = changeElement(shared, at(shared, 'S2'), withKind(shared, second!, 'clutch'));
  expect(clutch.sleeves![0]!.sides).toEqual(['S1', null]);
  expect(shareSleeve(shared, first!, null).sleeves![0]!.sides).toEqual([null, 'S2']);
});

test('a brake works against the case, and what becomes a clutch leaves it', () => {
  const unit = fresh();
  const brake = unit.elements[0]!;
  expect(withKind(unit, brake, 'clutch').between).toEqual(['ring', 'in']);
  const clutch = addElement(unit, 'clutch', 'c').elements[1]!;
  expect(clutch.between).toEqual(['in', 'out']);
  expect(withKind(unit, clutch, 'band').between).toEqual(['in', 'case']);
  expect(withKind(unit, { ...brake, between: ['case', 'ring'] }, 'band').between).toEqual([
    'ring',
    'case',
  ]);
});

test('ranges are added to the lever place with most gears, moved, changed and taken out', () => {
  const grown = addRange(addRange(fresh()));
  expect(grown.ranges.map((r) => r.id)).toEqual(['D1', 'D2', 'D3', 'N']);
  expect(raiseRange(grown, 'N').ranges.map((r) => r.id)).toEqual(['D1', 'D2', 'N', 'D3']);
  expect(raiseRange(grown, 'D1')).toBe(grown);
  expect(removeRange(grown, 'D2').ranges.map((r) => r.id)).toEqual(['D1', 'D3', 'N']);
  const changed = changeRange(grown, { ...grown.ranges[1]!, gear: 'two' });
  expect(changed.ranges[1]!.gear).toBe('two');
  expect(freeId('C', [{ id: 'C1' }, { id: 'C3' }])).toBe('C2');
});

test('undo goes back one field at a time; opening another unit begins anew', () => {
  type State = ReturnType<typeof modelDraftReducer>;
  type Action = Parameters<typeof modelDraftReducer>[1];
  const run = (state: State | undefined, ...actions: Action[]) =>
    actions.reduce<State>(
      (s, a) => modelDraftReducer(s, a),
      modelDraftReducer(state, { type: '' }),
    );
  const unit = fresh();
  const typed = (name: string) => modelEdited({ model: { ...unit, name }, field: 'name' });
  const opened = run(undefined, modelDraftOpened(unit));
  const edited = run(
    opened,
    typed('T'),
    typed('Tug'),
    modelEdited({ model: addRange({ ...unit, name: 'Tug' }), field: null }),
  );
  expect(edited.past).toHaveLength(2);
  const undo = ActionCreators.undo() as unknown as Action;
  const back = run(edited, undo);
  expect(back.present).toMatchObject({ name: 'Tug', ranges: { length: 2 } });
  expect(run(back, undo).present?.name).toBe('name');
  expect(run(edited, modelDraftOpened({ ...unit, id: 'other' })).past).toEqual([]);
});
