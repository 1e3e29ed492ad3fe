import { useContext } from 'react';
import { useTranslation } from 'react-i18next';
import { workedSteps, type Port, type Role } from '../../../../core/geartrain';
import { GEAR_SET_FAMILY, hidesRoles } from '../../../../core/lesson';
import { EndViewSheet, type GivenRoles, type SheetMode } from '../../../ratio/EndViewSheet';
import { toothAngle } from '../../../bench/toothAngle';
import { Crank, ToothTransport } from '../../../bench/Transport';
import { useSetModel } from '../../../ratio/useSetModel';
import { useTurning } from '../../../bench/useTurning';
import { WorkedStepsList } from '../../../ratio/WorkedStepsList';
import { useKept } from '../../../shared/kept';
import { useShortcuts } from '../../../shared/useShortcuts';
import { PaperContext } from '../../player/onPaper';
import { Posed, type AskedProps } from '../../player/Posed';
import { StageFrame, type StageProps } from '../../player/StageFrame';
import { useAsked } from '../../player/useAsked';
import { WorkItOut } from '../../player/WorkItOut';
import { GearSetPrediction } from './Prediction';
import { GEAR_SET_WORDS } from './words';

const NO_ROLES: GivenRoles = { sun: null, carrier: null, ring: null };

/** A question about one gear set. Until the commit it stands still, and gives no role away. */
function Stage({ block, subject, round, ...frame }: StageProps<'gear-set'>) {
  const { t } = useTranslation();
  const { setup } = subject;
  const asked = useAsked<'gear-set'>(GEAR_SET_FAMILY, block, subject, round);
  const { question, committed, commit } = asked;
  const [given, setGiven] = useKept<GivenRoles>('GearSetStage given', NO_ROLES);
  const paper = useContext(PaperContext) !== null;
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
  const mode: SheetMode = committed ? 'live' : hidesRoles(question) ? 'assign' : 'sealed';
  const assignable = !committed && question.kind === 'roles';
  const derivable = setup.roles.reaction !== 'free' && question.kind !== 'roles';
  return (
    <StageFrame
      {...frame}
      asked={asked}
      words={GEAR_SET_WORDS}
      sheetClass={assignable ? 'is-worked' : ''}
      sheet={
        <EndViewSheet
          setup={setup}
          model={model}
          turning={turning}
          mode={mode}
          given={given}
          onRole={assignable ? (port, role) => setGiven(giveRole(given, port, role)) : undefined}
          footer={
            paper ? undefined : committed ? (
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
      }
      prediction={
        <GearSetPrediction question={question} setup={setup} given={given} onCommit={commit} />
      }
      worked={
        derivable && (
          <WorkItOut lines={workedSteps(setup.set, setup.roles).length}>
            {(parted) => <WorkedStepsList setup={setup} marked={parted} />}
          </WorkItOut>
        )
      }
    />
  );
}

/** A role belongs to one part: giving it to another takes it away from the first. */
function giveRole(given: GivenRoles, port: Port, role: Role): GivenRoles {
  const cleared = Object.entries(given).map(([p, r]) => [p, r === role ? null : r]);
  return { ...(Object.fromEntries(cleared) as GivenRoles), [port]: role };
}

/** The same, as this student gets it. */
export function GearSetStage(props: AskedProps) {
  return <Posed<'gear-set'> {...props} family={GEAR_SET_FAMILY} Stage={Stage} />;
}
