import { expectApproved } from '../tests/approved';
import { demoAll } from '../tests/demoFile';
import {
  adjusted,
  adjustmentsOf,
  appliedForce,
  AS_BUILT,
  atPedal,
  bearingRuns,
  bitePoint,
  CLUTCH_FAULTS,
  clutchFindings,
  coilReading,
  compareUpgrades,
  COUPLING_AS_BUILT,
  couplingStack,
  couplingTorque,
  dragTorque,
  faultFits,
  flangeDrag,
  frictionNow,
  gaugeReading,
  holdingTorque,
  inputRunsDown,
  inputShaftRpm,
  ironCooled,
  letsGoUpTo,
  linkageVerdicts,
  looseStart,
  NOISE_TESTS,
  packClearance,
  packFaultsOf,
  packFindings,
  packHeat,
  packTorque,
  readLinkage,
  releaseCurve,
  selectiveChoices,
  separatingTests,
  steadyEngagement,
  tightCircle,
  USUAL_COUPLING,
  withClutchFault,
  withPackFault,
  type Clutch,
  type ClutchPack,
} from './index';

test('dry clutches: sound, and with every fault that can befall them', () => {
  const said: Record<string, unknown> = {};
  for (const clutch of demoAll<Clutch>('clutches'))
    for (const fault of [null, ...CLUTCH_FAULTS.filter((f) => faultFits(clutch, f))]) {
      const state = fault ? withClutchFault(clutch, AS_BUILT, fault) : AS_BUILT;
      const curve = releaseCurve(clutch, state);
      const name = `${clutch.id} ${fault}`;
      said[`${name} linkage`] = {
        read: readLinkage(clutch, state),
        verdicts: linkageVerdicts(clutch, state),
        bite: bitePoint(curve),
        mended: adjustmentsOf(clutch).map((step) => adjusted(clutch, state, step)),
        findings: fault ? null : clutchFindings(clutch, 300),
      };
      said[`${name} pedal`] = [0, 0.1, 0.35, 0.6, 1].map((k) => atPedal(curve, k * curve.floor));
      said[`${name} holds`] = {
        holds: holdingTorque(clutch, state),
        friction: frictionNow(clutch, state),
        drags: dragTorque(clutch, state, 200),
      };
      said[`${name} heard`] = NOISE_TESTS.map((test) => [
        inputShaftRpm(clutch, state, test, 800),
        bearingRuns(clutch, state, test, 800),
      ]);
      said[`${name} told apart`] = [
        separatingTests(clutch, state, 'release', 'pilot', 800),
        separatingTests(clutch, state, 'input', 'pilot', 800),
        inputRunsDown(clutch, state, 'down', 800).stands,
        ironCooled(clutch.cover, { skinC: 300, massC: 120 }, 30, 60),
      ];
    }
  expectApproved('clutches', said);
});

test('packs and a ball-ramp coupling: sound, and with every fault', () => {
  const said: Record<string, unknown> = {};
  const duty = { joules: 8000, seconds: 0.7, times: 4, every: 10, oilC: 90 };
  for (const sound of demoAll<ClutchPack>('clutch-packs')) {
    said[`${sound.id} sizes`] = [selectiveChoices(sound), compareUpgrades(sound, duty)];
    for (const fault of [null, ...packFaultsOf(sound)]) {
      const pack = fault ? withPackFault(sound, fault) : sound;
      const { plates, peakC, hottest } = packHeat(pack, {
        heatUntil: steadyEngagement(9000, 0.5),
        seconds: 2,
        step: 0.01,
        startC: 80,
      });
      said[`${sound.id} ${fault}`] = {
        findings: packFindings(pack),
        clearance: packClearance(pack),
        gauge: (['pressed', 'free', 'out'] as const).map((how) => gaugeReading(pack, how)),
        torque: [0, 30].map((slip) => packTorque(pack, pack.pressure, slip, 110)),
        turning: [0, 3000].map((rpm) => appliedForce(pack, pack.pressure, rpm)),
        letsGo: letsGoUpTo(pack),
        heat: [peakC, hottest, plates],
      };
    }
  }
  for (const change of [
    {},
    { jammed: 0.2 },
    { coilOpen: true },
    { pilotWorn: 0.5 },
    { wear: 0.0015 },
    { wrongOil: true },
  ]) {
    const state = { ...COUPLING_AS_BUILT, ...change };
    said[`coupling ${JSON.stringify(change)}`] = [
      [0, 0.3, 1].map((amperes) => couplingTorque(USUAL_COUPLING, state, amperes)),
      flangeDrag(USUAL_COUPLING, state),
      couplingStack(USUAL_COUPLING, state),
      coilReading(USUAL_COUPLING, state),
      tightCircle(USUAL_COUPLING, state),
      looseStart(USUAL_COUPLING, state),
    ];
  }
  expectApproved('packs', said);
});
