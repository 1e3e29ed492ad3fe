import { useTranslation } from 'react-i18next';
import type { PartOf } from '../../core/hydraulics';
import { SmallSlider } from '../bench/SmallSlider';
import { formatShare, useNumbers } from '../shared/numbers';
import { cableText } from './oilWords';
import { ShareSlider, type SettingProps } from './ShareSlider';

interface Props extends SettingProps {
  readonly valve: PartOf<'throttle-valve'>;
}

/** What says how far the throttle is open, set as a shop sets it: its cable, its pin, or what a control unit asks for. */
export function ThrottleSetting(props: Props) {
  const { valve } = props;
  const { by } = valve;
  const { t } = useTranslation();
  switch (by.kind) {
    case 'cable':
      return (
        <SmallSlider
          label={t('oil.settings.cable')}
          text={cableText(t, by.slack)}
          value={by.slack}
          from={-0.5}
          to={0.5}
          step={0.01}
          onValue={(slack) => props.onPart({ ...valve, by: { ...by, slack } })}
        />
      );
    case 'modulator':
      return (
        <ShareSlider
          {...props}
          word={t('oil.settings.pin')}
          part={valve}
          read={(p) => (p.by.kind === 'modulator' ? p.by.spring : undefined)}
          write={(spring) => ({ ...valve, by: { ...by, spring } })}
          limits={[0.6, 1.6]}
        />
      );
    case 'solenoid':
      return <AskedPressures {...props} points={by.points} />;
  }
}

type Points = Extract<PartOf<'throttle-valve'>['by'], { kind: 'solenoid' }>['points'];

/** Pa that a control unit asks for, from a closed throttle to an open one. */
function AskedPressures({ valve, points, onPart }: Props & { readonly points: Points }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return points.map((point, k) => (
    <SmallSlider
      key={k}
      label={t('oil.settings.asked', { throttle: formatShare(k / (points.length - 1)) })}
      text={numbers.quantity(point / 1000, 'pressure')}
      value={point}
      from={0}
      to={900e3}
      step={5e3}
      onValue={(value) => {
        const next = points.map((p, n) => (n === k ? value : p)) as Points;
        onPart({ ...valve, by: { kind: 'solenoid', points: next } });
      }}
    />
  ));
}
