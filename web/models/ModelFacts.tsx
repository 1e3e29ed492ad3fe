import { useTranslation } from 'react-i18next';
import {
  bestPower,
  characteristicOf,
  engineModel,
  type Converter,
  type Engine,
} from '../../core/converter';
import { stationsOf, type Job } from '../../core/assembly';
import type { Model } from '../../core/formats';
import type { Unit } from '../../core/geartrain';
import {
  AS_BUILT,
  holdingTorque,
  packTorque,
  rubbingFaces,
  type Clutch,
  type ClutchPack,
} from '../../core/clutch';
import { rigKind, rigOfCase, type FaultCase } from '../../core/faults';
import { partsOf, type HydraulicPlan } from '../../core/hydraulics';
import type { Vehicle } from '../../core/vehicle';
import { useAppSelector } from '../state/hooks';
import { selectUnits } from '../state/modelsSlice';
import { formatNumber, formatRatio, useNumbers } from '../shared/numbers';
import { useUnitFigures } from '../state/useUnitAnswers';

/** What tells one model from another, in a few figures that are computed from it. */
export function ModelFacts({ model }: { model: Model }) {
  switch (model.format) {
    case 'fair-sprocket/unit':
      return <UnitFacts unit={model} />;
    case 'fair-sprocket/converter':
      return <ConverterFacts converter={model} />;
    case 'fair-sprocket/engine':
      return <EngineFacts engine={model} />;
    case 'fair-sprocket/vehicle':
      return <VehicleFacts vehicle={model} />;
    case 'fair-sprocket/clutch':
      return <ClutchFacts clutch={model} />;
    case 'fair-sprocket/hydraulics':
      return <PlanFacts plan={model} />;
    case 'fair-sprocket/fault-case':
      return <CaseFacts faultCase={model} />;
    case 'fair-sprocket/job':
      return <JobFacts job={model} />;
    case 'fair-sprocket/clutch-pack':
      return <PackFacts pack={model} />;
  }
}

function UnitFacts({ unit }: { unit: Unit }) {
  const { t } = useTranslation();
  const figures = useUnitFigures(unit);
  return (
    <>
      <span>{t('unitLibrary.sets', { count: unit.gearsets.length })}</span>
      <span>{t('unitLibrary.elements', { count: unit.elements.length })}</span>
      <span className="quiet">{figures?.ratios.map(formatRatio).join('  ')}</span>
    </>
  );
}

function ConverterFacts({ converter }: { converter: Converter }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const characteristic = characteristicOf(converter)!;
  const { model, lockUpCapacity } = converter;
  return (
    <>
      <span>{t(`modelFacts.${model.kind}`)}</span>
      <span>
        {t('modelFacts.stallRatio', { ratio: formatRatio(characteristic.at(0).torqueRatio) })}
      </span>
      <span>{t('modelFacts.couples', { ratio: formatRatio(characteristic.couplesAt) })}</span>
      {lockUpCapacity !== undefined && (
        <span>
          {t('modelFacts.lockUp', { torque: numbers.quantity(lockUpCapacity, 'torque') })}
        </span>
      )}
    </>
  );
}

function EngineFacts({ engine }: { engine: Engine }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const most = engine.rows.reduce((a, b) => (b.torqueNm > a.torqueNm ? b : a));
  const { watts, speedRpm } = bestPower(engineModel(engine));
  return (
    <>
      <span>
        {t('modelFacts.at', {
          what: numbers.quantity(most.torqueNm, 'torque'),
          speed: formatNumber(most.speedRpm, 0),
        })}
      </span>
      <span>
        {t('modelFacts.at', {
          what: numbers.quantity(watts / 1000, 'power'),
          speed: formatNumber(Math.round(speedRpm / 10) * 10, 0),
        })}
      </span>
      <span>{t('modelFacts.governed', { speed: formatNumber(engine.governedRpm, 0) })}</span>
    </>
  );
}

function VehicleFacts({ vehicle }: { vehicle: Vehicle }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <>
      <span>{numbers.quantity(vehicle.massKg, 'mass')}</span>
      <span>{t('modelFacts.axle', { ratio: formatRatio(vehicle.finalDrive) })}</span>
      <span>
        {t('modelFacts.tyre', { length: numbers.quantity(1000 * vehicle.tyreRadiusM, 'length') })}
      </span>
    </>
  );
}

function ClutchFacts({ clutch }: { clutch: Clutch }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { cover, linkage, disc } = clutch;
  return (
    <>
      <span>{t(`clutchFields.${cover.spring.kind}`)}</span>
      <span>{t(`clutchFields.${linkage.drive.kind}`)}</span>
      <span>
        {t('modelFacts.across', { length: numbers.quantity(2000 * disc.outerRadius, 'length') })}
      </span>
      <span>
        {t('modelFacts.holds', {
          torque: numbers.quantity(holdingTorque(clutch, AS_BUILT), 'torque'),
        })}
      </span>
    </>
  );
}

function PackFacts({ pack }: { pack: ClutchPack }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <>
      <span>{t('pack.faces', { count: rubbingFaces(pack) })}</span>
      <span>
        {t('modelFacts.holds', {
          torque: numbers.quantity(packTorque(pack, pack.pressure), 'torque'),
        })}
      </span>
    </>
  );
}

/** Never what is wrong: a class looks over the shoulder. */
function CaseFacts({ faultCase }: { faultCase: FaultCase }) {
  const { t } = useTranslation();
  const { unit, limitMinutes } = faultCase;
  return (
    <>
      <span>{t(`faults.rigs.${rigKind(rigOfCase(faultCase))}`)}</span>
      {unit && <span>{unit.name}</span>}
      {limitMinutes !== undefined && (
        <span>{t('modelFacts.limit', { minutes: limitMinutes })}</span>
      )}
    </>
  );
}

function PlanFacts({ plan }: { plan: HydraulicPlan }) {
  const { t } = useTranslation();
  const unit = useAppSelector(selectUnits).byId[plan.unit];
  return (
    <>
      <span>{unit?.name ?? plan.unit}</span>
      <span>{t('modelFacts.oilParts', { count: plan.parts.length })}</span>
      <span>{t('modelFacts.shiftValves', { count: partsOf(plan, 'shift-valve').length })}</span>
    </>
  );
}

function JobFacts({ job }: { job: Job }) {
  const { t } = useTranslation();
  return (
    <>
      <span>{(job.unit ?? job.clutch)?.name}</span>
      <span>{t('modelFacts.stations', { count: stationsOf(job).length })}</span>
    </>
  );
}
