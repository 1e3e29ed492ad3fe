import { useTranslation } from 'react-i18next';
import type { Vehicle } from '../../../core/vehicle';
import { ModelPicker } from './ModelPicker';

interface Props {
  question: { readonly vehicle: string };
  onVehicle: (vehicle: Vehicle) => void;
}

/** What a question is driven in. */
export function VehicleField({ question, onVehicle }: Props) {
  const { t } = useTranslation();
  return (
    <ModelPicker
      kind="fair-sprocket/vehicle"
      label={t('converter.vehicle')}
      value={question.vehicle}
      onModel={onVehicle}
    />
  );
}
