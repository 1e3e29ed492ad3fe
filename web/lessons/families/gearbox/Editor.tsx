import { Select } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  gearboxKey,
  newGearboxQuestion,
  upshifts,
  type DrawCrossingQuestion,
  type GearboxQuestion,
  type GearboxRig,
  type TwoGearsQuestion,
  type WhichSideQuestion,
} from '../../../../core/lesson';
import { isSleeveSide, type Unit } from '../../../../core/geartrain';
import { forwardSides, WORN_LIMITS, WORN_PARTS } from '../../../../core/shift';
import { SpeedPad } from '../../../apply/SpeedPad';
import { ChoiceField } from '../../../bench/ChoiceField';
import { NumberField } from '../../../shared/NumberField';
import { rangeName } from '../../../shared/unitNames';
import { AboutModel } from '../../builder/AboutModel';
import { VehicleField } from '../../builder/VehicleField';
import { ModelPicker } from '../../builder/ModelPicker';
import { QuestionFrame } from '../../builder/QuestionFrame';
import { useLessonModels } from '../../builder/useLessonModels';
import type { EditorProps } from '../familyEditor';
import { gearboxKeyText, gearboxPrompt, gearOfSide, sideName } from './words';
import './Stage.css';

type Props = EditorProps<'gearbox'>;

/** What is asked about a gearbox, and the answer that the model gives at this moment. */
export function GearboxEditor({ question, onQuestion }: Props) {
  const { t } = useTranslation();
  const named = { vehicle: '', engine: '', ...question };
  const vehicle = useModel('fair-sprocket/vehicle', named.vehicle);
  const engine = useModel('fair-sprocket/engine', named.engine);
  return (
    <AboutModel<'fair-sprocket/unit', GearboxQuestion>
      kind="fair-sprocket/unit"
      label={t('apply.unit')}
      value={question.unit}
      question={question}
      fresh={(unit) => newGearboxQuestion(question.kind, { unit, vehicle, engine })}
      onQuestion={onQuestion}
    >
      {(unit) => (
        <Framed question={question} rig={{ unit, vehicle, engine }} onQuestion={onQuestion} />
      )}
    </AboutModel>
  );
}

function useModel<K extends 'fair-sprocket/vehicle' | 'fair-sprocket/engine'>(kind: K, id: string) {
  return useLessonModels(kind).models.find((m) => m.id === id) ?? null;
}

interface FieldProps extends Props {
  rig: GearboxRig;
}

function Framed({ question, rig: { unit, vehicle, engine }, onQuestion }: FieldProps) {
  const { t } = useTranslation();
  const rig = useMemo(() => ({ unit, vehicle, engine }), [unit, vehicle, engine]);
  const key = useMemo(() => gearboxKey(question, rig), [question, rig]);
  return (
    <QuestionFrame
      prompt={question.prompt}
      worded={gearboxPrompt(t, { ...question, prompt: '' }, rig)}
      onPrompt={(prompt) => onQuestion({ ...question, prompt })}
      fault={key.ok ? null : key.fault}
      answer={key.ok ? gearboxKeyText(t, question, rig) : null}
    >
      <Fields question={question} rig={rig} onQuestion={onQuestion} />
    </QuestionFrame>
  );
}

function Fields({ question, rig, onQuestion }: FieldProps) {
  switch (question.kind) {
    case 'which-side':
      return <SideFields question={question} unit={rig.unit} onQuestion={onQuestion} />;
    case 'two-gears':
      return <TwoFields question={question} unit={rig.unit} onQuestion={onQuestion} />;
    case 'set-waiting':
      return (
        <>
          <VehicleField
            question={question}
            onVehicle={(v) => onQuestion({ ...question, vehicle: v.id }, [v])}
          />
          <div className="gearbox-pad gearbox-speeds">
            <SpeedPad
              speeds={question.speeds}
              onSpeeds={(speeds) => onQuestion({ ...question, speeds })}
            />
          </div>
        </>
      );
    case 'draw-crossing':
      return <CrossingFields question={question} rig={rig} onQuestion={onQuestion} />;
  }
}

interface OfUnit<Q> {
  question: Q;
  unit: Unit;
  onQuestion: Props['onQuestion'];
}

