import { isCaseQuestion } from '../../../../core/lesson';
import type { StageProps } from '../../player/StageFrame';
import { CaseStage } from './CaseStage';
import { RowStage } from './RowStage';

/** A question about faults: of a unit's symptom table, or of a whole case. */
export function FaultStage({ block, ...frame }: StageProps<'fault'>) {
  const { question } = block;
  const { unit, faultCase } = frame.subject.subject;
  if (isCaseQuestion(question))
    return (
      faultCase && <CaseStage block={{ ...block, question }} faultCase={faultCase} {...frame} />
    );
  return unit && <RowStage block={block} unit={unit} {...frame} />;
}
