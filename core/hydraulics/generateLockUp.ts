import type { Demands } from './demands';
import type { Gears } from './gears';
import { throttlePressure } from './laws';
import { SOLENOID_OHM, SOLENOID_ORIFICE, throttleBy, type Sheet } from './sheet';
import { shiftValve, valveSizes } from './valveSizing';
import { USUAL_ENGINE, USUAL_PRESSURES, type PlanWishes } from './wishes';

/** Capacity of the lock-up clutch over the engine's torque, Pa of the inside over the release chamber for which it is sized, and N·m for each N (memory). */
const LOCK_MARGIN = 1.5;
const LOCK_PRESS = 350e3;
const LOCK_TORQUE_PER_FORCE = 0.02;
/** k between the clutch and its cover while it is off. */
const LOCK_GAP = 1.5e-6;
/** Into the converter's inside, over the cooler's. */
const CONVERTER_FEED = 4;
/** Speeds of the lock-up over those of the shift below it, and back (memory). */
const LOCKS_AT = { light: 1.2, full: 1.06, down: 0.82 };
/** m² of the land of a valve that a solenoid's signal pushes: it flips at half of the least line pressure. */
const SIGNAL_LAND = 1e-4;

/** The converter's clutch, from the second-highest gear up: its valve moved by the governor past that gear's shift valve, or by a signal. */
export function addLockUp(
  sheet: Sheet,
  { forward }: Gears,
  { shifts }: Demands,
  wishes: PlanWishes,
  byValves: boolean,
): void {
  const below = Math.max(1, forward.length - 2);
  const points = shifts[below - 1];
  if (!points) return;
  const locks = {
    light: LOCKS_AT.light * points.light,
    full: LOCKS_AT.full * points.full,
    lightDown: LOCKS_AT.light * LOCKS_AT.down * points.light,
  };
  const [release, apply] = [sheet.line('release', ''), sheet.line('inside', '')];
  // Up, the chamber before the clutch drains.
  const ways = { up: [], down: [{ from: 'line', to: release }] };
  const governor = sheet.parts.find((p) => p.kind === 'governor');
  const behind = sheet.parts.find((p) => p.kind === 'shift-valve' && p.gear === below);
  if (byValves && governor?.kind === 'governor' && behind?.kind === 'shift-valve') {
    const pushes = sheet.line(`governor.${below}u`, '');
    behind.up.push({ from: 'governor', to: pushes });
    const by = throttleBy(wishes.throttle ?? 'cable', USUAL_PRESSURES.throttleFull);
    const { gear: _gear, ...spool } = shiftValve(
      below,
      valveSizes(locks, governor, throttlePressure({ by }, 0)),
      'line',
    );
    sheet.parts.push({
      ...spool,
      governor: { ...spool.governor, line: pushes },
      id: 'lock-up-valve',
      kind: 'lock-up-valve',
      ...ways,
    });
  } else {
    const signal = sheet.line('signal', '');
    sheet.parts.push(
      {
        id: 'sol-lock-up',
        name: 'Lock-up solenoid',
        kind: 'solenoid',
        from: 'line',
        to: signal,
        rests: 'closed',
        ohm: SOLENOID_OHM,
        orifice: SOLENOID_ORIFICE,
        opensIn: forward.slice(below).map((f) => f.range.id),
        above: {
          on: [locks.light, locks.full],
          off: [locks.lightDown, LOCKS_AT.down * locks.full],
        },
      },
      {
        id: 'lock-up-valve',
        name: '',
        kind: 'lock-up-valve',
        governor: { line: signal, area: SIGNAL_LAND },
        throttle: { line: 'throttle', area: 0 },
        difference: { line: signal, area: 0 },
        spring: (SIGNAL_LAND * USUAL_PRESSURES.idle) / 2,
        springRise: 0,
        ...ways,
      },
    );
  }
  sheet.parts.push({
    id: 'lock-up-clutch',
    name: '',
    kind: 'lock-up-clutch',
    release,
    apply,
    area:
      (LOCK_MARGIN * (wishes.inputNm ?? USUAL_ENGINE.inputNm)) /
      (LOCK_PRESS * LOCK_TORQUE_PER_FORCE),
    torquePerForce: LOCK_TORQUE_PER_FORCE,
    gap: LOCK_GAP,
  });
  const cooler = sheet.parts.find((p) => p.id === 'cooler');
  if (cooler?.kind !== 'restriction') return;
  sheet.parts.push({
    id: 'converter-feed',
    name: 'To converter',
    kind: 'restriction',
    from: 'line',
    to: apply,
    orifice: CONVERTER_FEED * cooler.orifice,
  });
  // What comes out of the converter goes through the cooler.
  cooler.from = apply;
}
