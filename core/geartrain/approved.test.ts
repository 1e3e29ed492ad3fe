import { expectApproved } from '../tests/approved';
import { randomFromSeed } from '../numerics';
import { demoUnits } from '../tests/demoFile';
import { chartRows } from './applyChart';
import { combined } from './combinations';
import { derivation } from './derivation';
import { efficiency } from './efficiency';
import { memberInertias } from './inertia';
import { gearOutline, externalTooth, internalTooth } from './involute';
import { memberRoles } from './memberRoles';
import { layOutSet, poseSet } from './meshing';
import {
  ARRANGEMENTS,
  readSet,
  shownSpeeds,
  solveSet,
  type PlanetarySet,
  type Roles,
} from './oneSet';
import { unitPinionSpeeds } from './pinionSpeeds';
import { powerFlow, powerSteps } from './powerFlow';
import { ratioFormula } from './ratioFormula';
import { loosePairs, sleeveClashes } from './sleeves';
import { solveUnit } from './solve';
import { checkTeeth } from './toothConditions';
import { randomUnit } from './tests/randomUnit';
import { unitFindings } from './unitFindings';
import { workedSteps } from './workedSteps';

test('efficiencies of trains of no maker, where most goes round in them', () => {
  const said: Record<string, unknown> = {};
  for (let k = 0; k < 60; k++) {
    const unit = randomUnit(randomFromSeed(`lossy ${k}`));
    const ids = unit.elements.map((e) => e.id);
    for (let bits = 0; bits < 2 ** ids.length; bits++)
      for (const load of ['drive', 'coast'] as const) {
        const on = ids.filter((_id, n) => bits & (1 << n));
        const result = efficiency(unit, on, load, { external: 0.9, internal: 0.95 });
        if (result.kind === 'self-locking' || (result.kind === 'turns' && result.efficiency < 1))
          said[`${k} ${on.join(' ')} ${load}`] = result;
      }
  }
  expectApproved('efficiency', said);
});

test('whole units: what every row gives, how, and at what loss', () => {
  const said: Record<string, unknown> = {};
  for (const unit of demoUnits()) {
    const all = combined(unit);
    said[`${unit.id} as a whole`] = {
      rows: chartRows(unit),
      groups: all,
      findings: unitFindings(unit),
      inertias: memberInertias(unit),
      loose: loosePairs(unit),
    };
    for (const range of unit.ranges)
      for (const load of ['drive', 'coast'] as const) {
        const solution = solveUnit(unit, range.apply, load);
        const flow = powerFlow(unit, solution);
        said[`${unit.id} ${range.id} ${load}`] = {
          solution,
          flow,
          steps: powerSteps(unit, flow),
          roles: memberRoles(unit, solution),
          pinions: unitPinionSpeeds(unit, solution),
          derivation: derivation(unit, solution),
          formula: ratioFormula(unit, solution),
          efficiency: efficiency(unit, range.apply, load),
          clashes: sleeveClashes(unit, range.apply),
        };
      }
  }
  expectApproved('geartrain-units', said);
});

const SETS: readonly PlanetarySet[] = [
  { kind: 'single-pinion', teeth: { sun: 33, pinion: 21, ring: 75 }, pinions: 4 },
  { kind: 'single-pinion', teeth: { sun: 20, pinion: 41, ring: 100 }, pinions: 5 },
  { kind: 'double-pinion', teeth: { sun: 30, inner: 18, outer: 18, ring: 78 }, pinions: 3 },
  // A ratio alone: pinions are drawn that fit.
  { kind: 'single-pinion', teeth: { sun: 30, ring: 70 } },
  { kind: 'double-pinion', teeth: { sun: 30, ring: 78 } },
];

const FREE: Roles = { drives: 'sun', driven: 'carrier', reaction: 'free' };

test('one set: all its arrangements, worked, and as it is drawn', () => {
  const said: Record<string, unknown> = {};
  SETS.forEach((set, k) => {
    const layout = layOutSet(set);
    said[`${k}`] = { checks: checkTeeth(set), layout, pose: poseSet(layout, 0.7, 0.2) };
    for (const roles of [...ARRANGEMENTS, FREE])
      said[`${k} ${JSON.stringify(roles)}`] = {
        solved: solveSet(set, roles),
        worked: workedSteps(set, roles),
        read: readSet({ set, roles, inputSpeedRpm: 700, inputTorqueNm: 90 }, solveSet(set, roles)),
        shown: shownSpeeds(set, roles),
      };
  });
  for (const teeth of [17, 40]) said[`outline ${teeth}`] = gearOutline(teeth, externalTooth(teeth));
  for (const teeth of [57, 90])
    said[`ring ${teeth}`] = gearOutline(teeth, internalTooth(teeth, 19));
  expectApproved('geartrain-sets', said);
});

/** Sets that can't be built, or only just. */
const ODD: readonly PlanetarySet[] = [
  [33, 21, 75, 5],
  [33, 20, 75, 4],
  [12, 60, 132, 6],
  [20, 8, 36, 3],
  [90, 5, 100, 8],
  [30, 30, 90, 7],
  [100, 10, 80, 3],
].map(([sun, pinion, ring, pinions]) => ({
  kind: 'single-pinion' as const,
  teeth: { sun: sun!, pinion: pinion!, ring: ring! },
  pinions: pinions!,
}));
const ODD_PAIRS: readonly PlanetarySet[] = [
  [30, 18, 18, 78, 3],
  [30, 18, 18, 79, 3],
  [30, 24, 10, 78, 3],
  [30, 10, 24, 78, 5],
  [60, 12, 12, 78, 6],
  [20, 40, 12, 90, 4],
  [44, 16, 20, 96, 5],
].map(([sun, inner, outer, ring, pinions]) => ({
  kind: 'double-pinion' as const,
  teeth: { sun: sun!, inner: inner!, outer: outer!, ring: ring! },
  pinions: pinions!,
}));

test('sets that can’t be built, and why', () => {
  const said: Record<string, unknown> = {};
  for (const set of [...ODD, ...ODD_PAIRS])
    said[JSON.stringify([set.teeth, set.pinions])] = checkTeeth(set);
  expectApproved('geartrain-odd-sets', said);
});
