/**
 * A transmission's oil circuit as people exchange it: passages, and what stands between them. Its schema is
 * `formats/hydraulicsV1.ts`. SI throughout: Pa, m³, m², N, s; conductances k of q = k·√Δp in m³/s for each √Pa.
 */
export interface HydraulicPlan {
  format: 'fair-sprocket/hydraulics';
  version: 1;
  id: string;
  name: string;
  /** Markdown. */
  notes?: string;
  /** Id of the unit that it feeds. */
  unit: string;
  lines: Line[];
  parts: HydraulicPart[];
}

/** A passage: one pressure all along it. The pan is predefined, and open to the air. */
export interface Line {
  id: string;
  name: string;
}
export const PAN = 'pan';

interface Named {
  id: string;
  name: string;
}

/** Moves a volume with each turn of the engine. */
export interface Pump extends Named {
  kind: 'pump';
  to: string;
  /** m³ a turn. */
  volume: number;
  /** Share of the flow that slips back, and what its clearances let through. */
  slip: number;
  leak: number;
  /** m³/s that the filter lets it draw at most. */
  suction: number;
}

/** A land of a spool that a passage presses on. */
export interface Land {
  line: string;
  area: number;
}

/** Lets oil of a passage back to the pan past what its spring and its boost lands ask for: p·A = F + Σ p_b·A_b. */
export interface Regulator extends Named {
  kind: 'regulator';
  line: string;
  area: number;
  spring: number;
  boosts: Land[];
  /** Wide open. */
  orifice: number;
}

/** A ball on a spring. */
export interface Relief extends Named {
  kind: 'relief';
  line: string;
  opensAt: number;
  orifice: number;
}

/** Moved by the driver: opens some of its passages in each lever place and drains the others. */
export interface ManualValve extends Named {
  kind: 'manual-valve';
  from: string;
  places: { lever: string; opens: string[] }[];
}

/** What makes a pressure of the throttle's opening. Travel of the pedal from 0 to 1. */
export type ThrottleBy =
  /** p = rest + rise·(travel − slack), a stretched cable below zero. */
  | { kind: 'cable'; rest: number; rise: number; slack: number }
  /** p = (spring − vacuum·diaphragm)/land, with the intake's vacuum falling as the throttle opens. */
  | { kind: 'modulator'; spring: number; diaphragm: number; land: number }
  /** What the control unit asks, and its pressure sensor tells it, at travel 0, ⅓, ⅔ and 1, straight between. */
  | { kind: 'solenoid'; points: [number, number, number, number] };

/** A reducing valve: holds its outlet at what the throttle asks for. */
export interface ThrottleValve extends Named {
  kind: 'throttle-valve';
  from: string;
  to: string;
  by: ThrottleBy;
}

/** A reducing valve that two flyweights load: p·A = m₁r₁ω² + m₂r₂ω² until the heavy one is at its stop, then F + m₂r₂ω². */
export interface Governor extends Named {
  kind: 'governor';
  from: string;
  to: string;
  area: number;
  heavy: { mass: number; radius: number };
  light: { mass: number; radius: number };
  /** N of the spring between both weights. */
  spring: number;
}

/** A way through a valve. */
export interface Way {
  from: string;
  to: string;
}

/**
 * Goes up when p_gov·A_gov > F + p_thr·A_thr + p_kick·A_kick; once up, the pressure that it passes presses on its
 * difference area too, so it comes down later.
 */
export interface Spool extends Named {
  /** What pushes it up: the governor's pressure, or a signal in its place. */
  governor: Land;
  throttle: Land;
  kick?: Land;
  /** Pressed on by the passage that it passes on, once up. */
  difference: Land;
  /** N when down, and so much more when up. */
  spring: number;
  springRise: number;
  up: Way[];
  down: Way[];
}

export interface ShiftValve extends Spool {
  kind: 'shift-valve';
  /** The lower gear of its pair, 1 for the first. */
  gear: number;
}

/** Down, line pressure stands before the lock-up clutch and holds it off; up, that chamber drains, and the converter's inside presses it on. */
export interface LockUpValve extends Spool {
  kind: 'lock-up-valve';
}

/**
 * The converter's own clutch, between its release chamber and its inside: it holds what the inside presses more. While it is off,
 * oil comes through its gap; once on, none does.
 */
