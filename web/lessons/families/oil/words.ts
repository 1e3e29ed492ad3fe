import type { TFunction } from 'i18next';
import {
  AS_MADE,
  canShift,
  exchangeIn,
  gearsFor,
  handsAt,
  oilKey,
  SHIFT_SETTINGS,
  type ClaimOf,
  type DrawnPressures,
  type OilAnswer,
  type OilGauge,
  type OilKey,
  type OilQuestion,
  type OilRig,
  type ShiftLimits,
  type ShiftSetting,
} from '../../../../core/lesson';
import type { PlanFault } from '../../../../core/hydraulics';
import { formatNumber, formatShare, type Numbers } from '../../../shared/numbers';
import { belongsTo, cableText, partName } from '../../../shift/oilWords';
import { plain, type Worded } from '../../worded';
import { claimText, type ClaimFormats } from '../claimText';
import type { FamilyWords } from '../familyWords';
import { boltClaimText, boltPrompt, orderText } from './boltWords';

/** Questions about oil, their answers and keys put into words. */

const nameOf = (t: TFunction, { plan }: OilRig, id: string): string => {
  const part = plan.parts.find((p) => p.id === id);
  return part ? partName(t, part, plan) : id;
};

export const oilFaultText = (t: TFunction, rig: OilRig, fault: PlanFault | null): string =>
  fault === null
    ? t('breakIt.sound')
    : t('oil.faultOf', { of: nameOf(t, rig, fault.part), kind: t(`oil.faults.${fault.kind}`) });

const rpm = (value: number): string => formatNumber(Math.round(value / 5) * 5, 0);
const exactRpm = (value: number): string => formatNumber(value, 0);
/** Gears of a pair as the chart has them. */
const pair = (rig: OilRig, gear: number) => {
  const { forward } = gearsFor(rig);
  const at = (k: number) => forward[k - 1]?.range.gear ?? String(k);
  return { low: at(gear), high: at(gear + 1) };
};

export function oilPrompt(
  t: TFunction,
  numbers: Numbers,
  question: OilQuestion,
  rig: OilRig,
): string {
  if (question.prompt.trim() !== '') return question.prompt;
  switch (question.kind) {
    case 'trace-oil':
      return t('oilPrompts.trace-oil', { ...driven(question), element: question.element });
    case 'spool-places':
      return t('oilPrompts.spool-places', driven(question));
    case 'shift-speed':
      return t(question.fault ? 'oilPrompts.shift-speed-fault' : 'oilPrompts.shift-speed', {
        ...pair(rig, question.gear),
        throttle: formatShare(question.throttle),
        fault: oilFaultText(t, rig, question.fault),
      });
    case 'oil-fault-row':
      return t('oilPrompts.oil-fault-row', {
        fault: oilFaultText(t, rig, question.fault),
        throttle: formatShare(question.throttle),
      });
    case 'which-ball':
      return t('oilPrompts.which-ball');
    case 'set-shift':
      return t('oilPrompts.set-shift', {
        ...pair(rig, question.gear),
        ...limitsText(numbers, question),
      });
    case 'draw-pressures': {
      const { coming, going } = exchangeIn(rig, question.gear);
      return t(going.length > 0 ? 'oilPrompts.draw-pressures' : 'oilPrompts.draw-one-pressure', {
        ...pair(rig, question.gear),
        ...limitsText(numbers, question),
        throttle: formatShare(question.throttle),
        coming: coming.join(' + '),
        going: going.join(' + '),
      });
    }
    case 'bolt-order':
      return boltPrompt(t, question);
    case 'kick-down':
      return t('oilPrompts.kick-down', {
        gear: pair(rig, question.gear).low,
        speed: exactRpm(question.outputRpm),
        throttle: formatShare(question.throttle),
      });
  }
}

/** Finer than a limit is written, so that what is just over it is seen to be. */
const figuresIn = (numbers: Numbers) => ({
  jerk: (v: number) => formatNumber(v, 1),
  flare: exactRpm,
  dip: formatShare,
  kelvin: (v: number) => numbers.fixed(v, 'temperature-rise', 1),
});

const limitsText = (numbers: Numbers, limits: ShiftLimits) => ({
  jerk: formatNumber(limits.jerk, 0),
  flare: formatNumber(limits.flare, 0),
  dip: formatShare(limits.dip),
  kelvin: numbers.fixed(limits.kelvin, 'temperature-rise', { si: 0, 'inch-pound': 1 }),
});

