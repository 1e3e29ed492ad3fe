import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { BEARINGS, MEASURED, selectiveChoices, UPGRADES } from '../../../../core/clutch';
import { MOST_JOULES, MOST_TORQUE_NM } from '../../../../core/formats';
import {
  clutchKey,
  HOLD_ASKS,
  isPackQuestion,
  UPGRADE_ASKS,
  type ClutchQuestion,
  type ClutchRig,
} from '../../../../core/lesson';
import { NumberField } from '../../../shared/NumberField';
import { gapText, useNumbers } from '../../../shared/numbers';
import { gearName } from '../../../shared/unitNames';
import { clutchKeyText, clutchPrompt } from './words';
import type { EditorProps } from '../familyEditor';
import { ChoiceField } from '../../../bench/ChoiceField';
import { ModelPicker } from '../../builder/ModelPicker';
import { QuestionFrame } from '../../builder/QuestionFrame';
import { useClutchRig } from '../../builder/useClutchRig';

type Props = EditorProps<'clutch'>;

/** What is asked about a clutch or a pack, and the answer that the model gives at this moment. */
export function ClutchEditor({ question, onQuestion }: Props) {
  const { rig } = useClutchRig(question);
  return (
    <>
      <Pickers question={question} onQuestion={onQuestion} />
      {rig && <Framed question={question} rig={rig} onQuestion={onQuestion} />}
    </>
  );
}

function Framed({ question, rig, onQuestion }: Props & { rig: ClutchRig }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const key = useMemo(() => clutchKey(question, rig), [question, rig]);
  return (
    <QuestionFrame
      prompt={question.prompt}
      worded={clutchPrompt(t, numbers, { ...question, prompt: '' }, rig)}
      onPrompt={(prompt) => onQuestion({ ...question, prompt })}
      fault={key.ok ? null : key.fault}
      answer={key.ok ? clutchKeyText(t, numbers, question, rig, key) : null}
    >
      <Fields question={question} rig={rig} onQuestion={onQuestion} />
    </QuestionFrame>
  );
}

const DRIVEN = ['engine', 'vehicle', 'unit'] as const;
const KIND_OF = {
  clutch: 'fair-sprocket/clutch',
  pack: 'fair-sprocket/clutch-pack',
  engine: 'fair-sprocket/engine',
  vehicle: 'fair-sprocket/vehicle',
  unit: 'fair-sprocket/unit',
} as const;
const LABEL_OF = {
  clutch: 'modelLibrary.clutches.one',
  pack: 'modelLibrary.clutchPacks.one',
  engine: 'modelLibrary.engines.one',
  vehicle: 'modelLibrary.vehicles.one',
  unit: 'modelLibrary.units.one',
} as const;

function Pickers({ question, onQuestion }: Props) {
  const { t } = useTranslation();
  const fields = [
    isPackQuestion(question) ? ('pack' as const) : ('clutch' as const),
    ...DRIVEN.filter((field) => field in question),
  ];
  const named = question as unknown as Readonly<Record<string, string>>;
  return (
    <div className="field-row">
      {fields.map((field) => (
        <ModelPicker
          key={field}
          kind={KIND_OF[field]}
          label={t(LABEL_OF[field])}
          value={named[field] ?? ''}
          onModel={(m) => onQuestion({ ...question, [field]: m.id }, [m])}
        />
      ))}
    </div>
  );
}

interface Of<K extends ClutchQuestion['kind']> {
  question: Extract<ClutchQuestion, { kind: K }>;
  rig: ClutchRig;
  onQuestion: Props['onQuestion'];
}

function Fields(props: Of<ClutchQuestion['kind']>) {
  const { question, rig, onQuestion } = props;
  const { t } = useTranslation();
  switch (question.kind) {
    case 'adjust-order':
      return null;
    case 'set-free-play':
      return (
        <Millimetres
          label={t('clutch.wear')}
          value={question.wear}
          onValue={(wear) => onQuestion({ ...question, wear })}
        />
      );
    case 'noise-test':
      return (
        <>
          {(['first', 'second'] as const).map((which) => (
            <ChoiceField
              key={which}
              label={t(`clutchBlock.${which}`)}
              value={question[which]}
              of={BEARINGS}
              name={(b) => t(`clutch.bearings.${b}`)}
              onValue={(b) => onQuestion({ ...question, [which]: b })}
            />
          ))}
        </>
      );
    case 'will-it-hold':
      return <HoldFields question={question} rig={rig} onQuestion={onQuestion} />;
    case 'draw-start':
      return <StartFields question={question} rig={rig} onQuestion={onQuestion} />;
    case 'choose-selective':
      return <SelectiveFields question={question} rig={rig} onQuestion={onQuestion} />;
    case 'upgrade-limit':
      return <UpgradeFields question={question} rig={rig} onQuestion={onQuestion} />;
  }
}

