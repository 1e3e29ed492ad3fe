import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { HandOverSample } from '../../core/shift';
import type { Curve } from '../bench/curves/curve';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';
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
  const line = (samples: readonly HandOverSample[], y: (s: HandOverSample) => number) =>
    samples.map((s) => ({ x: s.time, y: y(s) }));
  const input = (s: HandOverSample) => s.inputRpm;
  const output = (s: HandOverSample) => numbers.toDisplay(s.outputNm, 'torque');
  const curves: Curve[] = [
    { label: t('desk.inputSpeed'), ink: '--drives', points: line(now, input) },
    {
      label: t('desk.outputTorque'),
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
        x={{ title: t('launch.time'), min: 0, max: now.at(-1)?.time ?? 1 }}
        y={{ title: `${t('desk.inputSpeed')}, ${numbers.unit('speed')}` }}
        right={{ title: `${t('desk.outputTorque')}, ${numbers.unit('torque')}` }}
        curves={curves}
        figures={{
          titles: [
            t('launch.time'),
            `${t('desk.inputSpeed')}, ${numbers.unit('speed')}`,
            `${t('desk.outputTorque')}, ${numbers.unit('torque')}`,
          ],
          rows: now.map((s) => [
            formatNumber(s.time, 2),
            formatNumber(s.inputRpm, 0),
            formatNumber(output(s), 0),
          ]),
        }}
        spoken={t('desk.trace')}
      />
    </div>
  );
}
