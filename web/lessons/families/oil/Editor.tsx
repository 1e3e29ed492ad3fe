import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  ballsOf,
  gaugesOf,
  gearsFor,
  newOilQuestion,
  type OilQuestion,
  oilKey,
  SETTING_LIMITS,
  SHIFT_SETTINGS,
  tellingBall,
  type OilGauge,
  type OilRig,
} from '../../../../core/lesson';
import { partsOf } from '../../../../core/hydraulics';
import { SmallSlider } from '../../../bench/SmallSlider';
import { ChoiceField } from '../../../bench/ChoiceField';
import { NumberField } from '../../../shared/NumberField';
import { formatShare, useNumbers } from '../../../shared/numbers';
import { PlanFaultPicker } from '../../../shift/PlanFaultPicker';
import { VehicleField } from '../../builder/VehicleField';
import { ModelPicker } from '../../builder/ModelPicker';
import { QuestionFrame } from '../../builder/QuestionFrame';
import { Within } from '../../builder/Within';
import { useLessonModels } from '../../builder/useLessonModels';
import type { EditorProps } from '../familyEditor';
import { BodyFields } from './BodyFields';
import { ballName, gaugeName, oilKeyText, oilPrompt, settingValue } from './words';

type Props = EditorProps<'oil'>;

/** What a shift has to keep within, as it is typed. */
const LIMITS = [
  { key: 'jerk', per: 1, unit: 'm/s³', most: 1000 },
  { key: 'flare', per: 1, unit: 'rev/min', most: 10_000 },
  { key: 'dip', per: 100, unit: '%', most: 1 },
  { key: 'kelvin', per: 1, quantity: 'temperature-rise', most: 1000 },
] as const;

/** What is asked about a plan, and the answer that it gives at this moment. */
export function OilEditor({ question, onQuestion }: Props) {
  const { t } = useTranslation();
  const { models: plans } = useLessonModels('fair-sprocket/hydraulics');
  const { models: units } = useLessonModels('fair-sprocket/unit');
  const plan = plans.find((p) => p.id === question.hydraulics);
  const { models: vehicles } = useLessonModels('fair-sprocket/vehicle');
  const unit = units.find((u) => u.id === question.unit);
  const named = 'vehicle' in question ? question.vehicle : '';
  const vehicle = vehicles.find((v) => v.id === named) ?? null;
  const rig = useMemo(() => (plan && unit ? { plan, unit, vehicle } : null), [plan, unit, vehicle]);
  return (
    <>
      <ModelPicker
        kind="fair-sprocket/hydraulics"
        label={t('modelLibrary.hydraulics.one')}
        value={question.hydraulics}
        onModel={(next) => {
          const fed = units.find((u) => u.id === next.unit);
          if (!fed) return;
          const fresh =
            next.id === question.hydraulics
              ? question
              : {
                  ...newOilQuestion(question.kind, { plan: next, unit: fed, vehicle }),
                  prompt: question.prompt,
                };
          onQuestion(fresh, [next, fed]);
        }}
      />
      {rig && <Framed question={question} rig={rig} onQuestion={onQuestion} />}
    </>
  );
}

interface FieldProps extends Props {
  rig: OilRig;
}

function Framed({ question, rig, onQuestion }: FieldProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const key = useMemo(() => oilKey(question, rig), [question, rig]);
  return (
    <QuestionFrame
      prompt={question.prompt}
      worded={oilPrompt(t, numbers, { ...question, prompt: '' }, rig)}
      onPrompt={(prompt) => onQuestion({ ...question, prompt })}
      fault={key.ok ? null : key.fault}
      answer={key.ok ? oilKeyText(t, question, rig) : null}
    >
      <Fields question={question} rig={rig} onQuestion={onQuestion} />
    </QuestionFrame>
  );
}

