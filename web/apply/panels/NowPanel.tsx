import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import {
  unitPinionSpeeds,
  type MemberRole,
  type Solution,
  type Unit,
} from '../../../core/geartrain';
import { toNumber } from '../../../core/numerics';
import { formatNumber, formatRatio } from '../../shared/numbers';
import { useAfterwards } from '../../shared/useAfterwards';
import { isLarge } from '../../workers/unitWorker';
import { Mark } from '../Mark';
import '../../bench/ElementsTable.css';
import { TableScroll } from '../../shared/TableScroll';

interface Props {
  unit: Unit;
  solution: Solution;
  roles: ReadonlyMap<string, MemberRole>;
}

/** What each element holds, how fast each member turns, and how fast the pinions turn on their pins. */
export function NowPanel({ unit, solution, roles }: Props) {
  const { t } = useTranslation();
  const torque = { title: t('apply.torque'), said: t('apply.torqueSaid') };
  const speed = { title: t('apply.speed'), said: t('apply.speedSaid') };
  const pinions = unitPinionSpeeds(unit, solution);
  const below = useAfterwards(isLarge(unit));
  return (
    <>
      <NowTable
        caption={t('apply.elements')}
        heads={[t('apply.element'), t('apply.state')]}
        figure={torque}
        rows={unit.elements.map((e) => {
          const result = solution.elements.get(e.id);
          const state = result?.state ?? 'open';
          return {
            key: e.id,
            state,
            name: <Named id={e.id} name={e.name} />,
            cell: (
              <td>
                <Mark state={state} kind={e.kind} /> {t(`elementStates.${state}`)}
              </td>
            ),
            figure: torqueText(state, result?.torque ? toNumber(result.torque) : null),
          };
        })}
      />
      {below && (
        <NowTable
          caption={t('apply.members')}
          heads={[t('apply.member'), t('apply.does')]}
          figure={speed}
          rows={unit.members.map(({ id, name }) => {
            const role = roles.get(id) ?? 'idle';
            const turns = solution.speeds.get(id);
            return {
              key: id,
              name,
              cell: (
                <td className={`role-${role}`}>
                  <strong>{t(`memberRoles.${role}`)}</strong>
                </td>
              ),
              figure: turns ? formatRatio(toNumber(turns)) : t('apply.floats'),
            };
          })}
        />
      )}
      {below && pinions.length > 0 && (
        <NowTable
          caption={t('apply.pinions')}
          heads={[t('apply.pinions')]}
          figure={speed}
          rows={pinions.map(({ set, name, speed: turns }) => ({
            key: `${set} ${name}`,
            name: <Named id={set} name={t(`pinions.${name}`)} />,
            figure: formatRatio(toNumber(turns!)),
          }))}
        />
      )}
    </>
  );
}

const Named = ({ id, name }: { id: string; name: string }) => (
  <>
    <strong>{id}</strong> {name}
  </>
);

interface TableProps {
  caption: string;
  heads: readonly string[];
  /** The last column: its title, and what it means. */
  figure: { title: string; said: string };
  rows: readonly {
    key: string;
    name: ReactNode;
    /** What the row says beside its name, where the table has such a column. */
    cell?: ReactNode;
    figure: string;
    state?: string;
  }[];
}

function NowTable({ caption, heads, figure, rows }: TableProps) {
  return (
    <TableScroll>
      <table className="plain apply-elements">
        <caption className="visually-hidden">{caption}</caption>
        <thead>
          <tr>
            {heads.map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
            <th scope="col" className="num" title={figure.said}>
              {figure.title}
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.key} data-state={row.state}>
              <th scope="row">{row.name}</th>
              {row.cell}
              <td className="num">{row.figure}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </TableScroll>
  );
}

/** × input torque; an open element carries none, and a shared one's part is open. */
const torqueText = (state: string, torque: number | null): string => {
  if (state === 'open' || state === 'overrunning') return '';
  // Its state says that it shares: how much each bears, no balance tells.
  return torque === null ? '–' : formatNumber(torque, 2);
};
