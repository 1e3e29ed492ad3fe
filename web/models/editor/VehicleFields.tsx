import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Problem } from '../../../core/formats';
import { drivelineOf, fluidOf, scheduleOf, type Vehicle } from '../../../core/vehicle';
import { NumberField } from '../../shared/NumberField';

interface Props {
  vehicle: Vehicle;
  problems: readonly Problem[];
  onVehicle: (vehicle: Vehicle, field?: string) => void;
}

const SCHEDULE = ['light', 'full', 'hysteresis', 'kickDown'] as const;

/** A vehicle's data: what the road asks, when it changes gear, and its fluid. */
export function VehicleFields({ vehicle, problems, onVehicle }: Props) {
  const { t } = useTranslation();
  const fields: FieldsProps = {
    vehicle,
    faulty: (path) => problems.some((p) => p.path === path),
    set: (change, field) => onVehicle({ ...vehicle, ...change }, field),
  };
  return (
    <>
      <RoadFields {...fields} />
      <ScheduleFields {...fields} />
      <FluidFields {...fields} />
      {(vehicle.schedule ?? vehicle.fluid) && (
        <div className="row">
          <Button
            onClick={() => {
              const usual = { ...vehicle };
              delete usual.schedule;
              delete usual.fluid;
              onVehicle(usual);
            }}
          >
            {t('partEditor.usual')}
          </Button>
        </div>
      )}
    </>
  );
}

interface FieldsProps {
  readonly vehicle: Vehicle;
  readonly faulty: (path: string) => boolean;
  readonly set: (change: Partial<Vehicle>, field: string) => void;
}

function RoadFields({ vehicle, faulty, set }: FieldsProps) {
  const { t } = useTranslation();
  return (
    <div className="number-fields">
      <NumberField
        label={t('modelFields.massKg')}
        quantity="mass"
        step={50}
        value={vehicle.massKg}
        faulty={faulty('massKg')}
        onValue={(massKg) => set({ massKg }, 'massKg')}
      />
      <NumberField
        label={t('modelFields.tyreRadiusM')}
        quantity="length"
        step={5}
        value={1000 * vehicle.tyreRadiusM}
        faulty={faulty('tyreRadiusM')}
        onValue={(mm) => set({ tyreRadiusM: Number((mm / 1000).toPrecision(9)) }, 'tyreRadiusM')}
      />
      <NumberField
        label={t('modelFields.finalDrive')}
        unit=": 1"
        step={0.1}
        value={vehicle.finalDrive}
        faulty={faulty('finalDrive')}
        onValue={(finalDrive) => set({ finalDrive }, 'finalDrive')}
      />
      <NumberField
        label={t('modelFields.dragAreaM2')}
        unit="m²"
        step={0.05}
        value={vehicle.dragAreaM2}
        faulty={faulty('dragAreaM2')}
        onValue={(dragAreaM2) => set({ dragAreaM2 }, 'dragAreaM2')}
      />
      <NumberField
        label={t('modelFields.driveline')}
        unit="%"
        step={1}
        value={Number((100 * drivelineOf(vehicle)).toPrecision(9))}
        faulty={faulty('driveline')}
        onValue={(v) => set({ driveline: Number((v / 100).toPrecision(9)) }, 'driveline')}
      />
      <NumberField
        label={t('modelFields.rolling')}
        unit="%"
        step={0.1}
        value={100 * vehicle.rolling}
        faulty={faulty('rolling')}
        onValue={(v) => set({ rolling: v / 100 }, 'rolling')}
      />
    </div>
  );
}

function ScheduleFields({ vehicle, faulty, set }: FieldsProps) {
  const { t } = useTranslation();
  const schedule = scheduleOf(vehicle);
  return (
    <>
      <strong>{t('partEditor.schedule')}</strong>
      <p className="quiet">{t('partEditor.scheduleSaid')}</p>
      <div className="number-fields">
        {SCHEDULE.map((field) => (
          <NumberField
            key={field}
            label={t(`modelFields.${field}`)}
            unit="%"
            value={100 * schedule[field]}
            faulty={faulty(`schedule.${field}`)}
            onValue={(v) => set({ schedule: { ...schedule, [field]: v / 100 } }, field)}
          />
        ))}
      </div>
    </>
  );
}

function FluidFields({ vehicle, faulty, set }: FieldsProps) {
  const { t } = useTranslation();
  const fluid = fluidOf(vehicle);
  return (
    <>
      <strong>{t('partEditor.fluid')}</strong>
      <div className="number-fields">
        <NumberField
          label={t('modelFields.fluidMass')}
          quantity="mass"
          value={fluid.massKg}
          faulty={faulty('fluid.massKg')}
          onValue={(massKg) => set({ fluid: { ...fluid, massKg } }, 'fluid mass')}
        />
        <NumberField
          label={t('modelFields.coolerWK')}
          unit="W/K"
          step={10}
          value={fluid.coolerWK}
          faulty={faulty('fluid.coolerWK')}
          onValue={(coolerWK) => set({ fluid: { ...fluid, coolerWK } }, 'cooler')}
        />
        <NumberField
          label={t('modelFields.coolantC')}
          quantity="temperature"
          step={5}
          value={fluid.coolantC}
          faulty={faulty('fluid.coolantC')}
          onValue={(coolantC) => set({ fluid: { ...fluid, coolantC } }, 'coolant')}
        />
      </div>
    </>
  );
}
