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

/** What the road asks, in the order of the form, and how each is shown. */
const ROAD = {
  massKg: { quantity: 'mass', step: 50 },
  tyreRadiusM: { quantity: 'length', per: 1000, step: 5 },
  finalDrive: { unit: ': 1', step: 0.1 },
  dragAreaM2: { unit: 'm²', step: 0.05 },
  driveline: { unit: '%', per: 100, step: 1 },
  rolling: { unit: '%', per: 100, step: 0.1 },
} as const;
const ROAD_FIELDS = Object.keys(ROAD) as (keyof typeof ROAD)[];

function RoadFields({ vehicle, faulty, set }: FieldsProps) {
  const { t } = useTranslation();
  const shown = { ...vehicle, driveline: drivelineOf(vehicle) };
  return (
    <div className="number-fields">
      {ROAD_FIELDS.map((field) => (
        <NumberField
          key={field}
          label={t(`modelFields.${field}`)}
          {...ROAD[field]}
          value={shown[field]}
          faulty={faulty(field)}
          onValue={(value) => set({ [field]: value }, field)}
        />
      ))}
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
            per={100}
            value={schedule[field]}
            faulty={faulty(`schedule.${field}`)}
            onValue={(v) => set({ schedule: { ...schedule, [field]: v } }, field)}
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
