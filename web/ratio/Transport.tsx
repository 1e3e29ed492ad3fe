import {
  CaretRightOutlined,
  PauseOutlined,
  StepBackwardOutlined,
  StepForwardOutlined,
} from '../shared/icons';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { GearSetSetup, Port } from '../../core/geartrain';
import { formatNumber } from '../shared/numbers';
import { toothAngle } from './toothAngle';
import type { Turning } from './useTurning';
import './Transport.css';

const TURN = 2 * Math.PI;
const CRANK_TURNS = 10;

/** Turn, step by a tooth, slow down. */
export function Transport({ setup, turning }: { setup: GearSetSetup; turning: Turning }) {
  const { t } = useTranslation();
  const tooth = toothAngle(setup);
  return (
    <div className="transport" role="group" aria-label={t('bench.transport')}>
      <Button
        icon={turning.playing ? <PauseOutlined /> : <CaretRightOutlined />}
        onClick={turning.toggle}
        aria-keyshortcuts="Space"
      >
        {turning.playing ? t('bench.pause') : t('bench.turn')}
      </Button>
      <Button
        icon={<StepBackwardOutlined />}
        onClick={() => turning.stepBy(-tooth)}
        aria-label={t('bench.toothBack')}
        title={t('bench.toothBack')}
        aria-keyshortcuts="ArrowLeft"
      />
      <Button
        icon={<StepForwardOutlined />}
        onClick={() => turning.stepBy(tooth)}
        aria-label={t('bench.toothOn')}
        title={t('bench.toothOn')}
        aria-keyshortcuts="ArrowRight"
      />
      <Button
        onClick={turning.toggleSlow}
        aria-pressed={turning.slow}
        type={turning.slow ? 'primary' : 'default'}
        aria-keyshortcuts="s"
      >
        {t('bench.slow')}
      </Button>
    </div>
  );
}

interface CrankProps {
  shown: Record<Port, number>;
  setup: GearSetSetup;
  turning: Turning;
}

/** Turn the input by hand and count what comes out. */
export function Crank({ shown, setup, turning }: CrankProps) {
  const { t } = useTranslation();
  const [turns, setTurns] = useState(0);
  const { subscribe } = turning;
  // While it turns by itself the crank follows, at a rate that the eye can read.
  useEffect(() => {
    let last = 0;
    return subscribe((angle) => {
      const now = Math.abs(angle / TURN) % CRANK_TURNS;
      if (Math.abs(now - last) < 0.05) return;
      last = now;
      setTurns(now);
    });
  }, [subscribe]);
  const { drives, driven } = setup.roles;
  const count = (n: number) => formatNumber(n, 1);
  return (
    <div className="crank">
      <span className="label">{t('bench.crank')}</span>
      <input
        type="range"
        min={0}
        max={CRANK_TURNS}
        step={0.05}
        value={turns}
        aria-label={t('bench.crank')}
        aria-valuetext={t('bench.turnsOf', { n: count(turns), part: t(`parts.${drives}`) })}
        onChange={(event) => {
          const value = Number(event.target.value);
          setTurns(value);
          turning.turnTo(value * TURN);
        }}
      />
      <div className="crank-count">
        <span className="role-drives">
          {t('bench.turnsOf', { n: count(turns), part: t(`parts.${drives}`) })}
        </span>
        <span className="role-driven">
          {t('bench.turnsOf', { n: count(turns * shown[driven]), part: t(`parts.${driven}`) })}
        </span>
      </div>
    </div>
  );
}