function Fields({ question, rig, onQuestion }: FieldProps) {
  const { t } = useTranslation();
  const { forward } = gearsFor(rig);
  const levers = partsOf(rig.plan, 'manual-valve').flatMap((v) => v.places.map((p) => p.lever));
  return (
    <>
      {'lever' in question && (
        <ChoiceField
          label={t('oil.lever')}
          value={question.lever}
          of={levers}
          onValue={(lever) => onQuestion({ ...question, lever })}
        />
      )}
      {'gear' in question && (
        <ChoiceField
          label={t('oilPrompts.lowerGear')}
          value={String(question.gear)}
          of={forward.map((_f, k) => String(k + 1))}
          onValue={(gear) => onQuestion({ ...question, gear: Number(gear) })}
        />
      )}
      {'throttle' in question && (
        <SmallSlider
          label={t('oil.throttle')}
          text={formatShare(question.throttle)}
          value={question.throttle}
          from={0}
          to={1}
          step={0.05}
          onValue={(throttle) => onQuestion({ ...question, throttle })}
        />
      )}
      {question.kind === 'bolt-order' && <BodyFields question={question} onQuestion={onQuestion} />}
      {'outputRpm' in question && (
        <NumberField
          label={t('oil.outputSpeed')}
          quantity="speed"
          step={50}
          value={question.outputRpm}
          onValue={(v) => onQuestion({ ...question, outputRpm: Math.min(20_000, Math.max(0, v)) })}
        />
      )}
      {question.kind === 'trace-oil' && (
        <ChoiceField
          label={t('oilPrompts.whichElement')}
          value={question.element}
          of={partsOf(rig.plan, 'piston').map((p) => p.element)}
          onValue={(element) => onQuestion({ ...question, element })}
        />
      )}
      {question.kind === 'which-ball' && (
        <BallFields question={question} rig={rig} onQuestion={onQuestion} />
      )}
      {'jerk' in question && <ShiftFields question={question} onQuestion={onQuestion} />}
      {question.kind === 'shift-speed' && (
        <PlanFaultPicker
          plan={rig.plan}
          fault={question.fault}
          onFault={(fault) => onQuestion({ ...question, fault })}
        />
      )}
      {question.kind === 'oil-fault-row' && (
        <PlanFaultPicker
          plan={rig.plan}
          fault={question.fault}
          onFault={(fault) => fault && onQuestion({ ...question, fault })}
        />
      )}
      {'tolerance' in question && (
        <Within
          tolerance={question.tolerance}
          onTolerance={(tolerance) => onQuestion({ ...question, tolerance })}
        />
      )}
    </>
  );
}

type Ball = Extract<OilQuestion, { kind: 'which-ball' }>;

/** Which ball is missing, and which two gauges tell. */
function BallFields({ question, rig, onQuestion }: FieldProps & { question: Ball }) {
  const { t } = useTranslation();
  return (
    <>
      <ChoiceField
        label={t('oilPrompts.ball')}
        value={question.ball}
        of={ballsOf(rig)}
        name={(id) => ballName(t, rig, id)}
        onValue={(ball) =>
          onQuestion({
            ...question,
            ...(tellingBall(rig, question.throttle, [ball], gaugesOf(rig)) ?? { ball }),
          })
        }
      />
      {question.gauges.map((gauge, k) => (
        <ChoiceField
          key={k}
          label={t('oilPrompts.gaugeNo', { n: k + 1 })}
          value={JSON.stringify(gauge)}
          of={gaugesOf(rig).map((g) => JSON.stringify(g))}
          name={(text) => gaugeName(rig, JSON.parse(text) as OilGauge)}
          onValue={(text) => {
            const next = JSON.parse(text) as OilGauge;
            const [first, second] = question.gauges;
            onQuestion({ ...question, gauges: k === 0 ? [next, second] : [first, next] });
          }}
        />
      ))}
    </>
  );
}

type TimedShift = Extract<OilQuestion, { jerk: number }>;

/** What the shift is driven in, and how it may be felt. */
function ShiftFields({ question, onQuestion }: Omit<FieldProps, 'rig'> & { question: TimedShift }) {
  const { t } = useTranslation();
  return (
    <>
      <VehicleField
        question={question}
        onVehicle={(v) => onQuestion({ ...question, vehicle: v.id }, [v])}
      />
      {question.kind === 'set-shift' &&
        SHIFT_SETTINGS.map((key) => (
          <SmallSlider
            key={key}
            label={t(`oilWords.settings.${key}`)}
            text={settingValue(t, key, question.found[key])}
            value={question.found[key]}
            from={SETTING_LIMITS[key][0]}
            to={SETTING_LIMITS[key][1]}
            step={0.01}
            onValue={(v) => onQuestion({ ...question, found: { ...question.found, [key]: v } })}
          />
        ))}
      {LIMITS.map(({ key, per, most, ...sign }) => (
        <NumberField
          key={key}
          label={t(`oilPrompts.limits.${key}`)}
          {...sign}
          per={per}
          step={per === 100 ? 5 : 1}
          value={question[key]}
          within={[key === 'dip' ? -1 : 0, most]}
          onValue={(v) => onQuestion({ ...question, [key]: v })}
        />
      ))}
    </>
  );
}
