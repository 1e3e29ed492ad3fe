import type {
  Opening,
  OrderRule,
  Part,
  PartKind,
  Place,
  Precedence,
  StripPlan,
  Thrust,
} from './parts';

/** What is told of a part beside what it is and how it leaves; it is the unit's, and one piece, where nothing is said. */
type Belongs = Partial<Pick<Part, 'of' | 'count' | 'size' | 'sides' | 'fine'>>;

/** The growing list of parts and rules of one unit. */
export class Bill {
  private readonly parts = new Map<string, Part>();
  private readonly rules: Precedence[] = [];
  private places: StripPlan['places'] = {};
  private thrusts: readonly Thrust[] = [];

  /** @param unit its id */
  constructor(readonly unit: string) {}

  /** @returns the id; a part that is there already stays as it is */
  part(
    id: string,
    kind: PartKind,
    openings: readonly Opening[],
    { of = 'unit', count = 1, ...more }: Belongs = {},
  ): string {
    if (!this.parts.has(id)) this.parts.set(id, { id, kind, of, count, openings, ...more });
    return id;
  }

  all(): readonly Part[] {
    return [...this.parts.values()];
  }

  has(id: string): boolean {
    return this.parts.has(id);
  }

  /** How many pieces a part is, once that is known. */
  counts(id: string, count: number): void {
    const part = this.parts.get(id);
    if (part) this.parts.set(id, { ...part, count });
  }

  /** The ways by which a part can leave, once they are known. */
  opens(id: string, openings: readonly Opening[]): void {
    const part = this.parts.get(id);
    if (part) this.parts.set(id, { ...part, openings });
  }

  /** Parts that the unit turns out not to have are left out in the end, and so is a rule that then asks for nothing. */
  rule(
    after: string,
    rule: OrderRule,
    before: readonly string[],
    any: readonly (readonly string[])[] = [],
  ): void {
    this.rules.push({ after, before, any, rule });
  }

  stands(places: Readonly<Record<string, readonly Place[]>>): void {
    this.places = places;
  }

  lie(thrusts: readonly Thrust[]): void {
    this.thrusts = thrusts;
  }

  plan(): StripPlan {
    const there = (ids: readonly string[], after: string) =>
      [...new Set(ids)].filter((id) => this.parts.has(id) && id !== after);
    const rules = this.rules
      .filter(({ after }) => this.parts.has(after))
      .map(({ after, before, any, rule }) => ({
        after,
        before: there(before, after),
        any: any.map((list) => there(list, after)).filter((list) => list.length > 0),
        rule,
      }))
      .filter(({ before, any }) => before.length + any.length > 0);
    const { unit, places, thrusts } = this;
    return { unit, parts: [...this.parts.values()], rules, thrusts, places };
  }
}
