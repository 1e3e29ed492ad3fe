import { useTranslation } from 'react-i18next';
import {
  unitPinionSpeeds,
  type MemberRole,
  type Solution,
  type Unit,
} from '../../../core/geartrain';
import { toNumber } from '../../../core/numerics';
import { formatNumber, formatRatio } from '../../shared/numbers';
import { Mark } from '../Mark';

interface Props {
  unit: Unit;
  solution: Solution;
  roles: ReadonlyMap<string, MemberRole>;
}

/** What each element holds and how fast each member turns. */
export function NowPanel({ unit, solution, roles }: Props) {
  const { t } = useTranslation();
  return (
    <>
      <table className="plain apply-elements">
        <caption className="visually-hidden">{t('apply.elements')}</caption>
        <thead>
          <tr>
            <th scope="col">{t('apply.element')}</th>
            <th scope="col">{t('apply.state')}</th>
            <th scope="col" className="num" title={t('apply.torqueSaid')}>
              {t('apply.torque')}
            </th>
          </tr>
        </thead>
        <tbody>
          {unit.elements.map((e) => {
            const result = solution.elements.get(e.id);
            const state = result?.state ?? 'open';
            return (
              <tr key={e.id} data-state={state}>
                <th scope="row">
                  <strong>{e.id}</strong> {e.name}
                </th>
                <td>
                  <Mark state={state} kind={e.kind} /> {t(`elementStates.${state}`)}
                </td>
                <td className="num">
                  {torqueText(state, result?.torque ? toNumber(result.torque) : null)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <table className="plain apply-elements">
        <caption className="visually-hidden">{t('apply.members')}</caption>
        <thead>
          <tr>
            <th scope="col">{t('apply.member')}</th>
            <th scope="col">{t('apply.does')}</th>
            <th scope="col" className="num" title={t('apply.speedSaid')}>
              {t('apply.speed')}
            </th>
          </tr>
        </thead>
        <tbody>
          {unit.members.map(({ id, name }) => {
            const role = roles.get(id) ?? 'idle';
            const speed = solution.speeds.get(id);
            return (
              <tr key={id}>
                <th scope="row">{name}</th>
                <td className={`role-${role}`}>
                  <strong>{t(`memberRoles.${role}`)}</strong>
                </td>
                <td className="num">{speed ? formatRatio(toNumber(speed)) : t('apply.floats')}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Pinions {...{ unit, solution }} />
    </>
  );
}

/** How fast the pinions turn on their pins: what their needle bearings see. */
function Pinions({ unit, solution }: Pick<Props, 'unit' | 'solution'>) {
  const { t } = useTranslation();
  const pinions = unitPinionSpeeds(unit, solution);
  if (pinions.length === 0) return null;
  return (
    <table className="plain apply-elements">
      <caption className="visually-hidden">{t('apply.pinions')}</caption>
      <thead>
        <tr>
          <th scope="col">{t('apply.pinions')}</th>
          <th scope="col" className="num" title={t('apply.speedSaid')}>
            {t('apply.speed')}
          </th>
        </tr>
      </thead>
      <tbody>
        {pinions.map(({ set, name, speed }) => (
          <tr key={`${set} ${name}`}>
            <th scope="row">
              <strong>{set}</strong> {t(`pinions.${name}`)}
            </th>
            <td className="num">{formatRatio(toNumber(speed!))}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** × input torque; an open element carries none, and a shared one's part is open. */
const torqueText = (state: string, torque: number | null): string => {
  if (state === 'open' || state === 'overrunning') return '';
  // Its state says that it shares: how much each bears, no balance tells.
  return torque === null ? '–' : formatNumber(torque, 2);
};
