import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  efficiency,
  MESH_EFFICIENCY,
  powerFlow,
  type Load,
  type Solution,
  type Unit,
} from '../../../core/geartrain';
import { isZero, toNumber, type Fraction } from '../../../core/numerics';
import { formatNumber } from '../../shared/numbers';
import { memberName } from '../../shared/unitNames';
import { TypedNumber } from '../../shared/TypedNumber';
import './PowerPanel.css';
import '../../bench/ElementsTable.css';
import { TableScroll } from '../../shared/TableScroll';

interface Props {
  unit: Unit;
  solution: Solution;
  applied: readonly string[];
  load: Load;
}

const MESHES = ['external', 'internal'] as const;

/** Where the power goes, what goes round in a circle, and what the teeth lose. */
export function PowerPanel({ unit, solution, applied, load }: Props) {
  const { t } = useTranslation();
  const [mesh, setMesh] = useState(MESH_EFFICIENCY);
  if (solution.outcome !== 'drives') return <p>{t(`outcomesSaid.${solution.outcome}`)}</p>;
  const flow = powerFlow(unit, solution);
  const loss = efficiency(unit, applied, load, mesh);
  return (
    <>
      <WhatComesOut loss={loss} />
      {MESHES.map((kind) => (
        <label className="row" key={kind}>
          <span>{t(`apply.meshes.${kind}`)}</span>
          <TypedNumber
            label={t(`apply.meshes.${kind}`)}
            min={50}
            max={100}
            step={0.5}
            value={Number((100 * mesh[kind]).toFixed(3))}
            suffix="%"
            onValue={(value) => value !== null && setMesh({ ...mesh, [kind]: value / 100 })}
            style={{ width: 110 }}
          />
        </label>
      ))}
      <p className="quiet">{t('apply.lossSaid')}</p>
      {!isZero(flow.circulating) && (
        <p className="power-loop" role="note">
          {t('apply.circulates', {
            share: percent(flow.circulating),
            members: flow.loop.map((m) => memberName(unit, m)).join(', '),
          })}
        </p>
      )}
      <PowerTable unit={unit} flow={flow} />
    </>
  );
}

function WhatComesOut({ loss }: { loss: ReturnType<typeof efficiency> }) {
  const { t } = useTranslation();
  return (
    <p className="power-efficiency">
      {loss.kind === 'turns' && (
        <>
          <strong className="figure">{formatNumber(100 * loss.efficiency, 1)} %</strong>{' '}
          {t('apply.comesOut', { torque: formatNumber(loss.torqueRatio, 2) })}
        </>
      )}
      {loss.kind === 'self-locking' && <strong>{t('apply.selfLocking')}</strong>}
      {loss.kind === 'open' && t('apply.lossOpen')}
    </p>
  );
}

interface FlowProps {
  readonly unit: Unit;
  readonly flow: ReturnType<typeof powerFlow>;
}

/** Link by link: gears, what rolls off their teeth, clutches that share, and those that pass on alone. */
function PowerTable(props: FlowProps) {
  const { t } = useTranslation();
  return (
    <TableScroll>
      <table className="plain apply-elements">
        <caption className="visually-hidden">{t('apply.powers')}</caption>
        <thead>
          <tr>
            <th scope="col">{t('apply.link')}</th>
            <th scope="col">{t('apply.member')}</th>
            <th scope="col" className="num">
              {t('apply.power')}
            </th>
          </tr>
        </thead>
        <tbody>
          <GearRows {...props} />
          <ClutchRows {...props} />
        </tbody>
      </table>
    </TableScroll>
  );
}

function GearRows({ unit, flow }: FlowProps) {
  const { t } = useTranslation();
  const ports = flow.ports.filter((p) => p.power === null || !isZero(p.power));
  return (
    <>
      {ports.map(({ set, port, member, power }) => (
        <tr key={`${set} ${port}`}>
          <th scope="row">
            <strong>{set}</strong> {t(`ports.${port}`)}
          </th>
          <td>
            {memberName(unit, member)}{' '}
            {power && t(power.num > 0n ? 'apply.givesIn' : 'apply.takesOut')}
          </td>
          <td className="num">{power ? percent(power) : t('apply.openShare')}</td>
        </tr>
      ))}
      {[...flow.rolling].map(
        ([set, power]) =>
          power &&
          !isZero(power) && (
            <tr key={`${set} teeth`}>
              <th scope="row">
                <strong>{set}</strong> {t('apply.inTeeth')}
              </th>
              <td>{t('apply.rolls')}</td>
              <td className="num">{percent(power)}</td>
            </tr>
          ),
      )}
    </>
  );
}

function ClutchRows({ unit, flow }: FlowProps) {
  const { t } = useTranslation();
  /** The member that is given this power. */
  const givenTo = (between: readonly [string, string], power: Fraction) =>
    memberName(unit, between[power.num > 0n ? 1 : 0]);
  const clutches = unit.elements.flatMap((e) => {
    const power = flow.clutches.get(e.id);
    return power && !isZero(power) ? [{ element: e, power }] : [];
  });
  return (
    <>
      {flow.together
        .filter((g) => !isZero(g.power))
        .map(({ elements, between, power }) => (
          <tr key={elements.join()}>
            <th scope="row">
              <strong>{elements.join(' + ')}</strong>
            </th>
            <td>{t('apply.passOnTogether', { to: givenTo(between, power) })}</td>
            <td className="num">{percent(power)}</td>
          </tr>
        ))}
      {clutches.map(({ element, power }) => (
        <tr key={element.id}>
          <th scope="row">
            <strong>{element.id}</strong> {element.name}
          </th>
          <td>
            {t('apply.passesOn', {
              to: givenTo(element.between, power),
            })}
          </td>
          <td className="num">{percent(power)}</td>
        </tr>
      ))}
    </>
  );
}

/** Size as a share of the input's power. */
const percent = (power: Fraction): string =>
  `${formatNumber(100 * Math.abs(toNumber(power)), 0)} %`;
