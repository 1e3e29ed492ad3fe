import {
  memo,
  useEffect,
  useMemo,
  useRef,
  useState,
  type CSSProperties,
  type ReactNode,
} from 'react';
import { useTranslation } from 'react-i18next';
import { powerPath, type SectionDrawing } from '../../core/drawing';
import { LaidOut } from '../bench/LaidOut';
import { useElementSize } from '../shared/useElementSize';
import { READABLE, sectionFit } from './sectionFit';
import { SectionView } from './SectionView';

interface Props extends Pick<
  Parameters<typeof SectionView>[0],
  'unit' | 'solution' | 'roles' | 'turning' | 'onElement' | 'onMember' | 'chosen'
> {
  /** Nothing is told of the power while a prediction is open. */
  sealed?: boolean;
  /** All of it is shown, however small. */
  whole: boolean;
  /** Told whether it is wider than its place as large as it can be read. */
  onWider: (wider: boolean) => void;
}

/** The section on its sheet: laid out, as large as it can be read or whole, with the power on its way. */
export const SectionSheet = memo(function SectionSheet(props: Props) {
  const { unit, solution, turning, onElement, onMember, chosen, roles, sealed } = props;
  const { whole, onWider } = props;
  return (
    <LaidOut unit={unit}>
      {(drawing) => (
        <SectionPlace unit={unit} drawing={drawing} whole={whole} onWider={onWider}>
          <Section
            drawing={drawing}
            unit={unit}
            solution={solution}
            roles={roles}
            turning={turning}
            onElement={onElement}
            onMember={onMember}
            sealed={sealed ?? false}
            {...(chosen ? { chosen } : {})}
          />
        </SectionPlace>
      )}
    </LaidOut>
  );
});

interface SectionPlaceProps extends Pick<Props, 'unit' | 'whole' | 'onWider'> {
  drawing: SectionDrawing;
  children: ReactNode;
}

/** Where the section lies: as large as it can be read and moved sideways, or all of it at once. */
function SectionPlace({ unit, drawing, whole, onWider, children }: SectionPlaceProps) {
  const { t } = useTranslation();
  const ref = useRef<HTMLDivElement>(null);
  const place = useElementSize(ref);
  const [readable, setReadable] = useState(READABLE);
  useEffect(() => {
    // A wall wants larger letters than a desk.
    const around = ref.current?.parentElement;
    const set = around ? getComputedStyle(around).getPropertyValue('--readable') : '';
    setReadable(Number.parseFloat(set) || READABLE);
  }, [place]);
  const { wider, least } = sectionFit(drawing, place, readable);
  // The switch itself makes the place lower, and the drawing with it: once offered at this width, it stays.
  const here = `${drawing.width} ${place.width}`;
  const [widerAt, setWiderAt] = useState('');
  const offered = wider || widerAt === here;
  if (wider && widerAt !== here) setWiderAt(here);
  useEffect(() => onWider(offered), [offered, onWider]);
  useEffect(() => () => onWider(false), [onWider]);
  return (
    <div
      ref={ref}
      className="section-scroll more-beside"
      tabIndex={0}
      role="region"
      aria-label={t('apply.section', { name: unit.name })}
      style={
        whole && offered
          ? ({ '--readable': 0, '--least': `${least}px` } as CSSProperties)
          : undefined
      }
    >
      {children}
    </div>
  );
}

type SectionProps = Omit<Parameters<typeof SectionView>[0], 'path'> & { sealed: boolean };

function Section({ sealed, ...props }: SectionProps) {
  const { drawing, unit, solution } = props;
  const path = useMemo(
    () => (sealed ? [] : powerPath(drawing, unit, solution)),
    [sealed, drawing, unit, solution],
  );
  return <SectionView {...props} path={path} />;
}
