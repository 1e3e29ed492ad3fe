import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { HandOverSample } from '../../core/shift';
import type { Curve } from '../bench/curves/curve';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../bench/curves/figures';
import { useNumbers } from '../shared/numbers';
import type { DeskSession } from '../workers/faultWorker';
import type { ShiftTraces } from '../workers/protocol';

interface Props {
  session: DeskSession;
  /** `D1>D2`. */
  pair: string;
}

/** A shift that has been felt, through time, with a sound one beside it. */
export function ShiftTrace({ session, pair }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [traces, setTraces] = useState<ShiftTraces | null>(null);
  useEffect(() => {
    let here = true;
    session.shift(pair).then(
      (next) => here && setTraces(next),
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [session, pair]);
  const { now, sound } = traces ?? {};
  if (!now) return null;
  const time: Measured<HandOverSample> = { title: t('launch.time'), of: (s) => s.time, places: 2 };
  const input: Measured<HandOverSample> = {
    title: t('desk.inputSpeed'),
    of: (s) => s.inputRpm,
    quantity: 'speed',
    places: 0,
  };
  const output: Measured<HandOverSample> = {
    title: t('desk.outputTorque'),
    of: (s) => s.outputNm,
    quantity: 'torque',
    places: 0,
  };
  const line = (samples: readonly HandOverSample[], y: Measured<HandOverSample>) =>
    lineOf(numbers, samples, time, y);
  const curves: Curve[] = [
    { label: input.title, ink: '--drives', points: line(now, input) },
    {
      label: output.title,
      ink: '--driven',
      look: 'dashed',
      right: true,
      points: line(now, output),
    },
    ...(sound
      ? [
          {
            label: t('desk.soundInput'),
            ink: '--idle',
            look: 'thin',
            points: line(sound, input),
          } as const,
          {
            label: t('desk.soundOutput'),
            ink: '--idle',
            look: 'dotted',
            right: true,
            points: line(sound, output),
          } as const,
        ]
      : []),
  ];
  return (
    <div className="shift-trace">
      <CurveSheet
        title={t('desk.trace')}
        x={{ title: time.title, min: 0, max: now.at(-1)?.time ?? 1 }}
        y={{ title: headOf(numbers, input) }}
        right={{ title: headOf(numbers, output) }}
        curves={curves}
        figures={figuresOf(numbers, now, [time, input, output])}
        spoken={t('desk.trace')}
      />
    </div>
  );
}
