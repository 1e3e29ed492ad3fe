import { CONVERTER_FAMILY, openingOrder, type ConverterRig } from '../../../../core/lesson';
import { Readout } from '../../../converter/Readout';
import { useConverterModel } from '../../../converter/useConverterModel';
import { DraftStage, type DraftParts, type WorkedProps } from '../../player/DraftStage';
import { Posed, type AskedProps } from '../../player/Posed';
import type { StageProps } from '../../player/StageFrame';
import type { ConverterDraft } from './draft';
import { ConverterPrediction } from './Prediction';
import { blankSketch } from './sketchPaper';
import { ConverterStageSheet } from './StageSheet';
import { CONVERTER_WORDS } from './words';

const cardsOf = (events: readonly string[], seed: string): string[] =>
  openingOrder(events, seed, (order) => order.every((name, k) => name === events[k]));

const PARTS: DraftParts<'converter', ConverterDraft> = {
  family: CONVERTER_FAMILY,
  words: CONVERTER_WORDS,
  kept: 'ConverterStage draft',
  begin: (question, _rig, keyNow, seed) => ({
    setting:
      question.kind === 'operate' ? question.start : { throttle: 1, turbineRpm: 0, lockUp: false },
    values: question.kind === 'sketch-curve' ? blankSketch(question.curve) : [],
    touched: false,
    order:
      keyNow?.kind === 'launch-order'
        ? cardsOf(
            keyNow.events.map((e) => e.name),
            seed,
          )
        : [],
  }),
  Sheet: ConverterStageSheet,
  Prediction: ConverterPrediction,
  Worked: AtSetting,
};

/** What the student's own setting reads. */
function AtSetting({ rig, answer }: WorkedProps<'converter'>) {
  return answer.kind === 'operate' ? <ReadAt rig={rig} setting={answer} /> : null;
}

interface ReadAtProps {
  rig: ConverterRig;
  setting: ConverterDraft['setting'];
}

function ReadAt({ rig, setting }: ReadAtProps) {
  const { match } = useConverterModel(rig.converter, rig.engine, setting, null);
  return <Readout match={match} />;
}

/** A question about a converter. */
const Stage = (props: StageProps<'converter'>) => <DraftStage {...props} parts={PARTS} />;

/** The same, as this student gets it. */
export function ConverterStage(props: AskedProps) {
  return <Posed<'converter'> {...props} family={CONVERTER_FAMILY} Stage={Stage} />;
}
