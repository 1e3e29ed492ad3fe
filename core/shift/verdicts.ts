import { FELT_SWING, HOT_FACING_C, type EngagementSummary } from './engagementSetup';

/** What a driver would say of a run, the worst first; `clean` alone when there is nothing to say. */
export type EngagementVerdict =
  | 'stalls'
  | 'never-bites'
  | 'slips-on'
  | 'too-hot'
  | 'rolls-back'
  | 'judders'
  | 'jolts'
  | 'long-slip'
  | 'clean';

/** m/s³ from which a start jolts, s of slip that is long, m rolled back that is felt (memory). */
export const JOLT = 60;
export const LONG_SLIP_S = 2.5;
const ROLLED_FELT = 0.1;
const MOVES = 0.1;

export function engagementVerdicts(summary: EngagementSummary): EngagementVerdict[] {
  const { stalled, slipping, speed, peakC, rolledBack, judder, jerk, slipTime } = summary;
  const found: EngagementVerdict[] = [];
  if (stalled) found.push('stalls');
  else if (slipTime === 0 && speed < MOVES) found.push('never-bites');
  else if (slipping) found.push('slips-on');
  if (peakC > HOT_FACING_C) found.push('too-hot');
  if (rolledBack > ROLLED_FELT) found.push('rolls-back');
  if (judder.swing > FELT_SWING) found.push('judders');
  if (jerk > JOLT) found.push('jolts');
  if (!stalled && !slipping && slipTime > LONG_SLIP_S) found.push('long-slip');
  return found.length > 0 ? found : ['clean'];
}
