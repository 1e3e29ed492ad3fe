import { CLUTCH_FAMILY } from '../../../../core/lesson';
import { DraftStage, type DraftParts } from '../../player/DraftStage';
import { Posed, type AskedProps } from '../../player/Posed';
import type { StageProps } from '../../player/StageFrame';
import { clutchDraft, type ClutchDraft } from './draft';
import { ClutchPrediction } from './Prediction';
import { ClutchStageSheet } from './StageSheet';
import { ClutchWorked } from './Worked';
import { CLUTCH_WORDS } from './words';

const PARTS: DraftParts<'clutch', ClutchDraft> = {
  family: CLUTCH_FAMILY,
  words: CLUTCH_WORDS,
  kept: 'ClutchStage draft',
  begin: (question, rig, _key, seed) => clutchDraft(question, rig, seed),
  // The pedal is only looked through.
  changed: (draft, change) => ({
    ...draft,
    touched: draft.touched || !('pedal' in change),
    ...change,
  }),
  Sheet: ClutchStageSheet,
  Prediction: ClutchPrediction,
  Worked: ClutchWorked,
};

/** A question about a clutch or a pack. */
const Stage = (props: StageProps<'clutch'>) => <DraftStage {...props} parts={PARTS} />;

/** The same, as this student gets it. */
export function ClutchStage(props: AskedProps) {
  return <Posed<'clutch'> {...props} family={CLUTCH_FAMILY} Stage={Stage} />;
}
