import { useMemo } from 'react';
import {
  characteristicOf,
  engineModel,
  matchEngine,
  type Converter,
  type Engine,
  type StatorFault,
} from '../../core/converter';
import type { ConverterSetting } from '../../core/lesson';

/** The models of what stands on the bench, and where they run. */
export function useConverterModel(
  converter: Converter,
  engine: Engine,
  setting: ConverterSetting,
  wanted: StatorFault | null,
) {
  // A table does not say what a broken stator does.
  const fault = converter.model.kind === 'streamline' ? wanted : null;
  const model = useMemo(() => engineModel(engine), [engine]);
  const characteristic = useMemo(() => characteristicOf(converter, fault)!, [converter, fault]);
  const { throttle, turbineRpm, lockUp } = setting;
  const capacity = lockUp ? (converter.lockUpCapacity ?? 0) : 0;
  const match = useMemo(
    () => matchEngine(model, characteristic, throttle, turbineRpm, capacity),
    [model, characteristic, throttle, turbineRpm, capacity],
  );
  return { fault, model, characteristic, match };
}
