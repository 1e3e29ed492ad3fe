import { ValueSlider } from '../shared/ValueSlider';
import { Checkbox, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { CLUTCH_FAULTS, faultFits, type Clutch, type ClutchFault } from '../../core/clutch';
import type { ClutchSetting } from './useClutchModel';
import { useGapText } from '../shared/useGapText';

export interface ClutchAllows {
  readonly wear: boolean;
  readonly adjust: boolean;
  readonly fault: boolean;
}

interface Props {
  clutch: Clutch;
  setting: ClutchSetting;
  allow: ClutchAllows;
  onSetting: (change: Partial<ClutchSetting>) => void;
}

/** Wear, the two adjustments, and what is wrong with it. */
export function ClutchControls({ clutch, setting, allow, onSetting }: Props) {
  const { t } = useTranslation();
  const gapText = useGapText();
  const life = clutch.disc.newThickness - clutch.disc.wornThickness;
  return (
    <>
      {allow.wear && (
        <label className="bench-slider">
          <span>
            {t('clutch.wear')} <strong>{gapText(setting.wear)}</strong>{' '}
            <span className="quiet">
              {t('clutch.thickness', {
                thickness: gapText(clutch.disc.newThickness - setting.wear),
              })}
            </span>
          </span>
          <ValueSlider
            min={0}
            max={1.2 * life}
            step={life / 48}
            marks={{ [life]: '' }}
            value={setting.wear}
            onValue={(wear) => onSetting({ wear })}
            label={t('clutch.wear')}
            text={gapText(setting.wear)}
          />
        </label>
      )}
      {allow.wear && (
        <Checkbox
          checked={setting.adjusted}
          onChange={(e) => onSetting({ adjusted: e.target.checked })}
        >
          {t('clutch.keepAdjusted')}
        </Checkbox>
      )}
      {allow.adjust && (
        <label className="bench-slider">
          <span>
            {t('clutch.forkRod')}{' '}
            <strong>{signed(gapText(setting.forkRod), setting.forkRod)}</strong>
          </span>
          <ValueSlider
            min={-0.008}
            max={0.012}
            step={0.0001}
            value={setting.forkRod}
            onValue={(forkRod) => onSetting({ forkRod })}
            label={t('clutch.forkRod')}
            text={gapText(setting.forkRod)}
          />
        </label>
      )}
      {allow.adjust && clutch.linkage.overCentre && (
        <label className="bench-slider">
          <span>
            {t('clutch.turnbuckle')}{' '}
            <strong>{signed(gapText(setting.turnbuckle), setting.turnbuckle)}</strong>
          </span>
          <ValueSlider
            min={-0.02}
            max={0.03}
            step={0.0005}
            value={setting.turnbuckle}
            onValue={(turnbuckle) => onSetting({ turnbuckle })}
            label={t('clutch.turnbuckle')}
            text={gapText(setting.turnbuckle)}
          />
        </label>
      )}
      {allow.fault && (
        <label className="bench-fault">
          <span className="label">{t('clutch.fault')}</span>
          <Select<ClutchFault | 'none'>
            aria-label={t('clutch.fault')}
            value={setting.fault ?? 'none'}
            listHeight={420}
            onChange={(v) => onSetting({ fault: v === 'none' ? null : v })}
            options={[
              { value: 'none', label: t('clutch.faults.none') },
              ...CLUTCH_FAULTS.filter((f) => faultFits(clutch, f)).map((f) => ({
                value: f,
                label: t(`clutch.faults.${f}`),
              })),
            ]}
          />
        </label>
      )}
    </>
  );
}

const signed = (text: string, value: number): string => (value > 0 ? `+${text}` : text);