/** When what comes takes hold of all that it carries, and when what goes lets go of it. */
function drawnText(
  t: TFunction,
  question: OilQuestion,
  rig: OilRig,
  drawn: DrawnPressures,
): string {
  if (question.kind !== 'draw-pressures' || !canShift(rig, question.gear))
    return t('oilWords.asDrawn');
  const parts = handsAt(rig, question, drawn).map(({ side, element, time }) =>
    t(HANDS[side][time === null ? 'never' : 'at'], {
      element,
      seconds: formatNumber(time ?? 0, 2),
    }),
  );
  return parts.length > 0 ? parts.join(', ') : t('oilWords.asDrawn');
}

const HANDS = {
  coming: { at: 'oilWords.takesAt', never: 'oilWords.takesNever' },
  going: { at: 'oilWords.letsGoAt', never: 'oilWords.letsGoNever' },
} as const;

/** A ball by the element it works for, and which of several on the way there. */
export function ballName(t: TFunction, rig: OilRig, id: string): string {
  const { plan } = rig;
  const balls = plan.parts.filter((p) => p.kind === 'shuttle');
  const of = (p: (typeof balls)[number]) => belongsTo(p, plan);
  const one = balls.find((p) => p.id === id);
  if (!one) return id;
  const alike = balls.filter((p) => of(p) === of(one));
  return alike.length > 1
    ? t('oilWords.ballNth', { of: of(one), n: alike.indexOf(one) + 1, count: alike.length })
    : partName(t, one, plan);
}

/** An element in a gear of a lever place. */
export function gaugeName(rig: OilRig, { lever, gear, element }: OilGauge): string {
  const named = gearsFor(rig).rangeAt(lever, gear)?.gear ?? String(gear);
  return `${element}, ${named === lever ? lever : `${lever} ${named}`}`;
}

/** What was turned, and nothing else. */
export function settingText(t: TFunction, setting: ShiftSetting): string {
  const turned = SHIFT_SETTINGS.filter((k) => Math.abs(setting[k] - AS_MADE[k]) > 0.005);
  if (turned.length === 0) return t('oilWords.asMade');
  return turned
    .map((k) =>
      t('oilWords.setTo', {
        what: t(`oilWords.settings.${k}`),
        to: settingValue(t, k, setting[k]),
      }),
    )
    .join(', ');
}

export const settingValue = (t: TFunction, key: keyof ShiftSetting, value: number): string =>
  key === 'slack' ? cableText(t, value) : formatShare(value);

const driven = (q: { lever: string; throttle: number; outputRpm: number }) => ({
  lever: q.lever,
  throttle: formatShare(q.throttle),
  speed: exactRpm(q.outputRpm),
});

const namesOf = (t: TFunction, rig: OilRig, ids: readonly string[]): string =>
  rig.plan.parts
    .filter((p) => ids.includes(p.id))
    .map((p) => partName(t, p, rig.plan))
    .join(', ');

function said(t: TFunction, question: OilQuestion, rig: OilRig, given: OilAnswer | OilKey): Worded {
  switch (given.kind) {
    case 'trace-oil':
      return plain(given.parts.length > 0 ? namesOf(t, rig, given.parts) : t('oilWords.nothing'));
    case 'spool-places':
      return plain(
        given.up.length > 0
          ? t('oilWords.standUp', { list: namesOf(t, rig, given.up) })
          : t('oilWords.allDown'),
      );
    case 'shift-speed':
      return plain(t('oilWords.upAndDown', { up: rpm(given.up), down: rpm(given.down) }));
    case 'oil-fault-row':
      return plain(
        given.row
          .map((m, k) =>
            t('oilWords.momentOf', { ...pair(rig, k + 1), moment: t(`oilWords.moments.${m}`) }),
          )
          .join(', '),
      );
    case 'which-ball': {
      const balls = 'balls' in given ? given.balls : [given.ball];
      return plain(balls.map((id) => ballName(t, rig, id)).join(', '));
    }
    case 'set-shift':
      return plain(settingText(t, given.setting));
    case 'draw-pressures':
      return plain(drawnText(t, question, rig, given));
    case 'bolt-order':
      return plain(orderText(t, given));
    case 'kick-down':
      return plain(
        t('oilWords.gearAt', {
          gear: pair(rig, given.gear).low,
          speed: rpm(given.engineRpm),
        }),
      );
  }
}

export function oilKeyText(t: TFunction, question: OilQuestion, rig: OilRig): Worded | null {
  const result = oilKey(question, rig);
  return result.ok ? said(t, question, rig, result.key) : null;
}

