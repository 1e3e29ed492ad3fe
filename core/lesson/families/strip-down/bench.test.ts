import type { Job } from '../../../assembly';
import { demoFile } from '../../../tests/demoFile';
import { becomesOf, effectsOffered, laidJob } from './bench';

const CRANE = demoFile<Job>('jobs/bollard-clutch');
const JOBS = [
  demoFile<Job>('jobs/slip-tractor-second'),
  demoFile<Job>('jobs/quay-hauler-noise'),
  CRANE,
];

test('what the wrong way round becomes is offered among four, each once, of the machine on the bench', () => {
  for (const job of JOBS) {
    const bench = laidJob(job, {
      kind: 'strip-order',
      prompt: '',
      job: job.id,
      parts: [],
    })!;
    for (const { id } of bench.plan.parts) {
      const offered = effectsOffered(bench, id);
      expect(offered.length).toBeLessThanOrEqual(4);
      expect(new Set(offered).size).toBe(offered.length);
      expect(offered).toContain(becomesOf(bench, id));
      if (job !== CRANE) expect(offered).toHaveLength(4);
    }
  }
});
