import { CLUTCH_FAMILY } from '../../../../core/lesson';
import { useKept } from '../../../shared/kept';
import { Posed, type AskedProps } from '../../player/Posed';
import { StageFrame, type StageProps } from '../../player/StageFrame';
import { useAsked } from '../../player/useAsked';
import { clutchDraft, type ClutchDraft } from './draft';
import { ClutchPrediction } from './Prediction';
import { ClutchStageSheet } from './StageSheet';
import { ClutchWorked } from './Worked';
import { CLUTCH_WORDS } from './words';

/** A question about a clutch or a pack. */
function Stage({ block, subject, round, ...frame }: StageProps<'clutch'>) {
  const { rig } = subject;
  const asked = useAsked<'clutch'>(CLUTCH_FAMILY, block, subject, round);
  const { question, key, given, commit } = asked;
  const keyNow = key?.ok ? key.key : null;
  const [draft, setDraft] = useKept<ClutchDraft>('ClutchStage draft', () =>
    clutchDraft(question, rig, `${block.id} ${round}`),
  );
  const change = (part: Partial<ClutchDraft>) =>
    setDraft({ ...draft, touched: draft.touched || !('pedal' in part), ...part });
  return (
    <StageFrame
      {...frame}
      asked={asked}
      words={CLUTCH_WORDS}
      sheet={
        <ClutchStageSheet
          question={question}
          rig={rig}
          keyNow={keyNow}
          draft={draft}
          answer={given}
          onDraft={change}
        />
      }
      prediction={
        <ClutchPrediction
          question={question}
          rig={rig}
          draft={draft}
          onDraft={change}
          onCommit={commit}
        />
      }
      worked={
        given && <ClutchWorked question={question} rig={rig} keyNow={keyNow} answer={given} />
      }
    />
  );
}

/** The same, as this student gets it. */
export function ClutchStage(props: AskedProps) {
  return <Posed<'clutch'> {...props} family={CLUTCH_FAMILY} Stage={Stage} />;
}