function short(t: TFunction, rig: OilRig, answer: OilAnswer, score: number): string {
  switch (answer.kind) {
    case 'trace-oil':
    case 'spool-places':
    case 'set-shift':
    case 'draw-pressures':
    case 'bolt-order':
      return formatShare(score);
    case 'which-ball':
      return ballName(t, rig, answer.ball);
    case 'shift-speed':
      return `${rpm(answer.up)} / ${rpm(answer.down)}`;
    case 'oil-fault-row':
      return answer.row.map((m) => t(`oilWords.moments.${m}`)).join(', ');
    case 'kick-down':
      return `${pair(rig, answer.gear).low}, ${rpm(answer.engineRpm)}`;
  }
}

function claimWords(
  t: TFunction,
  numbers: Numbers,
  claim: ClaimOf<'oil'>,
  question: OilQuestion,
  rig: OilRig,
): string {
  const pressure = (pascal: number) => numbers.quantity(Math.round(pascal / 1000), 'pressure');
  const gearName = (gear: number) => pair(rig, gear).low;
  const formats: ClaimFormats = {
    part: (id: string) => nameOf(t, rig, id),
    valve: (id: string) => nameOf(t, rig, id),
    element: (id: string) => id,
    governor: pressure,
    wants: pressure,
    throttle: formatShare,
    rpm: exactRpm,
    engine: exactRpm,
    ratio: (r: number) => formatNumber(r, 2),
    from: gearName,
    to: gearName,
  };
  switch (claim.claim) {
    case 'pair-changes':
    case 'pair-never':
      return claimText(t, claim, formats, subOf(claim), {
        ...pair(rig, claim.gear),
        fault: oilFaultText(t, rig, claim.with),
      });
    case 'shift-comes-to':
      return claimText(t, claim, {
        setting: (s: ShiftSetting) => settingText(t, s),
        ...figuresIn(numbers),
      });
    case 'drawn-comes-to':
      return claimText(
        t,
        claim,
        { drawn: () => '', ...figuresIn(numbers) },
        claim.taken ? claim.way : 'not-taken',
      );
    case 'holds-from':
      return claimText(t, claim, {
        element: (id: string) => id,
        torque: (nm: number) => numbers.quantity(nm, 'torque'),
        pressure,
      });
    case 'held-by':
      return claimText(t, claim, {
        drawn: () => '',
        seconds: (s: number) => formatNumber(s, 2),
      });
    case 'gauge-reads':
      return claimText(t, claim, {
        ball: (id: string) => ballName(t, rig, id),
        gauge: (g: OilGauge) => gaugeName(rig, g),
        pressure,
      });
    case 'ball-holds':
      return claimText(t, claim, formats, claim.way, {
        ...pair(rig, claim.gear),
        ball: ballName(t, rig, claim.ball),
      });
    case 'bolts-come-to':
    case 'bolt-bends':
    case 'springs-push':
      return boltClaimText(t, numbers, claim, question);
    case 'engine-in-gear':
      return claimText(t, claim, formats, null, { gear: gearName(claim.gear) });
    case 'oil-comes':
    case 'spool-weighed':
    case 'floored':
      return claimText(t, claim, formats);
  }
}

/** With a fault, and without one: each has a sentence. */
function subOf(claim: Extract<ClaimOf<'oil'>, { claim: 'pair-changes' | 'pair-never' }>): string {
  const whole = claim.with === null ? 'sound' : 'faulty';
  if (claim.claim === 'pair-never') return whole;
  const latched = claim.way === 'down' && claim.with === null && claim.latched;
  return latched ? 'down-latched' : `${claim.way}-${whole}`;
}

export const OIL_WORDS: FamilyWords<'oil'> = {
  prompt: (t, numbers, question, { rig }) => oilPrompt(t, numbers, question, rig),
  answer: (t, _numbers, question, { rig }, answer) => said(t, question, rig, answer),
  key: (t, _numbers, question, { rig }) => oilKeyText(t, question, rig),
  short: (t, _numbers, _question, { rig }, answer, score) => short(t, rig, answer, score),
  part: (t, { part, of }, { rig }) => {
    if (part === 'moment') return t('oilParts.moment', { pair: String(of) });
    if (part === 'on-path' || part === 'off-path' || part === 'spool')
      return t(`oilParts.${part}`, { name: nameOf(t, rig, String(of)) });
    return t(`oilParts.${part}`);
  },
  claim: (t, numbers, claim, question, { rig }) => claimWords(t, numbers, claim, question, rig),
};
