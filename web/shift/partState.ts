import type { TFunction } from 'i18next';
import {
  lockedHolds,
  PAN,
  type HydraulicPart,
  type OilRunning,
  type OilState,
} from '../../core/hydraulics';
import type { Numbers } from '../shared/numbers';

/** m³/s to litres a minute. */
const LITRES_A_MINUTE = 60_000;

/** What a part does now, in a few words. */
export function partState(
  t: TFunction,
  numbers: Numbers,
  part: HydraulicPart,
  state: OilState,
  running: OilRunning,
): string {
  const pressure = (line: string) =>
    numbers.quantity(Math.round((state.pressures.get(line) ?? 0) / 1000), 'pressure');
  const flow = () => {
    const sum = state.passing.reduce((s, p) => (p.part === part.id ? s + p.flow : s), 0);
    return numbers.fixed(Math.abs(sum) * LITRES_A_MINUTE, 'flow', 1);
  };
  switch (part.kind) {
    case 'pump':
    case 'restriction':
      return flow();
    case 'regulator':
      return pressure(part.line);
    case 'relief':
      return t((state.pressures.get(part.line) ?? 0) > part.opensAt ? 'oil.open' : 'oil.shut');
    case 'manual-valve':
      return running.lever;
    case 'throttle-valve':
    case 'governor':
      return pressure(part.to);
    case 'kick-down-valve':
    case 'solenoid':
      return t((state.pressures.get(part.to) ?? 0) > OPEN_FROM ? 'oil.open' : 'oil.shut');
    case 'shift-valve':
    case 'lock-up-valve':
      return t(`oil.spool.${spoolWord(state.spools.get(part.id) ?? 0)}`);
    case 'piston':
      return t(state.applied.includes(part.element) ? 'oil.onAt' : 'oil.offAt', {
        pressure: pressure(part.line),
      });
    case 'accumulator':
    case 'pressure-switch':
      return pressure(part.line);
    case 'feed':
      return part.to === PAN ? '' : pressure(part.to);
    case 'shuttle':
      return t(`oil.ball.${ballSide(part, state)}`);
    case 'lock-up-clutch': {
      const holds = lockedHolds({ parts: [part] }, state) ?? 0;
      return holds > 0
        ? t('oil.onAt', { pressure: numbers.quantity(Math.round(holds), 'torque') })
        : t('oil.off');
    }
    case 'control':
      return '';
  }
}

/** Pa from which a passage counts as fed. */
const OPEN_FROM = 30e3;

export const spoolWord = (at: number): 'up' | 'down' | 'between' =>
  at > 0.95 ? 'up' : at < 0.05 ? 'down' : 'between';

/** Which passage a ball shuts; neither presses when both are empty. */
export function ballSide(
  part: { first: string; second: string },
  { pressures }: OilState,
): 'first' | 'second' | 'rests' {
  const [a, b] = [part.first, part.second].map((l) => pressures.get(l) ?? 0) as [number, number];
  return Math.max(a, b) < OPEN_FROM ? 'rests' : a >= b ? 'second' : 'first';
}
