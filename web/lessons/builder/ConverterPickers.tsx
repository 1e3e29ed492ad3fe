import { useTranslation } from 'react-i18next';
import type { Model } from '../../../core/formats';
import { ModelPicker } from './ModelPicker';

interface Props {
  named: { converter: string; engine: string; vehicle?: string; unit?: string };
  onModel: (field: 'converter' | 'engine' | 'vehicle' | 'unit', model: Model) => void;
}

/** Which converter, engine and, for a launch, vehicle and unit a block is about. */
export function ConverterPickers({ named, onModel }: Props) {
  const { t } = useTranslation();
  return (
    <div className="field-row">
      <ModelPicker
        kind="fair-sprocket/converter"
        label={t('converter.converter')}
        value={named.converter}
        onModel={(m) => onModel('converter', m)}
      />
      <ModelPicker
        kind="fair-sprocket/engine"
        label={t('converter.engine')}
        value={named.engine}
        onModel={(m) => onModel('engine', m)}
      />
      {named.vehicle !== undefined && (
        <ModelPicker
          kind="fair-sprocket/vehicle"
          label={t('converter.vehicle')}
          value={named.vehicle}
          onModel={(m) => onModel('vehicle', m)}
        />
      )}
      {named.unit !== undefined && (
        <ModelPicker
          kind="fair-sprocket/unit"
          label={t('apply.unit')}
          value={named.unit}
          onModel={(m) => onModel('unit', m)}
        />
      )}
    </div>
  );
}
