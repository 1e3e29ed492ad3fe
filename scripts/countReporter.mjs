// Adds each Jest run's counts to .cache/test-counts.jsonl, which scripts/test.mjs sums up in its last line.
import { appendFileSync, mkdirSync } from 'node:fs';

export default class CountReporter {
  onRunComplete(_contexts, r) {
    mkdirSync('.cache', { recursive: true });
    const counts = {
      passed: r.numPassedTests,
      failed: r.numFailedTests + r.numRuntimeErrorTestSuites,
      skipped: r.numPendingTests + r.numTodoTests,
    };
    appendFileSync('.cache/test-counts.jsonl', `${JSON.stringify(counts)}\n`);
  }
}
