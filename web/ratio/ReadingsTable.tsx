import { useTranslation } from 'react-i18next';
import { roleOf, thirdPort, type GearSetSetup, type Port } from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import { powerKw } from '../../core/quantities';
import { useNumbers } from '../shared/numbers';
import { paintOf } from '../bench/paint';
import type { SetModel } from './useSetModel';

const NONE = '–';

/** What goes in at the input, comes out at the output, and is taken by the held part. */
function shaftTorque(port: Port, { roles }: GearSetSetup, model: SetModel): number | null {
  const { torqueNm } = model.readings[port];
  return torqueNm === null || port !== roles.driven ? torqueNm : 0 - torqueNm;
}

/** Speed, torque and power on each shaft, and the pinions on their pins. */
export function ReadingsTable({ setup, model }: { setup: GearSetSetup; model: SetModel }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { roles } = setup;
  const order = [roles.drives, roles.driven, thirdPort(roles)];
  const carries = model.solution.outcome === 'drives';
  return (
    <table className="plain readings">
      <caption className="visually-hidden">{t('bench.readings')}</caption>
      <thead>
        <tr>
          <th scope="col">{t('bench.part')}</th>
          {(['speed', 'torque', 'power'] as const).map((q) => (
            <th key={q} scope="col" className="num">
              {numbers.unit(q)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {order.map((port) => {
          const role = roleOf(roles, port);
          const { speedRpm } = model.readings[port];
          const torqueNm = shaftTorque(port, setup, model);
          const power = speedRpm === null || torqueNm === null ? null : powerKw(speedRpm, torqueNm);
          return (
            <tr key={port}>
              <th scope="row" className={`reading-part role-${paintOf(role)}`}>
                {t(`roles.${role}`)} {t(`parts.${port}`)}
              </th>
              <td className="num">
                {speedRpm === null ? t('bench.free') : numbers.value(speedRpm, 'speed')}
              </td>
              <td className="num">
                {torqueNm === null ? NONE : numbers.value(torqueNm, 'torque')}
              </td>
              <td className="num">
                {power === null || !carries ? NONE : numbers.value(power, 'power')}
              </td>
            </tr>
          );
        })}
        {model.solution.pinions.map(({ name, speed }) => (
          <tr key={name}>
            <th scope="row" className="reading-part quiet">
              {t(`pinions.${name}`)}
            </th>
            <td className="num">
              {speed ? numbers.value(toNumber(speed) * setup.inputSpeedRpm, 'speed') : NONE}
            </td>
            <td className="num" />
            <td className="num" />
          </tr>
        ))}
      </tbody>
    </table>
  );
}
