import { Checkbox, Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  AS_BUILT,
  clampLoad,
  clutchFindings,
  type Clutch,
  type HydraulicLink,
} from '../../../core/clutch';
import type { Problem } from '../../../core/formats';
import { ClutchFindings } from '../../clutch/ClutchFindings';
import { NumberPaths, type NumberPath } from './NumberPaths';

interface Props {
  clutch: Clutch;
  problems: readonly Problem[];
  onClutch: (clutch: Clutch, field?: string) => void;
}

const mm = (path: string, step = 0.1): NumberPath => ({
  path,
  quantity: 'length',
  scale: 1000,
  step,
});
const force = (path: string, step = 10): NumberPath => ({ path, quantity: 'force', step });
const perMm = (path: string): NumberPath => ({ path, unit: 'N/mm', scale: 1e-3, step: 1 });

const DISC: readonly NumberPath[] = [
  mm('disc.outerRadius', 0.5),
  mm('disc.innerRadius', 0.5),
  { path: 'disc.discs', step: 1 },
  mm('disc.newThickness'),
  mm('disc.wornThickness'),
  mm('disc.aboveRivets'),
  { ...mm('disc.cushion.travel', 0.05), label: 'cushionTravel' },
  { ...force('disc.cushion.load', 100), label: 'cushionLoad' },
  { path: 'disc.damper.stiffness', label: 'damperStiffness', unit: 'N·m/rad', step: 50 },
  { path: 'disc.damper.friction', label: 'damperFriction', quantity: 'torque' },
  { path: 'disc.inertia', label: 'discInertia', unit: 'kg·m²', step: 0.001 },
];
const FRICTION: readonly NumberPath[] = [
  { path: 'disc.friction.standing', step: 0.01 },
  { path: 'disc.friction.sliding', step: 0.01 },
  { path: 'disc.friction.slope', unit: 's/m', step: 0.0005 },
  { path: 'disc.friction.fadeFrom', quantity: 'temperature', step: 10 },
  { path: 'disc.friction.fade', unit: '%', scale: 100, step: 1 },
];
const DIAPHRAGM: readonly NumberPath[] = [
  mm('cover.spring.spring.outerDiameter', 0.5),
  mm('cover.spring.spring.innerDiameter', 0.5),
  { ...mm('cover.spring.spring.thickness', 0.05), label: 'springThickness' },
  mm('cover.spring.spring.coneHeight', 0.05),
  mm('cover.spring.plateRadius', 0.5),
  mm('cover.spring.pivotRadius', 0.5),
  mm('cover.spring.fingerRadius', 0.5),
  mm('cover.spring.installed', 0.05),
  perMm('cover.spring.fingerStiffness'),
];
const LEVERS: readonly NumberPath[] = [
  { path: 'cover.spring.springs', step: 1 },
  perMm('cover.spring.rate'),
  force('cover.spring.preload'),
  { path: 'cover.spring.leverRatio', step: 0.1 },
  mm('cover.spring.plateRadius', 0.5),
];
const STRAPS: readonly NumberPath[] = [
  { ...perMm('cover.straps.rate'), label: 'strapRate' },
  { ...force('cover.straps.preload'), label: 'strapPreload' },
  { path: 'cover.heatCapacity', unit: 'J/K', step: 100 },
  { path: 'cover.cooling', unit: 'W/K', step: 1 },
];
const CABLE: readonly NumberPath[] = [
  { path: 'linkage.drive.ratio', label: 'pedalRatio', step: 0.1 },
  { ...perMm('linkage.drive.stiffness'), label: 'cableStiffness' },
];
const HYDRAULIC: readonly NumberPath[] = [
  { path: 'linkage.drive.ratio', label: 'pedalRatio', step: 0.1 },
  mm('linkage.drive.masterBore', 0.05),
  mm('linkage.drive.slaveBore', 0.05),
  mm('linkage.drive.rodPlay'),
  { path: 'linkage.drive.give', unit: 'mm³/MPa', scale: 1e15, step: 10 },
];
const PEDAL: readonly NumberPath[] = [
  mm('linkage.pedalTravel', 1),
  mm('linkage.pedalArm', 1),
  { path: 'linkage.forkRatio', step: 0.05 },
  mm('linkage.forkPlay'),
  force('linkage.returnForce', 1),
];
const OVER: readonly NumberPath[] = [
  { ...perMm('linkage.overCentre.rate'), label: 'overRate' },
  mm('linkage.overCentre.freeLength', 1),
  mm('linkage.overCentre.anchor', 1),
  mm('linkage.overCentre.arm', 1),
  mm('linkage.overCentre.centre', 1),
];
const LIMITS: readonly NumberPath[] = [
  { ...mm('limits.pedalPlay.0', 1), label: 'playLeast' },
  { ...mm('limits.pedalPlay.1', 1), label: 'playMost' },
  mm('limits.releasedGap'),
  mm('limits.fingerHeight'),
];