export interface LockUpClutch extends Named {
  kind: 'lock-up-clutch';
  release: string;
  apply: string;
  area: number;
  /** N·m for each N. */
  torquePerForce: number;
  gap: number;
}

/** Opens in the last of the pedal's travel. */
export interface KickDownValve extends Named {
  kind: 'kick-down-valve';
  from: string;
  to: string;
  opensAt: number;
}

/** Opens, or shuts, a way by the control unit's word. */
export interface Solenoid extends Named {
  kind: 'solenoid';
  from: string;
  to: string;
  /** Which way it stands without current. */
  rests: 'open' | 'closed';
  ohm: number;
  orifice: number;
  /** Ranges in which its way is to be open. */
  opensIn: string[];
  /** Only from these output speeds on, rev/min, with the throttle closed and open; and until the lower ones. */
  above?: { on: [number, number]; off: [number, number] };
}

/** The control unit: output speeds in rev/min at which it changes gear, with the throttle closed and open. */
export interface Control extends Named {
  kind: 'control';
  shifts: { gear: number; up: [number, number]; down: [number, number] }[];
  /** Throttle from which the lower gear comes at its highest speed, and how near to the up line. */
  kickDown: number;
  /** s from the command until the going element is let go: what it has learned of each element's filling. */
  learned: { element: string; seconds: number }[];
}

/** Into an element's passage: an orifice, with a ball that opens one way. */
export interface Feed extends Named {
  kind: 'feed';
  from: string;
  to: string;
  /** Towards the element, and back. */
  in: number;
  out: number;
}

/** Passes the higher of two pressures and shuts the other passage. */
export interface Shuttle extends Named {
  kind: 'shuttle';
  first: string;
  second: string;
  to: string;
}

/** Of an element: moves through its clearance against its springs, then clamps. */
export interface Piston extends Named {
  kind: 'piston';
  line: string;
  element: string;
  area: number;
  /** m from rest until the plates touch, and what the cushion plate gives after that. */
  travel: number;
  cushion: number;
  /** N of the return springs on touching. */
  returnForce: number;
  /** N·m for each N: faces × friction × mean radius. */
  torquePerForce: number;
  /** Past its seals. */
  leak: number;
  /** kg of steel that takes its heat. */
  steel: number;
}

/** Takes oil along its spring while it strokes: the pressure rises slowly meanwhile. */
export interface Accumulator extends Named {
  kind: 'accumulator';
  line: string;
  area: number;
  travel: number;
  /** N at the start of its stroke, and at the end. */
  spring: number;
  springEnd: number;
  /** What presses on its back. */
  back?: Land;
}

/** A hole to the pan: lubrication, cooler, a gauge left open. */
export interface Restriction extends Named {
  kind: 'restriction';
  from: string;
  to: string;
  orifice: number;
}

/** Tells the control unit whether a passage presses. */
export interface PressureSwitch extends Named {
  kind: 'pressure-switch';
  line: string;
  trips: number;
}

export type HydraulicPart =
  | Pump
  | Regulator
  | Relief
  | ManualValve
  | ThrottleValve
  | Governor
  | ShiftValve
  | LockUpValve
  | LockUpClutch
  | KickDownValve
  | Solenoid
  | Control
  | Feed
  | Shuttle
  | Piston
  | Accumulator
  | Restriction
  | PressureSwitch;
export type HydraulicKind = HydraulicPart['kind'];
export type PartOf<K extends HydraulicKind> = Extract<HydraulicPart, { kind: K }>;

/** A part that pressures move from end to end. */
export const isSpool = (part: HydraulicPart): part is ShiftValve | LockUpValve =>
  part.kind === 'shift-valve' || part.kind === 'lock-up-valve';

export const partsOf = <K extends HydraulicKind>(
  { parts }: Pick<HydraulicPlan, 'parts'>,
  kind: K,
): PartOf<K>[] => parts.filter((p): p is PartOf<K> => p.kind === kind);

/** The plan with a part in the place of the one that has its id. */
export const withPart = (plan: HydraulicPlan, part: HydraulicPart): HydraulicPlan => ({
  ...plan,
  parts: plan.parts.map((p) => (p.id === part.id ? part : p)),
});
