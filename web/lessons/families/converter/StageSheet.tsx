import type { TFunction } from 'i18next';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  characteristicOf,
  engineModel,
  matchEngine,
  resized,
  atAltitude,
  weakened,
} from '../../../../core/converter';
import {
  SKETCH_AT,
  type ConverterAnswer,
  type ConverterKey,
  type ConverterQuestion,
  type ConverterRig,
  type PredictChangeQuestion,
} from '../../../../core/lesson';
import { ConverterCurves } from '../../../converter/ConverterCurves';
import { ConverterDrawing } from '../../../converter/ConverterDrawing';
import { drawnMode } from '../../../converter/wheelRoles';
import { MatchCurves } from '../../../converter/MatchCurves';
import { useConverterModel } from '../../../converter/useConverterModel';
import { Sheet } from '../../../shared/Sheet';
import { formatNumber } from '../../../shared/numbers';
import { eventText } from './words';
import type { ConverterDraft } from './draft';
import { OrderSheet } from '../../player/OrderSheet';
import { SketchPad } from './SketchPad';
import './StageSheet.css';

interface Props {
  question: ConverterQuestion;
  rig: ConverterRig;
  /** `null` where the question can't be asked. */
  keyNow: ConverterKey | null;
  draft: ConverterDraft;
  /** What was committed. */
  answer: ConverterAnswer | undefined;
  onDraft: (change: Partial<ConverterDraft>) => void;
}

/** The sheet of a question about a converter: what is operated, read, drawn or put in order. */
export function ConverterStageSheet(props: Props) {
  const { t } = useTranslation();
  const { question, rig, keyNow, draft, answer, onDraft } = props;
  switch (question.kind) {
    case 'operate':
      return <Operated rig={rig} setting={answer?.kind === 'operate' ? answer : draft.setting} />;
    case 'sketch-curve': {
      const values = answer?.kind === 'sketch-curve' ? answer.values : draft.values;
      return (
        <Sheet label={t('sketch.sheet')}>
          <SketchPad
            curve={question.curve}
            values={values.length === SKETCH_AT.length ? values : SKETCH_AT.map(() => 0)}
            onValues={answer ? undefined : (next) => onDraft({ values: next, touched: true })}
            truth={answer && keyNow?.kind === 'sketch-curve' ? keyNow.at : null}
          />
        </Sheet>
      );
    }
    case 'read-match':
      return (
        <MatchSheet
          rig={rig}
          throttle={question.throttle}
          turbineRpm={question.ask === 'stall-speed' ? 0 : question.turbineRpm}
          curve={question.ask === 'coupling-ratio'}
          sealed={!answer}
        />
      );
    case 'predict-change':
      if (question.of !== 'stall-speed')
        return <ChangedCurves question={question} rig={rig} revealed={answer !== undefined} />;
      return (
        <MatchSheet
          rig={answer ? changedRig(question, rig) : rig}
          throttle={1}
          turbineRpm={0}
          curve={false}
          sealed={false}
          fault={answer && question.change.kind === 'stator' ? question.change.fault : null}
        />
      );
    case 'launch-order':
      return (
        <OrderSheet
          order={answer?.kind === 'launch-order' ? answer.order : draft.order}
          nameOf={(id) => eventText(t, id)}
          how={t('order.how')}
          told={answer && keyNow?.kind === 'launch-order' ? toldBy(t, keyNow.events) : null}
          onOrder={answer ? undefined : (order) => onDraft({ order, touched: true })}
        />
      );
  }
}

/** The pair after the change, as far as it changes them. */
function changedRig({ change }: PredictChangeQuestion, rig: ConverterRig): ConverterRig {
  switch (change.kind) {
    case 'engine':
      return { ...rig, engine: weakened(rig.engine, change.share) };
    case 'altitude':
      return { ...rig, engine: atAltitude(rig.engine, change.metres) };
    case 'size':
      return { ...rig, converter: resized(rig.converter, change.factor) };
    case 'stator':
      return rig;
  }
}

interface ChangedProps {
  question: PredictChangeQuestion;
  rig: ConverterRig;
  revealed: boolean;
}

/** The converter's curves as they were; after the commit, as the change leaves them. */
function ChangedCurves({ question, rig, revealed }: ChangedProps) {
  const { change } = question;
  const fault = revealed && change.kind === 'stator' ? change.fault : null;
  const { converter } = revealed ? changedRig(question, rig) : rig;
  const characteristic = useMemo(
    () => characteristicOf(converter, fault) ?? characteristicOf(converter)!,
    [converter, fault],
  );
  return (
    <div className="stage-curves">
      <ConverterCurves converter={converter} characteristic={characteristic} />
    </div>
  );
}

function Operated({ rig, setting }: { rig: ConverterRig; setting: ConverterDraft['setting'] }) {
  const { match } = useConverterModel(rig.converter, rig.engine, setting, null);
  return <ConverterDrawing converter={rig.converter} point={match.point} mode={drawnMode(match)} />;
}

interface MatchSheetProps {
  rig: ConverterRig;
  throttle: number;
  turbineRpm: number;
  /** The converter's own curves instead of the engine's match. */
  curve: boolean;
  sealed: boolean;
  fault?: 'slips' | 'seized' | null;
}

function MatchSheet({ rig, throttle, turbineRpm, curve, sealed, fault = null }: MatchSheetProps) {
  const { converter, engine } = rig;
  const { model, characteristic, match } = useMemo(() => {
    const m = engineModel(engine);
    const c = characteristicOf(converter, fault) ?? characteristicOf(converter)!;
    return { model: m, characteristic: c, match: matchEngine(m, c, throttle, turbineRpm) };
  }, [converter, engine, throttle, turbineRpm, fault]);
  return (
    <div className="stage-curves">
      {curve ? (
        <ConverterCurves converter={converter} characteristic={characteristic} />
      ) : (
        <MatchCurves
          title={`${engine.name}, ${converter.name}`}
          engine={model}
          throttle={throttle}
          characteristic={characteristic}
          match={match}
          sealed={sealed}
        />
      )}
    </div>
  );
}

/** Where an event of a launch belongs, and when it happened. */
const toldBy =
  (t: TFunction, events: readonly { readonly name: string; readonly time: number }[]) =>
  (id: string, index: number) => {
    const place = events.findIndex((e) => e.name === id);
    return {
      right: place === index,
      said: t('order.at', {
        seconds: formatNumber(events[place]?.time ?? 0, 1),
        place: place + 1,
      }),
    };
  };
