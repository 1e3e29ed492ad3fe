import type { Clutch } from '../clutch';
import { Bill } from './bill';
import type { StripPlan } from './parts';

/**
 * The dry clutch with the gearbox still before it: box out on its axis, cover off crosswise with one bolt as a hanger, and
 * what lies behind it (common practice, no source; the maker's manual decides).
 */
export function clutchPlan(clutch: Clutch): StripPlan {
  const bill = new Bill(clutch.id);
  bill.part('battery', 'battery', ['side']);
  bill.part('linkage', 'linkage', ['side']);
  bill.part('propeller-shaft', 'output-shaft', ['rear']);
  bill.part('box', 'gearbox', ['rear']);
  bill.part('fork', 'fork', ['rear']);
  bill.part('bearing', 'bearing', ['rear']);
  bill.part('marks', 'mark', ['rear']);
  bill.part('cover', 'clutch-cover', ['rear']);
  bill.part('disc', 'disc', ['rear'], { count: clutch.disc.discs });
  bill.part('pilot-bush', 'bush', ['rear']);
  bill.part('flywheel', 'flywheel', ['rear']);
  bill.part('crank-seal', 'crank-seal', ['rear']);
  bill.rule('box', 'battery-first', ['battery']);
  bill.rule('box', 'outside-first', ['linkage', 'propeller-shaft']);
  bill.rule('bearing', 'behind-the-box', ['box']);
  bill.rule('fork', 'behind-the-box', ['box']);
  bill.rule('fork', 'retained', ['bearing']);
  bill.rule('marks', 'behind-the-box', ['box']);
  bill.rule('cover', 'marked-first', ['marks']);
  bill.rule('disc', 'retained', ['cover']);
  bill.rule('pilot-bush', 'way-out', ['disc']);
  bill.rule('flywheel', 'way-out', ['disc']);
  bill.rule('crank-seal', 'way-out', ['flywheel']);
  return bill.plan();
}
