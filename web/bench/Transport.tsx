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

interface TransportProps {
  turning: Turning;
  /** Angle of one step of the input, in rad. */
  step: number;
  /** What a step back and a step on are called. */
  back: string;
  on: string;
  small?: boolean;
}

/** Turn, step, slow down. */
export function Transport({ turning, step, back, on, small = false }: TransportProps) {
  const { t } = useTranslation();
  const size = small ? 'small' : 'middle';
  return (
    <div className="transport" role="group" aria-label={t('bench.transport')}>
      <Button
        size={size}
        icon={turning.playing ? <PauseOutlined /> : <CaretRightOutlined />}
        onClick={turning.toggle}
        aria-keyshortcuts="Space"
      >
        {turning.playing ? t('bench.pause') : t('bench.turn')}
      </Button>
      <Button
        size={size}
        icon={<StepBackwardOutlined />}
        onClick={() => turning.stepBy(-step)}
        aria-label={back}
        title={back}
        aria-keyshortcuts="ArrowLeft"
      />
      <Button
        size={size}
        icon={<StepForwardOutlined />}
        onClick={() => turning.stepBy(step)}
        aria-label={on}
        title={on}
        aria-keyshortcuts="ArrowRight"
      />
      <Button
        size={size}
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

/** The transport of one gear set: a step is a tooth. */
export function ToothTransport({ setup, turning }: { setup: GearSetSetup; turning: Turning }) {
  const { t } = useTranslation();
  return (
    <Transport
      turning={turning}
      step={toothAngle(setup)}
      back={t('bench.toothBack')}
      on={t('bench.toothOn')}
    />
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
