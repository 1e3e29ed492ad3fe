import {
  BARE_RIG,
  CHECK_SPECS,
  checksOf,
  hazardsOf,
  driverChecks,
  FAULT_KINDS,
  FAULT_SPECS,
  faultKey,
  levelsOf,
  oilElements,
  rigFaultProblem,
  rigKind,
  rigOfUnit,
  severityOf,
  shiftsOf,
  singleFaults,
  sleeveSides,
  startRanges,
  type Fault,
  type Hazard,
  type Rig,
  priceAlone,
} from './index';
import { AUTOMATIC, COUPLING, DUAL, MANUAL, SIMPSON } from './tests/rigs';

const RIGS: [string, Rig][] = [
  ['automatic', AUTOMATIC],
  ['manual', MANUAL],
  ['dual-clutch', DUAL],
  ['coupling', COUPLING],
];

test.each(RIGS)('a rig knows what it is: %s', (kind, rig) => {
  expect(rigKind(rig)).toBe(kind);
});

test('a unit or a clutch alone is a rig too', () => {
  expect(rigKind(rigOfUnit(SIMPSON))).toBe('unit');
  expect(rigKind({ ...BARE_RIG, clutch: MANUAL.clutch })).toBe('clutch');
  // A vehicle makes no dual clutch of gears on pins, nor two clutches alone a vehicle.
  expect(rigKind({ ...BARE_RIG, unit: SIMPSON, vehicle: DUAL.vehicle })).toBe('unit');
  expect(rigKind({ ...DUAL, vehicle: null })).toBe('unit');
});

// By hand: the demo’s four-speed has three clutches, a band and a brake; its pawl is no sleeve. The manual’s main clutch is
// dry, so nothing in it is worked by oil; it has six sleeves. The dual has two clutches and seven sleeves.
test('what is worked by oil, and what slides', () => {
  expect(oilElements(AUTOMATIC)).toEqual(['C1', 'C2', 'C3', 'B1', 'B2']);
  expect(sleeveSides(AUTOMATIC)).toEqual([]);
  expect(oilElements(MANUAL)).toEqual([]);
  expect(sleeveSides(MANUAL)).toEqual(['S1', 'S2', 'S3', 'S4', 'S5', 'SR']);
  expect(oilElements(DUAL)).toEqual(['K1', 'K2']);
  expect(sleeveSides(DUAL)).toHaveLength(7);
});

const targetsOf = (rig: Rig, kind: Fault['kind']) =>
  singleFaults(rig)
    .filter((f) => f.kind === kind)
    .map((f) => f.target);

// By hand: shafts that carry several gears or sleeves have bearings; gears that turn on them have not.
test('where faults can sit', () => {
  expect(targetsOf(MANUAL, 'rough-bearing')).toEqual(['cs', 'idl', 'out']);
  expect(targetsOf(AUTOMATIC, 'rough-bearing')).toEqual([]);
  expect(targetsOf(AUTOMATIC, 'seized')).toEqual(['F1']);
  expect(targetsOf(AUTOMATIC, 'broken')).toHaveLength(6);
  expect(targetsOf(MANUAL, 'stripped')).toHaveLength(7);
  expect(targetsOf(MANUAL, 'cable-long')).toEqual([]);
  expect(targetsOf(AUTOMATIC, 'cable-long')).toEqual(['pressure-cable']);
  expect(targetsOf(COUPLING, 'ramp-jammed')).toEqual(['coupling']);
  // A cable at the pedal holds no air.
  const cable = {
    ...MANUAL,
    clutch: {
      ...MANUAL.clutch!,
      linkage: {
        ...MANUAL.clutch!.linkage,
        drive: { kind: 'cable' as const, ratio: 6, stiffness: 4e5 },
      },
    },
  };
  expect(targetsOf(MANUAL, 'clutch-air')).toEqual(['clutch']);
  expect(targetsOf(cable, 'clutch-air')).toEqual([]);
  expect(rigFaultProblem(cable, { target: 'clutch', kind: 'clutch-air' })).toBe('no-such-part');
});

