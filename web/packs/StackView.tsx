import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  packClearance,
  stackHeight,
  type ClutchPack,
  type Plate,
  type PlateKind,
} from '../../core/clutch';
import { useNumbers } from '../shared/numbers';
import { Sheet } from '../shared/Sheet';
import { SortableList } from '../shared/SortableList';
import { useGapText } from '../shared/useGapText';
import { useElementSize } from '../shared/useElementSize';
import { useRef } from 'react';
import { TypedNumber } from '../shared/TypedNumber';
import './StackView.css';

interface Props {
  pack: ClutchPack;
  plate: string | null;
  onPlate: (id: string | null) => void;
  /** Left out where nothing may be changed. */
  onPack?: ((pack: ClutchPack) => void) | undefined;
  newId?: () => string;
  /** The feeler gauge reads when it is put in. */
  hideGauge?: boolean;
}

const KINDS: readonly PlateKind[] = ['cushion', 'steel', 'friction', 'end-plate'];
/** Thickness of a new plate, m. */
const USUAL: Readonly<Record<PlateKind, number>> = {
  cushion: 0.0016,
  steel: 0.002,
  friction: 0.0018,
  'end-plate': 0.0042,
};
/** px across a plate below which its grip would not fit. */
const NARROWEST = 24;

/** The pack in its drum, cut open: plates are dragged by their grips, or moved by keyboard. */
export function StackView({ pack, plate, onPlate, onPack, newId, hideGauge = false }: Props) {
  const { t } = useTranslation();
  const gapText = useGapText();
  const box = useRef<HTMLDivElement>(null);
  const { width } = useElementSize(box);
  const clearance = packClearance(pack);
  // Piston, ring and room at both sides take a fixed share; the rest is the drum's depth.
  const scale = Math.max(0, width - 190) / (Math.max(pack.depth, stackHeight(pack)) * 1000);
  const wide = (metres: number) => Math.max(0, metres * 1000 * scale);
  const chosen = pack.stack.find((p) => p.id === plate) ?? null;
  const move = (from: number, to: number) => {
    const stack = [...pack.stack];
    stack.splice(to, 0, ...stack.splice(from, 1));
    onPack?.({ ...pack, stack });
  };
  const name = (p: Plate) =>
    t('pack.plateName', { kind: t(`pack.kinds.${p.kind}`), thickness: gapText(p.thickness) });
  return (
    <Sheet label={t('pack.drawing')} grows>
      <div className="stack-view" ref={box}>
        <div className="stack-drum" aria-hidden="true" />
        <div className="stack-row">
          <div className="stack-piston" aria-hidden="true">
            <span>{t('pack.piston')}</span>
          </div>
          <SortableList
            across
            className="stack-plates"
            label={t('pack.stack')}
            items={pack.stack}
            nameOf={name}
            onMove={move}
          >
            {(p, grip) => (
              <div className="stack-cell">
                <button
                  type="button"
                  className={`stack-plate stack-${p.kind}`}
                  style={{ width: Math.max(NARROWEST, wide(p.thickness)) }}
                  aria-pressed={p.id === plate}
                  aria-label={name(p)}
                  onClick={() => onPlate(p.id === plate ? null : p.id)}
                >
                  <span className="stack-lining" />
                  <span className="stack-name">{t(`pack.kinds.${p.kind}`)}</span>
                  <span className="stack-lining" />
                </button>
                {onPack && grip}
              </div>
            )}
          </SortableList>
          <div
            className="stack-gauge"
            data-bad={clearance < pack.clearance[0] || clearance > pack.clearance[1]}
            style={{ width: Math.max(clearance > 0 ? 8 : 0, wide(clearance)) }}
            aria-hidden="true"
          />
          <div
            className="stack-ring"
            style={{ width: Math.max(12, wide(pack.ring.thickness)) }}
            aria-hidden="true"
          />
        </div>
        <StackReadout pack={pack} clearance={hideGauge ? null : clearance} />
        <div className="stack-hub" aria-hidden="true" />
        {onPack && (
          <StackTools pack={pack} chosen={chosen} onPack={onPack} onPlate={onPlate} newId={newId} />
        )}
      </div>
    </Sheet>
  );
}

