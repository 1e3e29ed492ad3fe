import { FAULT_FAMILY, isCaseQuestion } from '../../../../core/lesson';
import { Posed, type AskedProps } from '../../player/Posed';
import type { StageProps } from '../../player/StageFrame';
import { CaseStage } from './CaseStage';
import { RowStage } from './RowStage';

/** A question about faults: of a unit's symptom table, or of a whole case. */
function Stage({ block, ...frame }: StageProps<'fault'>) {
  const { question } = block;
  const { unit, faultCase } = frame.subject.subject;
  if (isCaseQuestion(question))
    return (
      faultCase && <CaseStage block={{ ...block, question }} faultCase={faultCase} {...frame} />
    );
  return unit && <RowStage block={block} unit={unit} {...frame} />;
}

/** The same, as this student gets it. */
export function FaultStage(props: AskedProps) {
  return <Posed<'fault'> {...props} family={FAULT_FAMILY} Stage={Stage} />;
}
