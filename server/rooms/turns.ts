/** What is done in a room is done one after the other; what is done in two rooms does not wait for each other. */
export class Turns {
  readonly #last = new Map<string, Promise<unknown>>();

  take<T>(code: string, task: () => T | Promise<T>): Promise<T> {
    const turn = (this.#last.get(code) ?? Promise.resolve()).then(task, task);
    this.#last.set(code, turn);
    const after = () => {
      if (this.#last.get(code) === turn) this.#last.delete(code);
    };
    turn.then(after, after);
    return turn;
  }

  /** All that was begun so far is done, or has failed. */
  async done(): Promise<void> {
    await Promise.allSettled(this.#last.values());
  }
}
