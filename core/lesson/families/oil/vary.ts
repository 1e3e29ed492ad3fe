import { partsOf } from '../../../hydraulics';
import type { Random } from '../../../numerics';
import type { Family } from '../../family';
import { ballsOf } from './balls';
import { drawnLimits, gaugesOf, tellingBall } from './defaults';
import { AS_MADE, THIN_THREADS, type OilRig, type ShiftSetting } from './kinds';
import { oilKey } from './key';
import { drivenUp, gearsFor, linesFor } from './runs';
import type { OilTypes } from './types';

/** Another speed, pedal and element of the same plan. */
export const vary: Family<OilTypes>['vary'] = {
  'trace-oil': (question, { rig }, random) => {
    const driven = { ...question, prompt: '', ...drawnDriving(rig, question.lever, random) };
    const { applied } = drivenUp(rig, driven).state;
    return applied.length > 0 ? { ...driven, element: random.pick(applied) } : question;
  },
  'spool-places': (question, { rig }, random) => ({
    ...question,
    prompt: '',
    ...drawnDriving(rig, question.lever, random),
  }),
  'shift-speed': (question, { rig }, random) => ({
    ...question,
    prompt: '',
    gear: random.whole(1, Math.max(1, gearsFor(rig).forward.length - 1)),
    throttle: random.whole(1, 8) / 10,
  }),
  'oil-fault-row': (question, _subject, random) => ({
    ...question,
    prompt: '',
    throttle: random.whole(2, 8) / 10,
  }),
  'which-ball': (question, { rig }, random) => {
    const throttle = random.whole(2, 7) / 10;
    const turned = <T>(list: readonly T[]): T[] => {
      const k = random.whole(0, Math.max(0, list.length - 1));
      return [...list.slice(k), ...list.slice(0, k)];
    };
    const told = tellingBall(rig, throttle, turned(ballsOf(rig)), turned(gaugesOf(rig)));
    return told ? { ...question, prompt: '', throttle, ...told } : question;
  },
  'set-shift': (question, _subject, random) => ({
    ...question,
    prompt: '',
    found: random.pick(FOUND),
  }),
  'draw-pressures': (question, { rig }, random) => {
    const throttle = random.whole(3, 6) / 10;
    const limits = drawnLimits(rig, { gear: question.gear, throttle });
    return { ...question, prompt: '', throttle, ...limits };
  },
  'bolt-order': (question, { rig }, random) => {
    const body = {
      ...question.body,
      spring: 10 * random.whole(12, 26),
      thin: random.pick(THIN_THREADS),
    };
    const drawn = { ...question, prompt: '', body };
    return oilKey(drawn, rig).ok ? drawn : question;
  },
  'kick-down': (question, { rig }, random) => {
    const gear = random.whole(2, Math.max(2, gearsFor(rig).forward.length));
    const throttle = random.whole(1, 5) / 10;
    const below = linesFor(rig, null, [throttle]).find((l) => l.from === gear - 1)?.points[0];
    const above = linesFor(rig, null, [throttle]).find((l) => l.from === gear)?.points[0];
    const from = below?.up ?? question.outputRpm;
    const to = above?.up ?? 1.8 * from;
    const outputRpm = Math.round((from + (to - from) * (0.1 + 0.8 * random.next())) / 50) * 50;
    return { ...question, prompt: '', gear, throttle, outputRpm };
  },
};

/** Settings as a shop may find them, each badly off in one thing. */
const FOUND: readonly ShiftSetting[] = [
  { ...AS_MADE, slack: 0.4 },
  { ...AS_MADE, slack: -0.4 },
  { ...AS_MADE, out: 0.25 },
  { ...AS_MADE, out: 4 },
  { ...AS_MADE, spring: 0.4 },
];

/** A pedal and a speed somewhere among the shifts of the plan. */
function drawnDriving(rig: OilRig, lever: string, random: Random) {
  const throttle = random.whole(1, 9) / 10;
  const most = Math.max(500, ...linesFor(rig, null, [throttle]).map((l) => l.points[0]!.up ?? 0));
  const outputRpm = Math.round((most * random.next() * 1.2) / 50) * 50;
  const places = partsOf(rig.plan, 'manual-valve').flatMap((v) => v.places.map((p) => p.lever));
  return { throttle, outputRpm, lever: places.includes(lever) ? lever : (places[0] ?? lever) };
}
