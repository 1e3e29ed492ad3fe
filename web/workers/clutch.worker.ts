import { expose } from 'comlink';
import { compareUpgrades, dutyHeat } from '../../core/clutch';
import { engineModel } from '../../core/converter';
import { engage, repeatStarts, roadSlipTest, slipTest, sweepEngagement } from '../../core/shift';
import type { ClutchWorker, EngagementRequest } from './protocol';

const STEP = 0.0005;
/** A sweep runs many engagements: each a little coarser. */
const SWEEP_STEP = 0.002;

const setupOf = (request: EngagementRequest, step = STEP) => ({
  ...request,
  engine: engineModel(request.engine),
  step,
});

const worker: ClutchWorker = {
  engage: (request) => engage(setupOf(request)),
  inARow: (request, times, wait) =>
    repeatStarts(setupOf(request, SWEEP_STEP), times, wait).map(({ result, peakC, cooled }) => ({
      peakC,
      cooledC: cooled.skinC,
      slipping: result.summary.slipping,
      stalled: result.summary.stalled,
    })),
  slipTest: (request) => slipTest(setupOf(request)),
  roadSlipTest: (request, turnsForWheel) => roadSlipTest(setupOf(request), turnsForWheel),
  async sweep({ request, ...range }, part, onPoint) {
    for (const point of sweepEngagement({ ...range, setup: setupOf(request, SWEEP_STEP) }, part))
      await onPoint(point);
  },
  pack: (pack, duty) => ({ heat: dutyHeat(pack, duty), upgrades: compareUpgrades(pack, duty) }),
};
expose(worker);
