import { OIL_FAMILY } from '../../../../core/lesson';
import { DraftStage, type DraftParts } from '../../player/DraftStage';
import { Posed, type AskedProps } from '../../player/Posed';
import type { StageProps } from '../../player/StageFrame';
import { EMPTY, type OilDraft } from './draft';
import { OilPrediction } from './Prediction';
import { OilStageSheet } from './StageSheet';
import { OIL_WORDS } from './words';

const PARTS: DraftParts<'oil', OilDraft> = {
  family: OIL_FAMILY,
  words: OIL_WORDS,
  kept: 'OilStage draft',
  begin: () => EMPTY,
  Sheet: OilStageSheet,
  Prediction: OilPrediction,
};

/** A question about oil. */
const Stage = (props: StageProps<'oil'>) => <DraftStage {...props} parts={PARTS} />;

/** The same, as this student gets it. */
export function OilStage(props: AskedProps) {
  return <Posed<'oil'> {...props} family={OIL_FAMILY} Stage={Stage} />;
}
