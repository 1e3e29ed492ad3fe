import { Button, Segmented, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { CLUTCH_FAULTS, faultFits, type ClutchFault } from '../../core/clutch';
import { CautionBox } from '../bench/CautionBox';
import { AdjustTest } from './AdjustTest';
import type { ClutchBenchState } from './clutchSlice';
import { DragTestCard } from './DragTestCard';
import { NoiseTestCard } from './NoiseTestCard';
import { SlipTestCard } from './SlipTestCard';
import { stateOf } from './useClutchModel';
import type { DriveRig } from './useDriveRig';
import { useKept } from '../shared/kept';
import './ShopTests.css';

const TESTS = ['slip', 'road', 'drag', 'noise', 'adjust'] as const;
type ShopTest = (typeof TESTS)[number];

interface Props {
  rig: DriveRig | null;
  bench: ClutchBenchState;
  onBench: (change: Partial<ClutchBenchState>) => void;
}

/** The shop's tests done on the model: each reading comes from the computation. */
export function ShopTestsPanel({ rig, bench, onBench }: Props) {
  const { t } = useTranslation();
  const [test, setTest] = useKept<ShopTest>('ShopTestsPanel test', 'slip');
  const [hidden, setHidden] = useKept<ClutchFault | 'none' | null>('ShopTestsPanel hidden', null);
  const [said, setSaid] = useKept('ShopTestsPanel said', false);
  if (!rig) return <p className="quiet">{t('clutch.noRig')}</p>;
  const faults = CLUTCH_FAULTS.filter((f) => faultFits(rig.clutch, f));
  const fault = hidden === null ? bench.fault : hidden === 'none' ? null : hidden;
  const state = stateOf(rig.clutch, { ...bench, fault });
  const key = `${test} ${rig.clutch.id} ${fault} ${hidden}`;
  const name = (f: ClutchFault | 'none') => t(`clutch.faults.${f}`);
  const choose = (next: ClutchFault | 'none' | 'unknown') => {
    setSaid(false);
    if (next === 'unknown') setHidden(drawn(['none', ...faults]));
    else {
      setHidden(null);
      onBench({ fault: next === 'none' ? null : next });
    }
  };
  return (
    <div className="shop-tests">
      <div className="bench-row">
        <Segmented<ShopTest>
          size="small"
          aria-label={t('clutch.tests.which')}
          value={test}
          onChange={setTest}
          options={TESTS.map((v) => ({ value: v, label: t(`clutch.tests.${v}`) }))}
        />
        <Select<ClutchFault | 'none' | 'unknown'>
          aria-label={t('clutch.tests.onStand')}
          style={{ width: 260 }}
          value={hidden === null ? (bench.fault ?? 'none') : 'unknown'}
          listHeight={420}
          onChange={choose}
          options={[
            { value: 'unknown', label: t('clutch.tests.unknown') },
            { value: 'none', label: name('none') },
            ...faults.map((f) => ({ value: f, label: name(f) })),
          ]}
        />
        {hidden !== null && !said && (
          <Button size="small" onClick={() => setSaid(true)}>
            {t('clutch.tests.show')}
          </Button>
        )}
        {hidden !== null && said && (
          <strong role="status">{t('clutch.tests.was', { what: name(hidden) })}</strong>
        )}
      </div>
      <div className="shop-test">
        <div className="shop-test-done">
          {test === 'slip' && <SlipTestCard key={key} kind="slip" rig={{ ...rig, state }} />}
          {test === 'road' && <SlipTestCard key={key} kind="road" rig={{ ...rig, state }} />}
          {test === 'drag' && <DragTestCard key={key} clutch={rig.clutch} state={state} />}
          {test === 'noise' && (
            <NoiseTestCard
              key={key}
              clutch={rig.clutch}
              state={state}
              engineRpm={rig.engine.idleRpm}
            />
          )}
          {test === 'adjust' && <AdjustTest key={rig.clutch.id} clutch={rig.clutch} />}
        </div>
        <CautionBox block={{ id: test, kind: 'caution', topic: TOPICS[test], markdown: '' }} />
      </div>
    </div>
  );
}

const TOPICS = {
  slip: 'stall-test',
  road: 'stall-test',
  drag: 'rotating',
  noise: 'rotating',
  adjust: 'lifting',
} as const;

const drawn = <T,>(list: readonly T[]): T =>
  list[crypto.getRandomValues(new Uint32Array(1))[0]! % list.length]!;
