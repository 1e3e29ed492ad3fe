import { Checkbox, Input, Segmented } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { MEASURED, measuredIn, type ClutchPack, type PackRotation } from '../../../core/clutch';
import type { Problem } from '../../../core/formats';
import { useNumbers } from '../../shared/numbers';
import { ChoiceField } from '../../bench/ChoiceField';
import { NumberPaths, type NumberPath } from './NumberPaths';

interface Props {
  pack: ClutchPack;
  problems: readonly Problem[];
  onPack: (pack: ClutchPack, field?: string) => void;
}

const mm = (path: string, step = 0.1): NumberPath => ({
  path,
  quantity: 'length',
  scale: 1000,
  step,
});

const GROUPS: readonly (readonly [string, readonly NumberPath[]])[] = [
  [
    'piston',
    [
      mm('piston.outerRadius', 0.5),
      mm('piston.innerRadius', 0.5),
      { path: 'piston.returnForce', quantity: 'force', step: 50 },
      { path: 'pressure', quantity: 'pressure', scale: 1e-3, step: 10 },
    ],
  ],
  [
    'faces',
    [
      mm('faces.outerRadius', 0.5),
      mm('faces.innerRadius', 0.5),
      mm('lining', 0.05),
      { path: 'faces.friction.standing', step: 0.005 },
      { path: 'faces.friction.sliding', step: 0.005 },
      { path: 'faces.friction.slope', unit: 's/m', step: 0.0005 },
      { path: 'faces.friction.fadeFrom', quantity: 'temperature', step: 10 },
      { path: 'faces.friction.fade', unit: '%', scale: 100, step: 1 },
    ],
  ],
  [
    'room',
    [
      mm('depth'),
      mm('ring.diameter', 0.5),
      { ...mm('ring.thickness'), label: 'ringThickness' },
      mm('ring.grooveDepth', 0.05),
      { path: 'ring.bears', label: 'grooveBears', unit: '%', scale: 100, step: 5, otherwise: 1 },
      { ...mm('clearance.0', 0.05), label: 'clearanceLeast' },
      { ...mm('clearance.1', 0.05), label: 'clearanceMost' },
    ],
  ],
];

/** A pack's data; its plates are laid out in the drawing at the left. */
export function PackFields({ pack, problems, onPack }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const inList = pack.selective.thicknesses
    .map((v) => Number(numbers.toDisplay(1000 * v, 'length').toPrecision(5)))
    .join(', ');
  const [typed, setTyped] = useState<string | null>(null);
  const take = (text: string) => {
    setTyped(text);
    const values = text
      .split(/[,;\s]+/)
      .filter((v) => v !== '')
      .map((v) => Number((numbers.fromDisplay(Number(v), 'length') / 1000).toPrecision(7)));
    if (values.every((v) => Number.isFinite(v)))
      onPack({ ...pack, selective: { ...pack.selective, thicknesses: values } }, 'selective');
  };
  return (
    <>
      {GROUPS.map(([title, paths]) => (
        <div key={title}>
          <strong>{t(`packFields.${title}`)}</strong>
          <NumberPaths document={pack} numbers={paths} problems={problems} onDocument={onPack} />
        </div>
      ))}
      <ChoiceField
        label={t('packFields.measured')}
        value={measuredIn(pack)}
        of={MEASURED}
        name={(v) => t(`pack.ways.${v}`)}
        onValue={(measured) => onPack({ ...pack, measured }, 'measured')}
      />
      <RotationFields {...{ pack, problems, onPack }} />
      <strong>{t('packFields.selective')}</strong>
      <Segmented
        block
        aria-label={t('packFields.selective')}
        value={pack.selective.part}
        onChange={(part) => onPack({ ...pack, selective: { ...pack.selective, part } }, 'part')}
        options={(['end-plate', 'ring'] as const).map((v) => ({
          value: v,
          label: t(`pack.parts.${v}`),
        }))}
      />
      <label className="field">
        <span className="label">
          {t('packFields.thicknesses')}, {numbers.unit('length')}
        </span>
        <Input
          value={typed ?? inList}
          onChange={(e) => take(e.target.value)}
          onBlur={() => setTyped(null)}
        />
      </label>
    </>
  );
}

/** What a drum that turns has; a brake has none of it. */
const USUAL_ROTATION = { feedRadius: 0.03, mostRpm: 5000 };
const usualBalance = ({ piston }: ClutchPack) => ({
  outerRadius: piston.outerRadius,
  innerRadius: piston.innerRadius,
  fillRadius: piston.innerRadius,
});

function RotationFields({ pack, problems, onPack }: Props) {
  const { t } = useTranslation();
  const { rotation } = pack;
  const set = (next: PackRotation) => onPack({ ...pack, rotation: next }, 'rotation');
  const turns = (on: boolean) => {
    const { rotation: gone, ...still } = pack;
    onPack(on ? { ...pack, rotation: USUAL_ROTATION } : still, 'rotation');
  };
  const balanced = (on: boolean) => {
    const { balance, ...rest } = rotation!;
    set(on ? { ...rest, balance: usualBalance(pack) } : rest);
  };
  return (
    <>
      <Checkbox checked={rotation !== undefined} onChange={(e) => turns(e.target.checked)}>
        {t('packFields.turns')}
      </Checkbox>
      {rotation && (
        <>
          <NumberPaths
            document={pack}
            numbers={[
              mm('rotation.feedRadius', 0.5),
              { path: 'rotation.mostRpm', quantity: 'speed', step: 100 },
            ]}
            problems={problems}
            onDocument={onPack}
          />
          <Checkbox
            checked={rotation.bleedBall ?? false}
            onChange={(e) => set({ ...rotation, bleedBall: e.target.checked })}
          >
            {t('packFields.bleedBall')}
          </Checkbox>
          <Checkbox
            checked={rotation.balance !== undefined}
            onChange={(e) => balanced(e.target.checked)}
          >
            {t('packFields.balance')}
          </Checkbox>
          {rotation.balance && (
            <NumberPaths
              document={pack}
              numbers={[
                mm('rotation.balance.outerRadius', 0.5),
                mm('rotation.balance.innerRadius', 0.5),
                mm('rotation.balance.fillRadius', 0.5),
              ]}
              problems={problems}
              onDocument={onPack}
            />
          )}
        </>
      )}
    </>
  );
}
