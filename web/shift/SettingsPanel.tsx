import { Switch } from 'antd';
import { useTranslation } from 'react-i18next';
import { partsOf, withPart, type HydraulicPlan, type PartOf } from '../../core/hydraulics';
import { SmallSlider } from '../bench/SmallSlider';
import { formatNumber } from '../shared/numbers';
import { pairOf } from './shiftPair';
import type { ShiftBenchProps } from './shiftBenchProps';
import { ThrottleSetting } from './ThrottleSetting';
import { ShareSlider, type SettingProps } from './ShareSlider';

/** What can be turned, swapped or learned: each against the plan as it was made. */
export function SettingsPanel({ unit, bench, plan, base, oil, onBench }: ShiftBenchProps) {
  const { t } = useTranslation();
  const { coming, going } = pairOf(unit, plan, oil.gears, bench.gear);
  const [valve] = partsOf(plan, 'throttle-valve');
  const [regulator] = partsOf(plan, 'regulator');
  const setting: SettingProps = { base, onPart: (part) => onBench({ plan: withPart(plan, part) }) };
  return (
    <details className="shift-built" open>
      <summary>{t('oil.settings.title')}</summary>
      <div className="shift-built-fields">
        {valve && <ThrottleSetting {...setting} valve={valve} />}
        {regulator && (
          <ShareSlider
            {...setting}
            word={t('oil.settings.regulator')}
            part={regulator}
            read={(p) => p.spring}
            write={(spring) => ({ ...regulator, spring })}
            limits={[0.5, 1.8]}
          />
        )}
        {coming.map((element) => (
          <Comes key={element} {...setting} plan={plan} element={element} />
        ))}
        {going.map((element) => (
          <Goes key={element} {...setting} plan={plan} element={element} />
        ))}
      </div>
    </details>
  );
}

interface ElementProps extends SettingProps {
  readonly plan: HydraulicPlan;
  readonly element: string;
}

/** What stands before an element's piston. */
function before(plan: HydraulicPlan, element: string) {
  const piston = partsOf(plan, 'piston').find((p) => p.element === element);
  return {
    piston,
    feed: partsOf(plan, 'feed').find((f) => f.to === piston?.line),
    accumulator: partsOf(plan, 'accumulator').find((a) => a.line === piston?.line),
  };
}

/** How an element fills that takes hold in this shift. */
function Comes({ plan, element, ...setting }: ElementProps) {
  const { t } = useTranslation();
  const { piston, feed, accumulator } = before(plan, element);
  const [control] = partsOf(plan, 'control');
  return (
    <div className="shift-built-fields">
      <span className="label">{t('oil.settings.comes', { element })}</span>
      {feed && (
        <ShareSlider
          {...setting}
          word={t('oil.settings.orifice')}
          part={feed}
          read={(p) => p.in}
          write={(value) => ({ ...feed, in: value })}
          limits={[0.2, 4]}
        />
      )}
      {accumulator && <AccumulatorSetting {...setting} accumulator={accumulator} />}
      {piston && <CushionSwitch {...setting} piston={piston} />}
      {control && <LearnedSetting {...setting} control={control} element={element} />}
    </div>
  );
}

/** How an element empties that lets go in it. */
function Goes({ plan, element, ...setting }: ElementProps) {
  const { t } = useTranslation();
  const { feed } = before(plan, element);
  if (!feed) return null;
  return (
    <div className="shift-built-fields">
      <span className="label">{t('oil.settings.goes', { element })}</span>
      <ShareSlider
        {...setting}
        word={t('oil.settings.overlap')}
        part={feed}
        read={(p) => p.out}
        write={(value) => ({ ...feed, out: value })}
        limits={[0.2, 4]}
      />
    </div>
  );
}

interface AccumulatorProps extends SettingProps {
  readonly accumulator: PartOf<'accumulator'>;
}

function AccumulatorSetting({ accumulator, ...setting }: AccumulatorProps) {
  const { t } = useTranslation();
  const { back, springEnd, spring } = accumulator;
  return (
    <>
      <ShareSlider
        {...setting}
        word={t('oil.settings.accumulator')}
        part={accumulator}
        read={(p) => p.springEnd}
        // A stronger spring is stronger at both ends of its way.
        write={(end) => ({ ...accumulator, springEnd: end, spring: (spring * end) / springEnd })}
        limits={[0.3, 2]}
      />
      {back && (
        <ShareSlider
          {...setting}
          word={t('oil.settings.back')}
          part={accumulator}
          read={(p) => p.back?.area}
          write={(area) => ({ ...accumulator, back: { ...back, area } })}
          limits={[0, 2]}
        />
      )}
    </>
  );
}

function CushionSwitch({
  piston,
  base,
  onPart,
}: SettingProps & { readonly piston: PartOf<'piston'> }) {
  const { t } = useTranslation();
  const made = partsOf(base, 'piston').find((p) => p.id === piston.id)?.cushion ?? 0;
  return (
    <label className="row">
      <Switch
        size="small"
        checked={piston.cushion > 0}
        onChange={(on) => onPart({ ...piston, cushion: on ? made : 0 })}
      />
      {t('oil.settings.cushion')}
    </label>
  );
}

interface LearnedProps extends SettingProps {
  readonly control: PartOf<'control'>;
  readonly element: string;
}

/** How long before a control unit lets an element fill; none where it has learned nothing of it. */
function LearnedSetting({ control, element, onPart }: LearnedProps) {
  const { t } = useTranslation();
  const own = control.learned.find((l) => l.element === element);
  if (!own) return null;
  return (
    <SmallSlider
      label={t('oil.settings.learned')}
      text={t('oil.seconds', { seconds: formatNumber(own.seconds, 2) })}
      value={own.seconds}
      from={0}
      to={1}
      step={0.01}
      onValue={(seconds) =>
        onPart({
          ...control,
          learned: control.learned.map((l) => (l === own ? { ...l, seconds } : l)),
        })
      }
    />
  );
}
