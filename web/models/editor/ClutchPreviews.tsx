import { useState } from 'react';
import { AS_BUILT, type Clutch, type ClutchPack } from '../../../core/clutch';
import { ClutchDrawing } from '../../clutch/ClutchDrawing';
import { ReleaseCurves } from '../../clutch/ReleaseCurves';
import { useClutchModel } from '../../clutch/useClutchModel';
import { StackView } from '../../packs/StackView';

const NEW = { ...AS_BUILT, adjusted: true, fault: null };

/** The clutch as its data make it, to be tried with the pedal. */
export function ClutchPreview({ clutch }: { clutch: Clutch }) {
  const [pedal, setPedal] = useState(0);
  const model = useClutchModel(clutch, NEW, pedal);
  if (!model) return null;
  return (
    <div className="clutch-preview">
      <div className="clutch-preview-sheet">
        <ClutchDrawing clutch={clutch} model={model} onPedal={setPedal} />
      </div>
      <ReleaseCurves title={clutch.name} model={model} />
    </div>
  );
}

interface PackProps {
  pack: ClutchPack;
  onPack: (pack: ClutchPack) => void;
  newId: () => string;
}

/** The plates, to be laid in and out. */
export function PackPreview({ pack, onPack, newId }: PackProps) {
  const [plate, setPlate] = useState<string | null>(null);
  return (
    <div className="pack-preview">
      <StackView pack={pack} plate={plate} onPlate={setPlate} onPack={onPack} newId={newId} />
    </div>
  );
}
