import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  crossingOf,
  crossingRig,
  drivenWith,
  pairOf,
  placesOf,
  type DrawCrossingQuestion,
  type GearboxAnswer,
  type GearboxQuestion,
  type GearboxRig,
  type SetWaitingQuestion,
  type TwoGearsQuestion,
  type WhichSideQuestion,
} from '../../../../core/lesson';
import { memberRoles, solveUnit } from '../../../../core/geartrain';
import {
  complaintsOf,
  FULL_LOAD_NM,
  gearsInOrder,
  USUAL_CHANGES,
  wayOf,
} from '../../../../core/shift';
import { CrossingCurves } from '../../../apply/CrossingCurves';
import { RampPad } from '../../../apply/RampPad';
import { SleevesView } from '../../../apply/SleevesView';
import { SpeedPad } from '../../../apply/SpeedPad';
import { WaitingLanes } from '../../../apply/WaitingLanes';
import { Sheet } from '../../../shared/Sheet';
import { formatNumber, useNumbers } from '../../../shared/numbers';
import type { GearboxDraft } from './draft';
import { gearOfSide, goesText } from './words';
import './Stage.css';

interface Props {
  question: GearboxQuestion;
  rig: GearboxRig;
  draft: GearboxDraft;
  /** What was committed. */
  answer: GearboxAnswer | undefined;
  onDraft: (change: Partial<GearboxDraft>) => void;
}

/** The sheet of a question about a gearbox: its sleeves and what the driver tells, a drive, or the ramps of a crossing. */
export function GearboxStageSheet({ question, rig, draft, answer, onDraft }: Props) {
  switch (question.kind) {
    case 'which-side':
      return <Told question={question} rig={rig} />;
    case 'two-gears':
      return <TwoIn question={question} rig={rig} committed={answer !== undefined} />;
    case 'set-waiting':
      return <Drive question={question} rig={rig} answer={answer} />;
    case 'draw-crossing':
      return <Ramped {...{ question, rig, draft, answer, onDraft }} />;
  }
}

/** Sleeves with these in; while it is sealed nothing is told of what turns. */
function Sleeves({
  rig: { unit },
  applied,
  sealed,
}: {
  rig: GearboxRig;
  applied: readonly string[];
  sealed: boolean;
}) {
  const { t } = useTranslation();
  const solution = useMemo(() => solveUnit(unit, sealed ? [] : applied), [unit, applied, sealed]);
  const roles = useMemo(() => memberRoles(unit, solution), [unit, solution]);
  return (
    <div className="gearbox-sleeves">
      <Sheet label={t('apply.sheet')}>
        <SleevesView unit={unit} solution={solution} roles={roles} applied={applied} />
      </Sheet>
    </div>
  );
}

const NOTHING: readonly string[] = [];

/** The gearbox in neutral, and what its driver tells of every gear. */
function Told({ question, rig }: { question: WhichSideQuestion; rig: GearboxRig }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { unit } = rig;
  const told = useMemo(
    () => complaintsOf(unit, { ...question, side: sideOf(question) }),
    [unit, question],
  );
  return (
    <>
      <Sleeves rig={rig} applied={NOTHING} sealed />
      <div className="gearbox-told">
        <table className="plain">
          <caption className="quiet">{t('gearboxWords.driverTells')}</caption>
          <thead>
            <tr>
              <th scope="col">{t('gearboxWords.gear')}</th>
              <th scope="col">{t('gearboxWords.quick')}</th>
              <th scope="col">{t('gearboxWords.matched')}</th>
              <th scope="col">
                {t('gearboxWords.pulling', {
                  torque: numbers.fixed(FULL_LOAD_NM, 'torque', 0),
                })}
              </th>
            </tr>
          </thead>
          <tbody>
            {told.map((g) => (
              <tr key={g.side}>
                <th scope="row">{gearOfSide(unit, g.side)}</th>
                <td data-bad={g.quick !== 'clean'}>{goesText(t, g.quick)}</td>
                <td data-bad={g.matched !== 'clean'}>{goesText(t, g.matched)}</td>
                <td data-bad={g.jumps}>
                  {t(g.jumps ? 'gearboxWords.jumpsOut' : 'gearboxWords.staysIn')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

const sideOf = ({ part, side }: WhichSideQuestion) => (part === 'clutch' ? null : side);

/** Two sleeves in, and which clutches are closed; after the commit, what turns. */
function TwoIn({
  question,
  rig,
  committed,
}: {
  question: TwoGearsQuestion;
  rig: GearboxRig;
  committed: boolean;
}) {
  const { t } = useTranslation();
  const { unit } = rig;
  const applied = useMemo(() => [...question.sides, ...question.clutches], [question]);
  return (
    <>
      <Sleeves rig={rig} applied={applied} sealed={!committed} />
      <ul className="gearbox-clutches">
        {unit.elements
          .filter((e) => e.kind === 'clutch')
          .map((e) => {
            const closed = question.clutches.includes(e.id);
            return (
              <li key={e.id} data-closed={closed}>
                <strong>{e.id}</strong> {e.name}:{' '}
                {t(closed ? 'gearboxWords.closed' : 'gearboxWords.open')}
              </li>
            );
          })}
      </ul>
    </>
  );
}

interface DriveProps {
  question: SetWaitingQuestion;
  rig: GearboxRig;
  answer: GearboxAnswer | undefined;
}

/** The speed of a drive; after the commit, what drove, what waited and what it cost. */
function Drive({ question, rig: { unit, vehicle }, answer }: DriveProps) {
  const { t } = useTranslation();
  const gears = useMemo(() => gearsInOrder(unit), [unit]);
  const result = useMemo(
    () =>
      vehicle && answer?.kind === 'set-waiting'
        ? drivenWith(question, unit, vehicle, placesOf(unit, answer.gears))
        : null,
    [question, unit, vehicle, answer],
  );
  return (
    <div className="gearbox-drive">
      <p className="quiet">
        {vehicle &&
          t('crossing.changesAt', {
            up: formatNumber(USUAL_CHANGES.up, 0),
            down: formatNumber(USUAL_CHANGES.down, 0),
            vehicle: vehicle.name,
          })}
      </p>
      <div className="gearbox-pad">
        <SpeedPad speeds={question.speeds} />
      </div>
      {result && <WaitingLanes result={result} gears={gears} />}
    </div>
  );
}

interface RampedProps extends Omit<Props, 'question'> {
  question: DrawCrossingQuestion;
}

/** Both ramps to draw; after the commit, the torques and the engine that come of them. */
function Ramped({ question, rig, draft, answer, onDraft }: RampedProps) {
  const ramps = answer?.kind === 'draw-crossing' ? answer.ramps : draft.ramps;
  const pair = pairOf(question, rig.unit);
  const result = useMemo(() => {
    const whole = crossingRig(rig);
    const asked = pairOf(question, rig.unit);
    return answer?.kind === 'draw-crossing' && whole && asked
      ? crossingOf(whole, asked, answer.ramps)
      : null;
  }, [question, rig, answer]);
  if (!pair) return null;
  return (
    <div className="gearbox-ramps" data-shown={result !== null}>
      <div className="gearbox-pad">
        <RampPad
          ramps={ramps}
          onRamps={answer ? undefined : (next) => onDraft({ ramps: next, drawn: true })}
          names={[wayOf(rig.unit, pair.from)?.clutch ?? '', pair.next.clutch]}
        />
      </div>
      {result && <CrossingCurves result={result} pair={pair} />}
    </div>
  );
}