test('every kind befalls some rig, and every single fault is one that the rig can have', () => {
  const met = new Set<string>();
  for (const [, rig] of RIGS)
    for (const fault of singleFaults(rig)) {
      met.add(fault.kind);
      expect([fault, rigFaultProblem(rig, fault)]).toEqual([fault, null]);
      for (const level of levelsOf(fault))
        expect([level, rigFaultProblem(rig, level)]).toEqual([level, null]);
    }
  expect([...met].sort()).toEqual([...FAULT_KINDS].sort());
});

test('how far a fault has gone: its own, or the middle of its levels', () => {
  for (const kind of FAULT_KINDS) {
    const { levels } = FAULT_SPECS[kind];
    const fault: Fault = { target: 'x', kind };
    expect(severityOf(fault)).toBe(levels?.[1] ?? 1);
    expect(severityOf({ ...fault, severity: 0.33 })).toBe(0.33);
    expect(levelsOf(fault)).toHaveLength(levels ? 3 : 1);
  }
  const slips: Fault = { target: 'C1', kind: 'slips', severity: 0.001 };
  expect(rigFaultProblem(AUTOMATIC, slips)).toBe('severity-out-of-range');
  expect(rigFaultProblem(AUTOMATIC, { target: 'C1', kind: 'burnt', severity: 1 })).toBe(
    'severity-out-of-range',
  );
});

test('a key names what failed and where, in one order', () => {
  const a: Fault = { target: 'C1', kind: 'slips', severity: 0.4 };
  const b: Fault = { target: 'B1', kind: 'burnt' };
  expect(faultKey([a, b])).toBe('B1=burnt + C1=slips');
  expect(faultKey([a, b])).toBe(faultKey([b, { ...a, severity: 0.2 }]));
});

// Common practice, no source: what each kind of check costs against the others, and the cautions that go with it.
test('cheap before dear, and no check without its cautions', () => {
  const minutes = (kind: keyof typeof CHECK_SPECS) =>
    priceAlone({ machine: 'automatic', ...CHECK_SPECS[kind] });
  expect(minutes('fluid')).toBeLessThan(minutes('pressure'));
  expect(minutes('road')).toBeLessThan(minutes('pressure'));
  expect(minutes('pressure')).toBeLessThan(minutes('air'));
  // A gauge screwed in, three readings: a quarter of an hour, at the hot end of the fluid and at stall.
  expect(CHECK_SPECS.pressure.minutes).toBe(15);
  expect(CHECK_SPECS.pressure.hazards).toEqual(
    expect.arrayContaining(['stall-test', 'hot-fluid', 'read-warm']),
  );
  expect(minutes('air')).toBeLessThan(minutes('hand'));
  // Getting it out costs half a day or more.
  const wants: Readonly<Partial<Record<keyof typeof CHECK_SPECS, Hazard>>> = {
    stall: 'stall-test',
    'slip-test': 'stall-test',
    air: 'compressed-air',
    pan: 'hot-fluid',
    disc: 'dust',
    stack: 'springs',
    gap: 'battery',
    tap: 'read-warm',
    look: 'park-free',
    road: 'road-test',
    'drag-test': 'lurch',
    delay: 'lurch',
    level: 'hot-fluid',
    fluid: 'hot-fluid',
    hand: 'springs',
    teeth: 'solvents',
    sleeve: 'engine-hung',
  };
  expect(CHECK_SPECS.disc.hazards).toContain('last-bolt');
  for (const [kind, hazard] of Object.entries(wants))
    expect([kind, CHECK_SPECS[kind as 'stall'].hazards]).toEqual([
      kind,
      expect.arrayContaining([hazard]),
    ]);
  for (const [kind, spec] of Object.entries(CHECK_SPECS)) {
    if (spec.needs.unit)
      expect([kind, spec.hazards]).toEqual([
        kind,
        expect.arrayContaining(['heavy-parts', 'park-free']),
      ]);
    // Nothing is measured at a clutch or under a raised vehicle with the engine running, and nothing is driven on stands.
    if (spec.needs.place === 'stands' || spec.needs.unit)
      expect([kind, spec.needs.engine]).not.toEqual([kind, 'runs']);
    if (spec.hazards.includes('stall-test'))
      expect([kind, spec.needs.place]).toEqual([kind, 'floor']);
    if (spec.needs.fluid === 'warm') expect(spec.hazards).toContain('read-warm');
    if (spec.needs.place === 'road') expect([kind, spec.hazards]).toEqual([kind, ['road-test']]);
    // What is raised can come down; what is out or open was lifted out.
    if (spec.needs.place === 'stands' || spec.needs.unit)
      expect([kind, spec.hazards]).toEqual([kind, expect.arrayContaining(['lifting'])]);
    if (spec.needs.pan === 'off') expect(spec.hazards).toContain('hot-fluid');
  }
});

