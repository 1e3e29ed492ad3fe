import {
  CONVERTER_FAMILY,
  openingOrder,
  type ConverterAnswer,
  type ConverterRig,
} from '../../../../core/lesson';
import { Readout } from '../../../converter/Readout';
import { useConverterModel } from '../../../converter/useConverterModel';
import { useKept } from '../../../shared/kept';
import { Posed, type AskedProps } from '../../player/Posed';
import { StageFrame, type StageProps } from '../../player/StageFrame';
import { useAsked } from '../../player/useAsked';
import type { ConverterDraft } from './draft';
import { ConverterPrediction } from './Prediction';
import { blankSketch } from './sketchPaper';
import { ConverterStageSheet } from './StageSheet';
import { CONVERTER_WORDS } from './words';

const cardsOf = (events: readonly string[], seed: string): string[] =>
  openingOrder(events, seed, (order) => order.every((name, k) => name === events[k]));

/** A question about a converter. */
function Stage({ block, subject, round, ...frame }: StageProps<'converter'>) {
  const { rig } = subject;
  const asked = useAsked<'converter'>(CONVERTER_FAMILY, block, subject, round);
  const { question, key, given, commit } = asked;
  const keyNow = key?.ok ? key.key : null;
  const [draft, setDraft] = useKept<ConverterDraft>('ConverterStage draft', () => ({
    setting:
      question.kind === 'operate' ? question.start : { throttle: 1, turbineRpm: 0, lockUp: false },
    values: question.kind === 'sketch-curve' ? blankSketch(question.curve) : [],
    touched: false,
    order:
      keyNow?.kind === 'launch-order'
        ? cardsOf(
            keyNow.events.map((e) => e.name),
            `${block.id} ${round}`,
          )
        : [],
  }));
  const change = (part: Partial<ConverterDraft>) => setDraft({ ...draft, ...part });
  return (
    <StageFrame
      {...frame}
      asked={asked}
      words={CONVERTER_WORDS}
      sheet={
        <ConverterStageSheet
          question={question}
          rig={rig}
          keyNow={keyNow}
          draft={draft}
          answer={given}
          onDraft={change}
        />
      }
      prediction={
        <ConverterPrediction
          question={question}
          rig={rig}
          draft={draft}
          onDraft={change}
          onCommit={commit}
        />
      }
      worked={given?.kind === 'operate' && <AtSetting rig={rig} setting={given} />}
    />
  );
}

interface AtSettingProps {
  rig: ConverterRig;
  setting: Extract<ConverterAnswer, { kind: 'operate' }>;
}

/** What the student's own setting reads. */
function AtSetting({ rig, setting }: AtSettingProps) {
  const { match } = useConverterModel(rig.converter, rig.engine, setting, null);
  return <Readout match={match} />;
}

/** The same, as this student gets it. */
export function ConverterStage(props: AskedProps) {
  return <Posed<'converter'> {...props} family={CONVERTER_FAMILY} Stage={Stage} />;
}
