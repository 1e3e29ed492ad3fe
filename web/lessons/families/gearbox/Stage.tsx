import { GEARBOX_FAMILY } from '../../../../core/lesson';
import { DraftStage, type DraftParts } from '../../player/DraftStage';
import { Posed, type AskedProps } from '../../player/Posed';
import type { StageProps } from '../../player/StageFrame';
import { EMPTY, type GearboxDraft } from './draft';
import { GearboxPrediction } from './Prediction';
import { GearboxStageSheet } from './StageSheet';
import { GEARBOX_WORDS } from './words';

const PARTS: DraftParts<'gearbox', GearboxDraft> = {
  family: GEARBOX_FAMILY,
  words: GEARBOX_WORDS,
  kept: 'GearboxStage draft',
  begin: () => EMPTY,
  sheetClass: 'gearbox-stage',
  isLong: ({ kind }) => kind !== 'draw-crossing',
  Sheet: GearboxStageSheet,
  Prediction: GearboxPrediction,
};

/** A question about a gearbox. */
const Stage = (props: StageProps<'gearbox'>) => <DraftStage {...props} parts={PARTS} />;

/** The same, as this student gets it. */
export function GearboxStage(props: AskedProps) {
  return <Posed<'gearbox'> {...props} family={GEARBOX_FAMILY} Stage={Stage} />;
}
