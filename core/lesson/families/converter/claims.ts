import { characteristicOf, engineModel, matchEngine, stallRpm } from '../../../converter';
import { sameNumber } from '../../../numerics';
import { numberClaimHolds, type NumberClaim } from '../../numberClaims';
import { within } from '../../questionParts';
import {
  askedReading,
  changedNumbers,
  curveAt,
  launchEvents,
  measured,
  type TimedEvent,
} from './key';
import type {
  Changed,
  ConverterQuestion,
  ConverterRig,
  ConverterSetting,
  Measure,
  Sketched,
} from './kinds';

/** Facts about a converter with its engine: torques in N·m, speeds in rev/min, powers in kW, times in s. */
export type ConverterClaim =
  | NumberClaim
  | ({ claim: 'reads'; measure: Measure; value: number } & ConverterSetting)
  /** What runs there: engine and turbine, by speed and torque. */
  | {
      claim: 'running';
      throttle: number;
      speedIn: number;
      speedOut: number;
      torqueIn: number;
      torqueOut: number;
      multiplies: number;
    }
  | { claim: 'power'; powerIn: number; powerOut: number; heat: number }
  | { claim: 'stalls'; throttle: number; speedIn: number; governed: number }
  | { claim: 'couples'; speedRatio: number }
  | { claim: 'curve'; curve: Sketched; speedRatio: number; value: number }
  | { claim: 'changes'; of: Changed; before: number; after: number }
  /** What would come out were it in proportion with the change. */
  | { claim: 'proportion'; of: Changed; share: number; given: number }
  | { claim: 'first'; event: string; time: number; later: string; laterTime: number };

const modelsOf = (rig: ConverterRig) => ({
  engine: engineModel(rig.engine),
  converter: characteristicOf(rig.converter)!,
});

/** Engine and turbine where a question has them. */
export function runningOf(rig: ConverterRig, throttle: number, turbineRpm: number) {
  const { engine, converter } = modelsOf(rig);
  return matchEngine(engine, converter, throttle, turbineRpm);
}

export const powerKw = (rpm: number, torque: number): number => (rpm * Math.PI * torque) / 30_000;

/** How a change of the rig scales, where it is one of size or of the engine; `null` for others. */
export function shareOf(question: ConverterQuestion): number | null {
  if (question.kind !== 'predict-change') return null;
  const { change } = question;
  return change.kind === 'engine' ? change.share : change.kind === 'size' ? change.factor : null;
}

/** Asks engine and converter themselves whether a claim is so. */
export function converterClaimHolds(
  claim: ConverterClaim,
  question: ConverterQuestion,
  rig: ConverterRig,
): boolean {
  const { engine, converter } = modelsOf(rig);
  switch (claim.claim) {
    case 'reads': {
      const value = measured(
        claim.measure,
        { engine, converter },
        claim,
        rig.converter.lockUpCapacity ?? 0,
      );
      return value !== null && sameNumber(claim.value, value);
    }
    case 'running': {
      if (question.kind !== 'read-match') return false;
      const m = matchEngine(engine, converter, claim.throttle, question.turbineRpm);
      return (
        sameNumber(claim.speedIn, m.engineRpm) &&
        sameNumber(claim.speedOut, m.turbineRpm) &&
        sameNumber(claim.torqueIn, m.engineNm) &&
        sameNumber(claim.torqueOut, m.turbineNm) &&
        sameNumber(claim.multiplies, m.torqueRatio)
      );
    }
    case 'power': {
      if (question.kind !== 'read-match') return false;
      const m = matchEngine(engine, converter, question.throttle, question.turbineRpm);
      return (
        sameNumber(claim.powerIn, powerKw(m.engineRpm, m.engineNm)) &&
        sameNumber(claim.powerOut, powerKw(m.turbineRpm, m.turbineNm)) &&
        sameNumber(claim.heat, m.heatKw)
      );
    }
    case 'stalls':
      return (
        sameNumber(claim.speedIn, stallRpm(engine, converter, claim.throttle)) &&
        sameNumber(claim.governed, engine.governedRpm)
      );
    case 'couples':
      return sameNumber(claim.speedRatio, converter.couplesAt);
    case 'curve':
      return sameNumber(claim.value, curveAt(claim.curve, converter, claim.speedRatio));
    case 'changes': {
      if (question.kind !== 'predict-change' || question.of !== claim.of) return false;
      const now = changedNumbers(question, rig);
      return (
        now !== null && sameNumber(claim.before, now.before) && sameNumber(claim.after, now.after)
      );
    }
    case 'proportion': {
      if (question.kind !== 'predict-change' || question.of !== claim.of) return false;
      const now = changedNumbers(question, rig);
      const share = shareOf(question);
      return (
        now !== null &&
        share !== null &&
        sameNumber(share, claim.share) &&
        [now.before * share, now.before / share].some((v) =>
          within(question.tolerance, v, claim.given),
        )
      );
    }
    case 'first': {
      if (question.kind !== 'launch-order') return false;
      const events = launchEvents(question, rig) ?? [];
      const at = (name: string): TimedEvent | undefined => events.find((e) => e.name === name);
      const [a, b] = [at(claim.event), at(claim.later)];
      return (
        a !== undefined &&
        b !== undefined &&
        a.time < b.time &&
        sameNumber(a.time, claim.time) &&
        sameNumber(b.time, claim.laterTime)
      );
    }
    case 'off-by':
    case 'times-right': {
      if (question.kind === 'read-match')
        return numberClaimHolds(claim, askedReading(question, rig), question.tolerance);
      const now = question.kind === 'predict-change' ? changedNumbers(question, rig) : null;
      return (
        question.kind === 'predict-change' &&
        now !== null &&
        numberClaimHolds(claim, now.after, question.tolerance)
      );
    }
  }
}
