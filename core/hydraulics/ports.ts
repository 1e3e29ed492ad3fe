import type { OilCondition } from './condition';
import type { OilRunning } from './laws';
import { OPEN, type NetworkPart } from './network';
import type { HydraulicPlan, Spool } from './plan';

/** k of a valve's port, open, and of its way to the pan (memory). */
export const PORT = 3e-6;

/** A port that stands wide open: its passages are one. Passages by their numbers. */
export interface OpenWay {
  readonly part: string;
  readonly from: number;
  readonly to: number;
}

/** A part of the network, between passages by their numbers, with the part of the plan that it stands for. */
export interface Placed {
  readonly id: string;
  readonly part: NetworkPart;
}

/** Ports that stand open as the spools are: those wide open join their passages, those in between throttle. */
export function openPorts(
  plan: HydraulicPlan,
  condition: OilCondition,
  running: OilRunning,
  spools: ReadonlyMap<string, number>,
  range: string,
  place: (line: string) => number,
) {
  const ways: OpenWay[] = [];
  const openings: Placed[] = [];
  const opening = (id: string, from: number, to: number, k: number) =>
    openings.push({ id, part: { kind: 'opening', from, to, forth: k, back: k } });
  /** A passage that a valve feeds with so much of its port, and drains with the rest. */
  const port = (id: string, from: string, to: string, open: number) => {
    const [a, b] = [place(from), place(to)];
    if (open >= 1 && a !== OPEN) ways.push({ part: id, from: a, to: b });
    else {
      if (open > 0) opening(id, a, b, PORT * open);
      opening(id, b, OPEN, PORT * (1 - open));
    }
  };
  for (const part of plan.parts) {
    switch (part.kind) {
      case 'manual-valve': {
        const opens = part.places.find((p) => p.lever === running.lever)?.opens ?? [];
        const all = new Set(part.places.flatMap((p) => p.opens));
        for (const line of all)
          port(part.id, part.from, line, opens.includes(line) ? 1 - condition.besideDetent : 0);
        break;
      }
      case 'shift-valve':
      case 'lock-up-valve':
        for (const { from, to, open } of valvePorts(part, spools.get(part.id)!))
          port(part.id, from, to, open);
        break;
      case 'kick-down-valve': {
        const stuck = condition.stuck.get(part.id);
        port(part.id, part.from, part.to, stuck ?? (running.throttle >= part.opensAt ? 1 : 0));
        break;
      }
      case 'solenoid': {
        const asked = part.above ? spools.get(part.id)! : part.opensIn.includes(range) ? 1 : 0;
        const open = condition.stuck.get(part.id) ?? asked;
        if (open > 0) opening(part.id, place(part.from), place(part.to), part.orifice * open);
        opening(part.id, place(part.to), OPEN, PORT * (1 - open));
        break;
      }
      case 'pump':
      case 'regulator':
      case 'relief':
      case 'throttle-valve':
      case 'governor':
      case 'control':
      case 'feed':
      case 'shuttle':
      case 'piston':
      case 'accumulator':
      case 'restriction':
      case 'pressure-switch':
      case 'lock-up-clutch':
        break;
    }
  }
  return { ways, openings };
}

/** Every passage that a spool feeds, and how far its port stands open with the spool so far up. */
function valvePorts(valve: Spool, up: number): { from: string; to: string; open: number }[] {
  return [
    ...valve.up.map((w) => ({ ...w, open: up })),
    ...valve.down.map((w) => ({ ...w, open: 1 - up })),
  ].filter(
    // A passage that both ends feed is drained by neither.
    (w, _k, all) => w.open > 0 || !all.some((o) => o.to === w.to && o.open > 0),
  );
}