function SideFields({ question, unit, onQuestion }: OfUnit<WhichSideQuestion>) {
  const { t } = useTranslation();
  const [sound, gone] = WORN_LIMITS[question.part];
  const within = (v: number) => Math.min(Math.max(sound, gone), Math.max(Math.min(sound, gone), v));
  return (
    <>
      <ChoiceField
        label={t('gearboxPrompts.whatIsWorn')}
        value={question.part}
        of={WORN_PARTS}
        name={(p) => t(`gearboxWords.worn.${p}`)}
        onValue={(part) =>
          onQuestion({
            ...question,
            part,
            value: WORN_LIMITS[part][0] + 0.9 * (WORN_LIMITS[part][1] - WORN_LIMITS[part][0]),
          })
        }
      />
      {question.part !== 'clutch' && (
        <ChoiceField
          label={t('gearboxPrompts.whichSide')}
          value={question.side}
          of={forwardSides(unit).map((s) => s.side)}
          name={(s) => `${sideName(t, unit, s)} (${gearOfSide(unit, s)})`}
          onValue={(side) => onQuestion({ ...question, side })}
        />
      )}
      <NumberField
        label={t(`gearboxWords.amount.${question.part}`)}
        value={question.value}
        {...AMOUNTS[question.part]}
        onValue={(value) => onQuestion({ ...question, value: within(value) })}
      />
    </>
  );
}

/** How the amount of wear is typed. */
const AMOUNTS = {
  tips: { quantity: 'length', step: 0.05 },
  ring: { quantity: 'length', step: 0.05 },
  engagement: { step: 0.05 },
  clutch: { quantity: 'torque', step: 1 },
} as const;

function TwoFields({ question, unit, onQuestion }: OfUnit<TwoGearsQuestion>) {
  const { t } = useTranslation();
  const sides = unit.elements.filter(isSleeveSide).map((e) => e.id);
  const at = (k: 0 | 1) => (
    <ChoiceField
      label={t(k === 0 ? 'gearboxWords.firstIn' : 'gearboxWords.secondIn')}
      value={question.sides[k]}
      of={sides}
      name={(s) => `${sideName(t, unit, s)} (${gearOfSide(unit, s)})`}
      onValue={(side) =>
        onQuestion({
          ...question,
          sides: k === 0 ? [side, question.sides[1]] : [question.sides[0], side],
        })
      }
    />
  );
  return (
    <>
      {at(0)}
      {at(1)}
      <label className="field">
        <span className="label">{t('gearboxWords.closedOnes')}</span>
        <Select
          aria-label={t('gearboxWords.closedOnes')}
          mode="multiple"
          style={{ width: 230 }}
          value={question.clutches}
          onChange={(clutches) => onQuestion({ ...question, clutches })}
          options={unit.elements
            .filter((e) => e.kind === 'clutch')
            .map((e) => ({ value: e.id, label: `${e.id} ${e.name}` }))}
        />
      </label>
    </>
  );
}

function CrossingFields({
  question,
  rig: { unit },
  onQuestion,
}: Omit<FieldProps, 'question'> & { question: DrawCrossingQuestion }) {
  const { t } = useTranslation();
  const pairs = upshifts(unit);
  const now = pairs.find((p) => p.from.id === question.from && p.to.id === question.to);
  return (
    <>
      <VehicleField
        question={question}
        onVehicle={(v) => onQuestion({ ...question, vehicle: v.id }, [v])}
      />
      <ModelPicker
        kind="fair-sprocket/engine"
        label={t('converter.engine')}
        value={question.engine}
        onModel={(e) => onQuestion({ ...question, engine: e.id }, [e])}
      />
      <ChoiceField
        label={t('crossing.pair')}
        value={now?.id ?? ''}
        of={pairs.map((p) => p.id)}
        name={(id) => {
          const pair = pairs.find((p) => p.id === id);
          return pair
            ? t('crossing.fromTo', {
                from: rangeName(unit, pair.from.id),
                to: rangeName(unit, pair.to.id),
              })
            : '';
        }}
        onValue={(id) => {
          const pair = pairs.find((p) => p.id === id);
          if (pair) onQuestion({ ...question, from: pair.from.id, to: pair.to.id });
        }}
      />
      <NumberField
        label={t('gearboxWords.mostDip')}
        unit="%"
        per={100}
        value={question.dip}
        within={[0, 1]}
        step={1}
        onValue={(dip) => onQuestion({ ...question, dip })}
      />
      <NumberField
        label={t('gearboxWords.mostFlare')}
        quantity="speed"
        value={question.flare}
        step={10}
        within={[0, 2000]}
        onValue={(flare) => onQuestion({ ...question, flare })}
      />
    </>
  );
}
