import type { TFunction } from 'i18next';
import type { LaunchEvent } from '../../core/vehicle';
import { formatNumber } from '../shared/numbers';

/** "moves off at 0.1 s, gear 2 comes in at 7.5 s". */
export const eventList = (t: TFunction, events: readonly LaunchEvent[]): string =>
  events
    .map(({ kind, gear, time }) =>
      t('launch.at', {
        what: t(`launch.events.${kind}`, { gear }),
        seconds: formatNumber(time, 1),
      }),
    )
    .join(', ');