/** Gear, wear, foot and road of what it has to carry. */
function HoldFields({ question, rig, onQuestion }: Of<'will-it-hold'>) {
  const { t } = useTranslation();
  return (
    <>
      <ChoiceField
        label={t('question.asks')}
        value={question.ask}
        of={HOLD_ASKS}
        name={(v) => t(`clutchBlock.asks.${v}`)}
        onValue={(ask) => onQuestion({ ...question, ask })}
      />
      {question.ask === 'holds' && (
        <>
          <Gear
            rig={rig}
            value={question.range}
            onValue={(range) => onQuestion({ ...question, range })}
          />
          <Millimetres
            label={t('clutch.wear')}
            value={question.wear}
            onValue={(wear) => onQuestion({ ...question, wear })}
          />
        </>
      )}
      <Percent
        label={t('converter.throttle')}
        value={question.throttle}
        onValue={(throttle) => onQuestion({ ...question, throttle })}
      />
      <Percent
        label={t('launch.grade')}
        value={question.grade}
        onValue={(grade) => onQuestion({ ...question, grade })}
      />
      <Percent
        label={t('clutchBlock.oil')}
        value={question.oil}
        onValue={(oil) => onQuestion({ ...question, oil })}
      />
    </>
  );
}

/** Where a start is drawn, and what it may cost. */
function StartFields({ question, rig, onQuestion }: Of<'draw-start'>) {
  const { t } = useTranslation();
  return (
    <>
      <Gear
        rig={rig}
        value={question.range}
        onValue={(range) => onQuestion({ ...question, range })}
      />
      <Percent
        label={t('launch.grade')}
        value={question.grade}
        onValue={(grade) => onQuestion({ ...question, grade })}
      />
      <NumberField
        label={t('clutch.brakeUntil')}
        unit="s"
        step={0.1}
        value={question.brakeUntil}
        within={[0, 10]}
        onValue={(brakeUntil) => onQuestion({ ...question, brakeUntil })}
      />
      <NumberField
        label={t('clutchBlock.heat')}
        quantity="energy"
        per={0.001}
        value={question.heat}
        within={[1, MOST_JOULES]}
        onValue={(heat) => onQuestion({ ...question, heat })}
      />
    </>
  );
}

/** How the clearance was measured, and what is fitted now. */
function SelectiveFields({ question, rig, onQuestion }: Of<'choose-selective'>) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <>
      <ChoiceField
        label={t('clutchBlock.measured')}
        value={question.measured ?? 'maker'}
        of={['maker', ...MEASURED] as const}
        name={(v) => t(`pack.ways.${v}`)}
        onValue={(v) => {
          const { measured, ...rest } = question;
          onQuestion(v === 'maker' ? rest : { ...rest, measured: v });
        }}
      />
      <ChoiceField
        label={t('clutchBlock.fitted')}
        value={String(question.fitted)}
        of={['0', ...(rig.pack ? selectiveChoices(rig.pack) : []).map((c) => String(c.thickness))]}
        name={(v) => (v === '0' ? t('clutchBlock.asItIs') : gapText(numbers, Number(v)))}
        onValue={(v) => onQuestion({ ...question, fitted: Number(v) })}
      />
    </>
  );
}

/** Which change, and what it has to stand. */
function UpgradeFields({ question, onQuestion }: Of<'upgrade-limit'>) {
  const { t } = useTranslation();
  return (
    <>
      <ChoiceField
        label={t('question.asks')}
        value={question.ask}
        of={UPGRADE_ASKS}
        name={(v) => t(`clutchBlock.asks.${v}`)}
        onValue={(ask) => onQuestion({ ...question, ask })}
      />
      <ChoiceField
        label={t('pack.upgrade')}
        value={question.upgrade}
        of={UPGRADES}
        name={(v) => t(`pack.upgrades.${v}`)}
        onValue={(upgrade) => onQuestion({ ...question, upgrade })}
      />
      {question.ask === 'limit' ? (
        <NumberField
          label={t('pack.energy')}
          quantity="energy"
          per={0.001}
          value={question.duty.joules}
          within={[1, MOST_JOULES]}
          onValue={(joules) => onQuestion({ ...question, duty: { ...question.duty, joules } })}
        />
      ) : (
        <NumberField
          label={t('clutchBlock.load')}
          quantity="torque"
          step={10}
          value={question.load}
          within={[0, MOST_TORQUE_NM]}
          onValue={(load) => onQuestion({ ...question, load })}
        />
      )}
    </>
  );
}

function Percent(props: { label: string; value: number; onValue: (share: number) => void }) {
  return (
    <NumberField
      label={props.label}
      unit="%"
      per={100}
      value={props.value}
      within={[0, 1]}
      onValue={props.onValue}
    />
  );
}

function Millimetres(props: { label: string; value: number; onValue: (metres: number) => void }) {
  return (
    <NumberField
      label={props.label}
      quantity="length"
      step={0.1}
      per={1000}
      value={props.value}
      within={[0, 0.05]}
      onValue={props.onValue}
    />
  );
}

interface GearProps {
  rig: ClutchRig;
  value: string;
  onValue: (range: string) => void;
}

function Gear({ rig, value, onValue }: GearProps) {
  const { t } = useTranslation();
  const ranges = rig.unit?.ranges ?? [];
  return (
    <ChoiceField
      label={t('clutch.gear')}
      value={value}
      of={ranges.map((r) => r.id)}
      name={(id) => {
        const range = ranges.find((r) => r.id === id);
        return range ? gearName(range) : id;
      }}
      onValue={onValue}
    />
  );
}
