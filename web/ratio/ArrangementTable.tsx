import { useTranslation } from 'react-i18next';
import {
  ARRANGEMENTS,
  sameArrangement,
  solveSet,
  thirdPort,
  type GearSetSetup,
  type Roles,
} from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import { formatRatio } from '../shared/numbers';
import './ArrangementTable.css';

interface Props {
  setup: GearSetSetup;
  onRoles: (roles: Roles) => void;
}

/** All seven ways to use the set, with the one on the bench marked; each row sets the bench. */
export function ArrangementTable({ setup, onRoles }: Props) {
  const { t } = useTranslation();
  return (
    <table className="plain arrangements">
      <caption className="visually-hidden">{t('bench.allWays')}</caption>
      <thead>
        <tr>
          <th scope="col">{t('roles.drives')}</th>
          <th scope="col">{t('roles.driven')}</th>
          <th scope="col">{t('roles.held')}</th>
          <th scope="col" className="num">
            {t('bench.ratio')}
          </th>
        </tr>
      </thead>
      <tbody>
        {ARRANGEMENTS.map((roles) => {
          const { ratio } = solveSet(setup.set, roles);
          const current = sameArrangement(roles, setup.roles);
          const locked = roles.reaction === 'locked';
          const show = () => onRoles(roles);
          return (
            <tr
              key={`${roles.drives}${roles.driven}${roles.reaction}`}
              aria-current={current}
              onClick={show}
            >
              <td colSpan={locked ? 3 : 1}>
                <button
                  type="button"
                  className="row-button"
                  onClick={(event) => {
                    event.stopPropagation();
                    show();
                  }}
                >
                  {locked ? t('bench.anyTwoLocked') : t(`parts.${roles.drives}`)}
                  <span className="visually-hidden">
                    {locked
                      ? ''
                      : t('bench.showRow', {
                          driven: t(`parts.${roles.driven}`),
                          held: t(`parts.${thirdPort(roles)}`),
                        })}
                  </span>
                </button>
              </td>
              {!locked && (
                <>
                  <td>{t(`parts.${roles.driven}`)}</td>
                  <td>{t(`parts.${thirdPort(roles)}`)}</td>
                </>
              )}
              <td className="num">{ratio ? formatRatio(toNumber(ratio)) : '–'}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
