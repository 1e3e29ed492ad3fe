import { GEARBOX_FAMILY } from '../../../../core/lesson';
import { useKept } from '../../../shared/kept';
import { Posed, type AskedProps } from '../../player/Posed';
import { StageFrame, type StageProps } from '../../player/StageFrame';
import { useAsked } from '../../player/useAsked';
import { EMPTY, type GearboxDraft } from './draft';
import { GearboxPrediction } from './Prediction';
import { GearboxStageSheet } from './StageSheet';
import { GEARBOX_WORDS } from './words';

/** A question about a gearbox. */
function Stage({ block, subject, round, ...frame }: StageProps<'gearbox'>) {
  const { rig } = subject;
  const asked = useAsked<'gearbox'>(GEARBOX_FAMILY, block, subject, round);
  const { question, given, commit } = asked;
  const [draft, setDraft] = useKept<GearboxDraft>('GearboxStage draft', EMPTY);
  const change = (part: Partial<GearboxDraft>) => setDraft({ ...draft, ...part });
  return (
    <StageFrame
      {...frame}
      asked={asked}
      words={GEARBOX_WORDS}
      sheetClass="gearbox-stage"
      sheet={
        <GearboxStageSheet
          question={question}
          rig={rig}
          draft={draft}
          answer={given}
          onDraft={change}
        />
      }
      prediction={
        <GearboxPrediction
          question={question}
          rig={rig}
          draft={draft}
          onDraft={change}
          onCommit={commit}
        />
      }
    />
  );
}

/** The same, as this student gets it. */
export function GearboxStage(props: AskedProps) {
  return <Posed<'gearbox'> {...props} family={GEARBOX_FAMILY} Stage={Stage} />;
}
