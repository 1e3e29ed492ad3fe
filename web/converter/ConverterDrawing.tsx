import { Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Converter, ConverterPoint } from '../../core/converter';
import { useTurning } from '../bench/useTurning';
import { Transport } from '../bench/Transport';
import { Sheet } from '../shared/Sheet';
import { useShortcuts } from '../shared/useShortcuts';
import { CascadeView } from './CascadeView';
import { TorusView } from './TorusView';
import type { DrawnMode } from './wheelRoles';
import { useKept } from '../shared/kept';
import './ConverterDrawing.css';

interface Props {
  converter: Converter;
  point: ConverterPoint;
  mode: DrawnMode;
  /** Keys work on it: the bench's, not those of one drawing among several. */
  keys?: boolean;
}

const VIEWS = ['wheels', 'blades'] as const;
const DRAWN_RPM = 900;
const STEP = Math.PI / 18;

/** The converter on its sheet, twice: its wheels cut open, or its blades unrolled with the velocity triangles. */
export function ConverterDrawing({ converter, point, mode, keys = false }: Props) {
  const { t } = useTranslation();
  const [view, setView] = useKept<(typeof VIEWS)[number]>('ConverterDrawing view', 'wheels');
  const turning = useTurning(mode === 'stalled' ? 0 : DRAWN_RPM, true);
  useShortcuts(
    keys
      ? {
          ' ': turning.toggle,
          s: turning.toggleSlow,
          v: () => setView(view === 'wheels' ? 'blades' : 'wheels'),
          ArrowRight: () => turning.stepBy(STEP),
          ArrowLeft: () => turning.stepBy(-STEP),
        }
      : {},
  );
  return (
    <Sheet label={t('converter.sheet')}>
      {view === 'wheels' ? (
        <TorusView converter={converter} point={point} mode={mode} turning={turning} />
      ) : (
        <CascadeView converter={converter} point={point} mode={mode} turning={turning} />
      )}
      <div className="converter-views">
        <Segmented
          size="small"
          aria-label={t('converter.view')}
          value={view}
          onChange={setView}
          options={VIEWS.map((v) => ({ value: v, label: t(`converter.views.${v}`) }))}
        />
        <Transport
          small
          turning={turning}
          step={STEP}
          back={t('converter.stepBack')}
          on={t('converter.stepOn')}
        />
      </div>
    </Sheet>
  );
}
