import type { Opening, OrderRule, Part, PartKind, Precedence } from './parts';

/** The growing list of parts and rules of one unit. */
export class Bill {
  readonly parts: Part[] = [];
  readonly rules: Precedence[] = [];
  private readonly ids = new Set<string>();

  /** @returns the id; a part that is there already stays as it is */
  part(
    id: string,
    kind: PartKind,
    openings: readonly Opening[],
    { of = 'unit', count = 1 }: { of?: string; count?: number } = {},
  ): string {
    if (!this.ids.has(id)) this.parts.push({ id, kind, of, count, openings });
    this.ids.add(id);
    return id;
  }

  /** The ways by which a part can leave, once they are known. */
  opens(id: string, openings: readonly Opening[]): void {
    const k = this.parts.findIndex((p) => p.id === id);
    if (k >= 0) this.parts[k] = { ...this.parts[k]!, openings };
  }

  /** Parts that there are not are left out; a rule that asks for nothing is none. */
  rule(
    after: string,
    rule: OrderRule,
    before: readonly string[],
    any: readonly (readonly string[])[] = [],
  ): void {
    const there = [...new Set(before)].filter((id) => this.ids.has(id) && id !== after);
    if (this.ids.has(after) && there.length + any.length > 0)
      this.rules.push({ after, before: there, any, rule });
  }
}
