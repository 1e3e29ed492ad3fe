import { ValueSlider } from '../shared/ValueSlider';
import { Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { faultsOn, PLAN_FAULTS, type HydraulicPlan, type PlanFault } from '../../core/hydraulics';
import { formatNumber, formatShare } from '../shared/numbers';
import { partName } from './oilWords';

/** One thing that is wrong in the oil, and how far it has gone. */
export function PlanFaultPicker({
  plan,
  fault,
  onFault,
}: {
  plan: HydraulicPlan;
  fault: PlanFault | null;
  onFault: (fault: PlanFault | null) => void;
}) {
  const { t } = useTranslation();
  const keyOf = (f: PlanFault) => `${f.part}=${f.kind}`;
  const groups = plan.parts
    .map((part) => ({ part, kinds: faultsOn(part) }))
    .filter((g) => g.kinds.length > 0);
  const spec = fault && PLAN_FAULTS[fault.kind];
  return (
    <>
      <Select<string>
        aria-label={t('breakIt.label')}
        showSearch={{ optionFilterProp: 'label' }}
        value={fault ? keyOf(fault) : ''}
        listHeight={400}
        virtual={false}
        popupMatchSelectWidth={340}
        onChange={(key) => {
          const [part, kind] = key.split('=');
          onFault(part && kind ? { part, kind: kind as PlanFault['kind'] } : null);
        }}
        options={[
          { value: '', label: t('breakIt.sound') },
          ...groups.map(({ part, kinds }) => ({
            label: partName(t, part, plan),
            options: kinds.map((kind) => ({
              value: keyOf({ part: part.id, kind }),
              label: t('oil.faultOf', {
                of: partName(t, part, plan),
                kind: t(`oil.faults.${kind}`),
              }),
            })),
          })),
        ]}
      />
      {fault && spec && spec.measure !== 'none' && (
        <label className="small-slider">
          <span>
            {t('faults.howFar')}{' '}
            <strong>
              {spec.measure === 'share'
                ? formatShare(fault.amount ?? spec.usual)
                : t('oil.times', { times: formatNumber(fault.amount ?? spec.usual, 1) })}
            </strong>
          </span>
          <ValueSlider
            min={spec.limits[0]}
            max={spec.limits[1]}
            step={spec.measure === 'share' ? 0.01 : 0.1}
            value={fault.amount ?? spec.usual}
            onValue={(amount) => onFault({ ...fault, amount })}
            label={t('faults.howFar')}
          />
        </label>
      )}
    </>
  );
}