/** A clutch's data from the disc to the pedal, group by group. */
export function ClutchFields({ clutch, problems, onClutch }: Props) {
  const { t } = useTranslation();
  const part = (title: string, numbers: readonly NumberPath[]) => (
    <>
      <strong>{t(`clutchFields.${title}`)}</strong>
      <NumberPaths document={clutch} numbers={numbers} problems={problems} onDocument={onClutch} />
    </>
  );
  const { linkage, cover } = clutch;
  return (
    <>
      {problems.length === 0 && <ClutchFindings findings={clutchFindings(clutch)} />}
      {part('disc', DISC)}
      <Segmented
        block
        aria-label={t('clutchFields.theory')}
        value={clutch.disc.theory}
        onChange={(theory) => onClutch({ ...clutch, disc: { ...clutch.disc, theory } }, 'theory')}
        options={(['uniform-wear', 'uniform-pressure'] as const).map((v) => ({
          value: v,
          label: t(`clutchFields.${v}`),
        }))}
      />
      {part('friction', FRICTION)}
      <Segmented
        block
        aria-label={t('clutchFields.cover')}
        value={cover.spring.kind}
        onChange={(kind) => {
          if (kind !== cover.spring.kind) onClutch(withCover(clutch, kind));
        }}
        options={(['diaphragm', 'levers'] as const).map((v) => ({
          value: v,
          label: t(`clutchFields.${v}`),
        }))}
      />
      {part('cover', cover.spring.kind === 'diaphragm' ? DIAPHRAGM : LEVERS)}
      {part('straps', STRAPS)}
      <Segmented
        block
        aria-label={t('clutchFields.linkage')}
        value={linkage.drive.kind}
        onChange={(kind) => {
          if (kind !== linkage.drive.kind)
            onClutch({
              ...clutch,
              linkage: { ...linkage, drive: kind === 'cable' ? A_CABLE : HYDRAULICS },
            });
        }}
        options={(['cable', 'hydraulic'] as const).map((v) => ({
          value: v,
          label: t(`clutchFields.${v}`),
        }))}
      />
      {linkage.drive.kind === 'hydraulic' && (
        <Checkbox
          checked={linkage.drive.selfAdjusting ?? false}
          onChange={(e) =>
            onClutch({
              ...clutch,
              linkage: {
                ...linkage,
                drive: { ...(linkage.drive as HydraulicLink), selfAdjusting: e.target.checked },
              },
            })
          }
        >
          {t('clutchFields.selfAdjusting')}
        </Checkbox>
      )}
      {part('linkage', linkage.drive.kind === 'cable' ? CABLE : HYDRAULIC)}
      {part('pedal', PEDAL)}
      {linkage.overCentre && part('over', OVER)}
      {part('limits', LIMITS)}
    </>
  );
}

const A_CABLE = { kind: 'cable', ratio: 6.4, stiffness: 400_000 } as const;
const HYDRAULICS = {
  kind: 'hydraulic',
  ratio: 5.4,
  masterBore: 0.01905,
  slaveBore: 0.0206,
  give: 9e-14,
  rodPlay: 0.001,
} as const;

/** The other kind of cover with about the same load on the plate. */
function withCover(clutch: Clutch, kind: 'diaphragm' | 'levers'): Clutch {
  const { disc, cover } = clutch;
  const plateRadius = disc.outerRadius * 0.92;
  const spring =
    kind === 'levers'
      ? ({
          kind,
          springs: 9,
          rate: 45_000,
          preload: Math.max(100, Math.round(clampLoad(clutch, AS_BUILT) / 9)),
          levers: 3,
          leverRatio: 4.6,
          plateRadius,
        } as const)
      : ({
          kind,
          spring: {
            outerDiameter: tidyMm(disc.outerRadius * 1.87),
            innerDiameter: tidyMm(disc.outerRadius * 1.53),
            thickness: 0.0022,
            coneHeight: 0.00385,
          },
          plateRadius: tidyMm(disc.outerRadius * 0.924),
          pivotRadius: tidyMm(disc.outerRadius * 0.813),
          fingerRadius: tidyMm(disc.outerRadius * 0.267),
          installed: 0.00279,
          fingerStiffness: 900_000,
        } as const);
  return { ...clutch, cover: { ...cover, spring } };
}

const tidyMm = (metres: number): number => Number(metres.toFixed(4));