/** @param clearance m; `null` where it has not been measured */
function StackReadout({ pack, clearance }: { pack: ClutchPack; clearance: number | null }) {
  const { t } = useTranslation();
  const gapText = useGapText();
  const tooTall = clearance !== null && clearance < 0;
  return (
    <div className="stack-said">
      <span className="label">{t('pack.gauge')}</span>
      <strong data-bad={tooTall}>
        {clearance === null
          ? t('pack.notMeasured')
          : tooTall
            ? t('pack.tooTall', { by: gapText(-clearance) })
            : gapText(clearance)}
      </strong>
      <span className="label">{t('pack.height')}</span>
      <strong>{gapText(stackHeight(pack))}</strong>
    </div>
  );
}

interface ToolsProps {
  pack: ClutchPack;
  chosen: Plate | null;
  onPack: (pack: ClutchPack) => void;
  onPlate: (id: string | null) => void;
  newId: (() => string) | undefined;
}

/** What is done with the chosen plate, and plates that are put beside it. */
function StackTools({ pack, chosen, onPack, onPlate, newId }: ToolsProps) {
  const { t } = useTranslation();
  const { stack } = pack;
  const add = (kind: PlateKind) => {
    const added: Plate = {
      id: newId?.() ?? `${kind}-${stack.length + 1}`,
      kind,
      thickness: stack.findLast((p) => p.kind === kind)?.thickness ?? USUAL[kind],
    };
    const at = chosen ? stack.indexOf(chosen) + 1 : stack.length;
    onPack({ ...pack, stack: stack.toSpliced(at, 0, added) });
    onPlate(added.id);
  };
  return (
    <div className="stack-tools">
      {chosen ? (
        <PlateTools
          chosen={chosen}
          onChange={(next) =>
            onPack({ ...pack, stack: stack.map((p) => (p.id === chosen.id ? next : p)) })
          }
          onRemove={() => {
            onPlate(null);
            onPack({ ...pack, stack: stack.filter((p) => p.id !== chosen.id) });
          }}
          removable={stack.length > 1}
        />
      ) : (
        <span className="quiet">{t('pack.chooseOne')}</span>
      )}
      <span className="stack-add">
        {KINDS.map((kind) => (
          <Button key={kind} size="small" onClick={() => add(kind)}>
            {t('pack.add', { kind: t(`pack.kinds.${kind}`) })}
          </Button>
        ))}
      </span>
    </div>
  );
}

interface ToolProps {
  chosen: Plate;
  onChange: (plate: Plate) => void;
  onRemove: () => void;
  removable: boolean;
}

function PlateTools({ chosen, onChange, onRemove, removable }: ToolProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const shown = numbers.toDisplay(1000 * chosen.thickness, 'length');
  const tidy = (v: number) => Number(v.toPrecision(7));
  return (
    <span className="row">
      <strong>{t(`pack.kinds.${chosen.kind}`)}</strong>
      <TypedNumber
        label={t('pack.thickness')}
        size="small"
        min={tidy(numbers.toDisplay(0.1, 'length'))}
        max={tidy(numbers.toDisplay(100, 'length'))}
        step={tidy(numbers.system === 'si' ? 0.1 : 0.005)}
        value={tidy(shown)}

        onValue={(v) =>
          v !== null &&
          onChange({ ...chosen, thickness: tidy(numbers.fromDisplay(v, 'length') / 1000) })
        }
      />
      <span className="quiet">{numbers.unit('length')}</span>
      <Button size="small" disabled={!removable} onClick={onRemove}>
        {t('pack.remove')}
      </Button>
    </span>
  );
}
