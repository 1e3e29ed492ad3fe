import type { HydraulicPart, Line, ThrottleBy, Way } from './plan';

/** A plan being drawn. */
export class Sheet {
  readonly parts: HydraulicPart[] = [];
  /** Lever places in which each port of the manual valve is open. */
  readonly ports = new Map<string, readonly string[]>();
  readonly up = new Map<number, Way[]>();
  readonly down = new Map<number, Way[]>();
  private readonly byId = new Map<string, Line>();

  line(id: string, name: string): string {
    if (!this.byId.has(id)) this.byId.set(id, { id, name });
    return id;
  }

  lines(): Line[] {
    return [...this.byId.values()];
  }

  port(levers: readonly string[]): string {
    const found = [...this.ports].find(([, had]) => had.join('\n') === levers.join('\n'))?.[0];
    if (found !== undefined) return found;
    const named = `port-${levers.map(plain).join('-')}`;
    const id = named.length > LONGEST || this.ports.has(named) ? `port-${this.ports.size}` : named;
    this.line(id, levers.join(' '));
    this.ports.set(id, levers);
    return id;
  }

  /** The passage behind a valve that stands up, or down. */
  past(valve: number, stands: 'up' | 'down', from: string): string {
    const ways = this[stands];
    const to = `${from}.${valve}${stands === 'up' ? 'u' : 'd'}`;
    this.line(to, this.byId.get(from)!.name);
    const had = ways.get(valve) ?? [];
    if (!had.some((w) => w.to === to)) ways.set(valve, [...had, { from, to }]);
    return to;
  }
}

/** Of an id that still says its lever places. */
const LONGEST = 40;
/** A lever place as part of an id. */
const plain = (lever: string): string => lever.replaceAll(/[^A-Za-z0-9]/g, '_').slice(0, 12);

/** Of a usual solenoid (memory). */
export const SOLENOID_OHM = 14;
export const SOLENOID_ORIFICE = 1.2e-6;

/** Every law that ends at the same pressure with the throttle open. */
export function throttleBy(kind: ThrottleBy['kind'], full: number): ThrottleBy {
  if (kind === 'modulator') {
    const land = 4e-5;
    // With the throttle closed the vacuum just takes the spring's force.
    return { kind, spring: full * land, diaphragm: (full * land) / 65e3, land };
  }
  return kind === 'cable'
    ? { kind, rest: 0, rise: full, slack: 0 }
    : { kind, points: [0, full / 3, (2 * full) / 3, full] };
}