test.each(RIGS)('checks of the %s are named once, and a driver makes only some', (_kind, rig) => {
  const checks = checksOf(rig);
  expect(new Set(checks.map((c) => c.id)).size).toBe(checks.length);
  const driver = driverChecks(checks);
  expect(driver.length).toBeGreaterThan(0);
  for (const check of driver)
    expect([check.id, check.lift, check.removal]).toEqual([check.id, false, false]);
  for (const { id, kind, target } of checks) expect(id).toBe(target ? `${kind} ${target}` : kind);
});

// Common practice, no source: what should not drive is tried standing, where it may drive after all; a gauge at idle needs no
// stall.
test('cautions of one check by what it is asked of', () => {
  const all = checksOf(AUTOMATIC);
  const of = (id: string) => hazardsOf(all.find((c) => c.id === id)!);
  expect(of('road D1')).toEqual(['road-test']);
  expect(of('road N')).toEqual(['lurch']);
  expect(of('pressure idle')).not.toContain('stall-test');
  expect(of('pressure full')).toContain('stall-test');
});

test('shifts follow the lever’s own gears, and a start is in first or reverse', () => {
  expect(shiftsOf(AUTOMATIC)).toEqual(['D1>D2', 'D2>D3', 'D3>D4']);
  expect(shiftsOf(DUAL)).toEqual(['D1>D2', 'D2>D3', 'D3>D4', 'D4>D5', 'D5>D6']);
  expect(shiftsOf(COUPLING)).toEqual([]);
  expect(startRanges(AUTOMATIC)).toEqual({ first: 'D1', reverse: 'R' });
  expect(startRanges(COUPLING)).toEqual({ first: null, reverse: null });
});

// Whatever the figures are: three levels, each worse than the one before; of a share never all and never none.
test.each(Object.entries(FAULT_SPECS))(
  '%s: levels go from mild to bad',
  (_kind, { levels, unit }) => {
    if (!levels) return;
    const worse = unit === 'share-left' ? levels.toReversed() : levels;
    expect([...worse].sort((a, b) => a - b)).toEqual([...worse]);
    expect(new Set(levels).size).toBe(3);
    if (unit === 'share-left' || unit === 'share-lost')
      for (const level of levels) {
        expect(level).toBeGreaterThan(0);
        expect(level).toBeLessThan(1);
      }
  },
);

// A shift under power takes what gives power and what is pushed; two gears of one lever place shift once.
test('shifts are asked of what has an engine and a vehicle, and of two gears there is one', () => {
  const kinds = (rig: Rig) => new Set(checksOf(rig).map((c) => c.kind));
  expect(kinds(AUTOMATIC)).toContain('shift');
  expect(kinds({ ...AUTOMATIC, vehicle: null })).not.toContain('shift');
  expect(kinds({ ...AUTOMATIC, engine: null })).not.toContain('shift');
  const two = { ...SIMPSON, ranges: SIMPSON.ranges.slice(0, 2) };
  expect(shiftsOf(rigOfUnit(two))).toEqual(['D1>D2']);
});
