/** Times two ways of doing the same work in one run, and gives their ratio. */
export interface Comparison {
  readonly name: string;
  readonly oursNs: number;
  readonly theirsNs: number;
  readonly ratio: number;
}

const ROUNDS = 9;
const ROUND_MS = 60;
/** The engine compiles what is measured anew while it runs: it is run in windows until it gets no faster. */
const WINDOW_MS = 300;
const STILL_FASTER = 0.95;
const MOST_WINDOWS = 12;

/** Nanoseconds a call: the median over rounds, each long enough to measure. */
function nanoseconds(work: () => void): number {
  warm(work);
  let calls = 1;
  for (;;) {
    const took = time(work, calls);
    if (took > ROUND_MS / 4) {
      calls = Math.max(1, Math.round((calls * ROUND_MS) / took));
      break;
    }
    calls *= 4;
  }
  const rounds = Array.from({ length: ROUNDS }, () => time(work, calls) / calls);
  rounds.sort((a, b) => a - b);
  return rounds[ROUNDS >> 1]! * 1e6;
}

function warm(work: () => void): void {
  let before = Infinity;
  for (let window = 0; window < MOST_WINDOWS; window++) {
    const begun = performance.now();
    let calls = 0;
    for (; performance.now() - begun < WINDOW_MS; calls++) work();
    const each = (performance.now() - begun) / calls;
    if (each > STILL_FASTER * before && window > 1) return;
    before = Math.min(before, each);
  }
}

function time(work: () => void, calls: number): number {
  const start = performance.now();
  for (let k = 0; k < calls; k++) work();
  return performance.now() - start;
}

export function compare(name: string, ours: () => void, theirs: () => void): Comparison {
  const oursNs = nanoseconds(ours);
  const theirsNs = nanoseconds(theirs);
  return { name, oursNs, theirsNs, ratio: theirsNs / oursNs };
}
