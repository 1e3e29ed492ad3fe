import { useTranslation } from 'react-i18next';
import { AS_BUILT, bearingRuns, NOISE_TESTS, type Clutch } from '../../../../core/clutch';
import {
  handedOut,
  type ClutchAnswer,
  type ClutchKey,
  type ClutchQuestion,
  type ClutchRig,
} from '../../../../core/lesson';
import { FeetPads } from '../../../clutch/FeetPads';
import { LinkageTable } from '../../../clutch/LinkageTable';
import { formatNumber } from '../../../shared/numbers';

interface Props {
  question: ClutchQuestion;
  rig: ClutchRig;
  keyNow: ClutchKey | null;
  answer: ClutchAnswer;
}

/** What leads to the answer: the linkage as it was left, the bearings that turn, one start that meets it. */
export function ClutchWorked({ question, rig, keyNow, answer }: Props) {
  if (answer.kind === 'set-free-play' && question.kind === 'set-free-play' && rig.clutch)
    return (
      <LinkageTable
        clutch={rig.clutch}
        state={{ ...handedOut(rig.clutch, question.wear), air: 0, ...answer }}
      />
    );
  if (question.kind === 'noise-test' && rig.clutch && rig.engine)
    return <BearingsTable clutch={rig.clutch} engineRpm={rig.engine.idleRpm} />;
  if (keyNow?.kind === 'draw-start')
    return (
      <div className="example-feet">
        <FeetPads pedal={keyNow.pedal} throttle={keyNow.throttle} />
      </div>
    );
  return null;
}

/** Which bearings turn in each test: the reason for the answer. */
function BearingsTable({ clutch, engineRpm }: { clutch: Clutch; engineRpm: number }) {
  const { t } = useTranslation();
  return (
    <table className="plain noise-table">
      <caption className="quiet">{t('clutchPrompts.betweenRaces')}</caption>
      <thead>
        <tr>
          <th scope="col">{t('clutch.tests.listen')}</th>
          {(['release', 'pilot', 'input'] as const).map((b) => (
            <th key={b} scope="col" className="num">
              {t(`clutch.bearings.${b}`)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {NOISE_TESTS.map((test) => (
          <tr key={test.id}>
            <th scope="row">{t(`clutch.noise.${test.id}`)}</th>
            {bearingRuns(clutch, AS_BUILT, test, engineRpm).map((r) => (
              <td key={r.bearing} className="num">
                {r.turns ? formatNumber(r.slipRpm, 0) : t('clutch.noise.still')}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
