import { ValueSlider } from '../../shared/ValueSlider';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { characteristicOf, type Converter } from '../../../core/converter';
import { ConverterCurves } from '../../converter/ConverterCurves';
import { ConverterDrawing } from '../../converter/ConverterDrawing';
import { formatNumber } from '../../shared/numbers';

/** What the converter does as it stands: the fluid through its blades, and its curves. */
export function ConverterPreview({ converter }: { converter: Converter }) {
  const { t } = useTranslation();
  const [speedRatio, setSpeedRatio] = useState(0);
  const characteristic = useMemo(() => characteristicOf(converter)!, [converter]);
  const point = useMemo(() => characteristic.at(speedRatio), [characteristic, speedRatio]);
  return (
    <div className="converter-preview">
      <ConverterDrawing converter={converter} point={point} mode="fluid" />
      <div className="converter-preview-curves">
        <label className="row">
          {t('converter.speedRatio')} <strong>{formatNumber(speedRatio, 2)}</strong>
          <ValueSlider
            style={{ flex: 1 }}
            min={0}
            max={1}
            step={0.01}
            value={speedRatio}
            onValue={setSpeedRatio}
            label={t('converter.speedRatio')}
          />
        </label>
        <ConverterCurves converter={converter} characteristic={characteristic} point={point} />
      </div>
    </div>
  );
}
