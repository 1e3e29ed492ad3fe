import { Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Unit } from '../../core/geartrain';
import { gearName } from '../shared/unitNames';
import type { Controls, DeskWork } from './work';

interface Props {
  unit: Unit | null;
  /** There is a clutch pedal. */
  manual: boolean;
  work: DeskWork;
  onWork: (change: Partial<DeskWork>) => void;
}

/** The seat: engine, lever, throttle and pedal. How they stand decides what can be tried. */
export function ControlsPanel({ unit, manual, work, onWork }: Props) {
  const { t } = useTranslation();
  const { controls } = work;
  const set = (change: Partial<Controls>) =>
    onWork({ controls: { ...controls, ...change }, place: 'seat' });
  return (
    <div className="controls" role="group" aria-label={t('desk.controls')}>
      <span className="label">{t('desk.controls')}</span>
      <Row label={t('desk.engine')}>
        <Segmented
          aria-label={t('desk.engine')}
          size="small"
          value={controls.engine}
          onChange={(engine) => set({ engine })}
          options={(['off', 'runs'] as const).map((v) => ({
            value: v,
            label: t(`desk.engineIs.${v}`),
          }))}
        />
      </Row>
      <Row label={t('desk.throttle')}>
        <Segmented
          aria-label={t('desk.throttle')}
          size="small"
          value={controls.throttle}
          disabled={controls.engine === 'off'}
          onChange={(throttle) => set({ throttle })}
          options={(['closed', 'light', 'full'] as const).map((v) => ({
            value: v,
            label: t(`desk.throttleIs.${v}`),
          }))}
        />
      </Row>
      {manual && (
        <Row label={t('desk.pedal')}>
          <Segmented
            aria-label={t('desk.pedal')}
            size="small"
            value={controls.pedal}
            onChange={(pedal) => set({ pedal })}
            options={(['up', 'touch', 'down'] as const).map((v) => ({
              value: v,
              label: t(`desk.pedalIs.${v}`),
            }))}
          />
        </Row>
      )}
      {unit && (
        <Row label={t('desk.lever')}>
          <div className="gears" role="group" aria-label={t('desk.lever')}>
            {unit.ranges.map((r) => (
              <button
                key={r.id}
                type="button"
                aria-pressed={controls.range === r.id}
                onClick={() => set({ range: controls.range === r.id ? null : r.id })}
              >
                {gearName(r)}
              </button>
            ))}
          </div>
        </Row>
      )}
    </div>
  );
}

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="controls-row">
      <span className="label">{label}</span>
      {children}
    </div>
  );
}
