import { RPM_TO_RAD } from '../quantities';
import { characteristicOf } from './characteristic';
import type { Converter } from './converter';
import { engineModel, type Engine } from './engine';
import { matchEngine } from './match';

/** What is wrong or odd about an engine and a converter together, though each is sound alone. */
export interface PairFinding {
  /**
   * can-not-pull-idle: standing in gear, the pump takes more at idle than the engine can give ·
   * stall-at-governor: the engine runs into its governor before the converter holds it ·
   * lock-up-too-small: full torque makes the lock-up clutch slip
   */
  readonly code: 'can-not-pull-idle' | 'stall-at-governor' | 'lock-up-too-small';
  readonly weight: 'wrong' | 'odd';
  /** N·m or rev/min: what is asked, and what is there. */
  readonly asked: number;
  readonly there: number;
}

export function pairFindings(engine: Engine, converter: Converter): PairFinding[] {
  const found: PairFinding[] = [];
  const model = engineModel(engine);
  const characteristic = characteristicOf(converter);
  if (!characteristic) return found;
  const idle = model.idleRpm;
  const asked = characteristic.at(0).coefficient * (idle * RPM_TO_RAD) ** 2;
  const there = model.torque(idle, 1);
  if (there < asked) found.push({ code: 'can-not-pull-idle', weight: 'wrong', asked, there });
  const { engineRpm } = matchEngine(model, characteristic, 1, 0);
  if (engineRpm > model.governedRpm)
    found.push({
      code: 'stall-at-governor',
      weight: 'odd',
      asked: engineRpm,
      there: model.governedRpm,
    });
  const most = Math.max(...engine.rows.map((r) => r.torqueNm));
  const holds = converter.lockUpCapacity;
  if (holds !== undefined && holds < most)
    found.push({ code: 'lock-up-too-small', weight: 'odd', asked: most, there: holds });
  return found;
}
