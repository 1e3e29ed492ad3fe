import { type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { GearSetSetup, Port, Role } from '../../../core/geartrain';
import { hidesRoles, type QuestionBlock, type SetQuestion } from '../../../core/lesson';
import { useAppDispatch, useAppSelector } from '../../app/hooks';
import { EndViewSheet, type GivenRoles, type SheetMode } from '../../ratio/EndViewSheet';
import { toothAngle } from '../../ratio/toothAngle';
import { Crank, ToothTransport } from '../../ratio/Transport';
import { useSetModel } from '../../ratio/useSetModel';
import { useTurning } from '../../ratio/useTurning';
import { useShortcuts } from '../../shared/useShortcuts';
import type { Next } from './NextButton';
import { answerNow, roundBegun, selectPlayer } from './playerSlice';
import { QuestionAside } from './QuestionAside';
import { Prediction } from './Prediction';
import { Reveal } from './Reveal';
import { useCommit } from './useCommit';
import { useKept } from '../../shared/kept';

interface Props {
  block: QuestionBlock & { question: SetQuestion };
  setup: GearSetSetup;
  round: number;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

const NO_ROLES: GivenRoles = { sun: null, carrier: null, ring: null };

/** Predict, commit, see. Until the commit nothing on the screen knows the answer. */
export function QuestionStage({ block, setup, round, heading, blocks, next }: Props) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const { commit, unsaved } = useCommit(block, { kind: 'set', setup }, round);
  const player = useAppSelector(selectPlayer);
  const committed = answerNow(player, block.id);
  const [given, setGiven] = useKept<GivenRoles>('QuestionStage given', NO_ROLES);
  const model = useSetModel(setup);
  const turning = useTurning(setup.inputSpeedRpm, committed !== undefined);
  const tooth = toothAngle(setup);
  useShortcuts(
    committed
      ? {
          ' ': turning.toggle,
          s: turning.toggleSlow,
          ArrowRight: () => turning.stepBy(tooth),
          ArrowLeft: () => turning.stepBy(-tooth),
        }
      : {},
  );
  const { question } = block;
  const mode: SheetMode = committed ? 'live' : hidesRoles(question) ? 'assign' : 'sealed';
  const assignable = !committed && question.kind === 'roles';
  return (
    <>
      <div className="player-sheet">
        <EndViewSheet
          setup={setup}
          model={model}
          turning={turning}
          mode={mode}
          given={given}
          onRole={assignable ? (port, role) => setGiven(giveRole(given, port, role)) : undefined}
          footer={
            committed ? (
              <>
                <ToothTransport setup={setup} turning={turning} />
                <Crank setup={setup} shown={model.shown} turning={turning} />
              </>
            ) : (
              <p className="sheet-sealed">
                {t(assignable ? 'player.giveRoles' : 'player.standsStill')}
              </p>
            )
          }
        />
      </div>
      <QuestionAside heading={heading} blocks={blocks} unsaved={unsaved}>
        {committed ? (
          <Reveal
            question={question}
            setup={committed.setup ?? setup}
            answer={committed}
            next={next}
            onAgain={() => dispatch(roundBegun(block.id))}
          />
        ) : (
          <Prediction question={question} setup={setup} given={given} onCommit={commit} />
        )}
      </QuestionAside>
    </>
  );
}

/** A role belongs to one part: giving it to another takes it away from the first. */
function giveRole(given: GivenRoles, port: Port, role: Role): GivenRoles {
  const cleared = Object.entries(given).map(([p, r]) => [p, r === role ? null : r]);
  return { ...(Object.fromEntries(cleared) as GivenRoles), [port]: role };
}
