import type { Converter, Wheel } from './converter';
import type { Engine, EngineRow } from './engine';

/** What a workshop changes, or what wear and the place change, on an engine or a converter. */

/**
 * The same converter in another size: torque at one speed grows with the fifth power of the diameter (any text on
 * turbomachines), so K with its power of −5/2. Torque ratios stay.
 * @param factor new diameter over old, above 0
 */
export function resized(converter: Converter, factor: number): Converter {
  const { model } = converter;
  const wheel = (w: Wheel): Wheel => ({ ...w, exitRadius: w.exitRadius * factor });
  const sized: Converter['model'] =
    model.kind === 'table'
      ? {
          ...model,
          rows: model.rows.map((r) => ({ ...r, capacity: r.capacity * factor ** -2.5 })),
        }
      : {
          ...model,
          pump: wheel(model.pump),
          turbine: wheel(model.turbine),
          stator: wheel(model.stator),
          area: model.area * factor ** 2,
        };
  const { diameter } = converter;
  return {
    ...converter,
    model: sized,
    ...(diameter === undefined ? {} : { diameter: diameter * factor }),
  };
}

/** The engine with every torque times this share: worn, or short of air. */
export function weakened(engine: Engine, share: number): Engine {
  const rows = (list: readonly EngineRow[]) =>
    list.map((r) => ({ ...r, torqueNm: r.torqueNm * share }));
  return {
    ...engine,
    rows: rows(engine.rows),
    ...(engine.partLoad
      ? { partLoad: engine.partLoad.map((p) => ({ ...p, rows: rows(p.rows) })) }
      : {}),
  };
}

/**
 * Density of air over that at sea level: (1 − 0.0065·h/288.15)^4.25588 up to 11 km (published: ISO 2533,
 * Standard atmosphere). An engine that breathes by itself loses torque in about this proportion.
 * @param metres above the sea
 */
export const airDensityRatio = (metres: number): number =>
  (1 - (0.0065 * metres) / 288.15) ** 4.25588;

export const atAltitude = (engine: Engine, metres: number): Engine =>
  weakened(engine, airDensityRatio(metres));
