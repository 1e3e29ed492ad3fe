import { useMemo, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { endView } from '../../core/drawing';
import {
  CASE,
  checkTeeth,
  PORTS,
  type MemberRole,
  type PlanetaryUnitSet,
  type Port,
  type Role,
  type Solution,
  type Unit,
} from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import { EndViewPicture } from '../bench/EndViewPicture';
import type { Turning } from '../bench/useTurning';
import { formatRatio } from '../shared/numbers';
import { useElementSize } from '../shared/useElementSize';
import './UnitSetView.css';
import { memberName } from '../shared/unitNames';

interface Props {
  unit: Unit;
  set: PlanetaryUnitSet;
  solution: Solution;
  roles: ReadonlyMap<string, MemberRole>;
  turning: Turning;
}

/** The end view of one gear set of a unit, turning as the unit makes it turn. */
export function UnitSetView({ unit, set, solution, roles, turning }: Props) {
  const { t } = useTranslation();
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useElementSize(box);
  const view = useMemo(() => endView(set), [set]);
  const misfit = useMemo(() => checkTeeth(set).length > 0, [set]);
  const parts = PORTS.map((port) => {
    const member = set[port];
    const speed = member === CASE ? 0 : solution.speeds.get(member);
    return {
      port,
      name: member === CASE ? t('apply.case') : memberName(unit, member),
      role: roles.get(member) ?? ('idle' as const),
      speed: speed === 0 ? 0 : speed ? toNumber(speed) : null,
    };
  });
  const byPort = <T,>(of: (p: (typeof parts)[number]) => T) =>
    Object.fromEntries(parts.map((p) => [p.port, of(p)])) as Record<Port, T>;
  const role = byPort((p): Role | null => (p.role === 'idle' ? 'free' : p.role));
  const shown = byPort((p) => p.speed ?? 0);
  const words = parts
    .map((p) => `${t(`parts.${p.port}`)}, ${p.name}: ${t(`memberRoles.${p.role}`)}`)
    .join('. ');
  const scale = (0.47 * Math.min(width * 0.72, height)) / (view.extent + 2.6);
  return (
    <div ref={box} className="unit-set">
      {width > 0 && (
        <EndViewPicture
          width={width}
          height={height}
          label={words}
          view={view}
          roles={role}
          shown={shown}
          turning={turning}
          scale={scale}
          centre={{ x: width * 0.36, y: height / 2 }}
          misfit={misfit}
        />
      )}
      <dl className="unit-set-parts">
        {parts.map(({ port, name, role: does, speed }) => (
          <div key={port} className={`role-${does}`}>
            <dt>
              {t(`parts.${port}`)} <span className="quiet">{name}</span>
            </dt>
            <dd>
              <strong>{t(`memberRoles.${does}`)}</strong>{' '}
              {speed === null ? t('apply.floats') : `× ${formatRatio(speed)}`}
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
