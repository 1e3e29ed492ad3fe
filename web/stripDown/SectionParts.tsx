import { useTranslation } from 'react-i18next';
import type { Part } from '../../core/assembly';
import type { SectionDrawing, SectionGear, SectionLine } from '../../core/drawing';
import { CASE, type Unit } from '../../core/geartrain';
import { LaidOut } from '../bench/LaidOut';
import type { PartsNow } from './PartList';
import './SectionParts.css';

interface Props extends PartsNow {
  unit: Unit;
}

/** The unit cut open, its parts as they stand in it; what is off stays as an outline. A part is chosen with a click. */
export function SectionParts(props: Props) {
  const { t } = useTranslation();
  return (
    <div className="stack-scroll" role="group" aria-label={t('stripDown.section')} tabIndex={0}>
      <LaidOut unit={props.unit}>{(drawing) => <Cut drawing={drawing} {...props} />}</LaidOut>
    </div>
  );
}

const HALF_LINE = 5;
/** Plates of an element, about their middle. */
const PLATES = { width: 26, height: 34 } as const;

function Cut({
  drawing,
  plan,
  unit,
  off,
  chosen,
  free,
  onPart,
}: Props & { drawing: SectionDrawing }) {
  const { width, height, caseY, centreY, lines, gears, elements } = drawing;
  const known = new Map(plan.parts.map((p) => [p.id, p]));
  const state = (parts: readonly Part[]) => {
    const here = parts.filter((p) => !off.has(p.id));
    const [next] = here.filter((p) => free.has(p.id));
    return {
      'data-off': parts.length > 0 && here.length === 0,
      'data-free': next !== undefined,
      'data-chosen': parts.some((p) => p.id === chosen),
      onClick: () => {
        const part = next ?? here[0];
        if (part) onPart(part.id);
      },
    };
  };
  const ofMember = (member: string) => plan.parts.filter((p) => isOf(p, member, unit));
  const ofGear = ({ set, port, member }: SectionGear): Part[] => {
    const own = known.get(`${set}.${port === 'pinion' ? 'pinions' : port}`);
    if (own) return [own];
    return member === null ? [] : ofMember(member).filter((p) => p.kind === port);
  };
  const members = [...new Set(lines.map((l) => l.member))].filter((m) => m !== CASE);
  const top = caseY - 30;
  return (
    <svg
      className="section-parts"
      viewBox={`0 ${top} ${width} ${height - top}`}
      aria-hidden="true"
      style={{ width: width * 0.8 }}
    >
      <path className="section-parts-case" d={`M20 ${caseY - 14}H${width - 20}V${caseY}H20Z`} />
      <line className="stack-axis" x1={0} x2={width} y1={centreY} y2={centreY} />
      {members.map((member) => (
        <g key={member} className="stack-part" {...state(ofMember(member))}>
          <path
            d={lines
              .filter((l) => l.member === member)
              .map(bar)
              .join('')}
          />
        </g>
      ))}
      {gears.map((g, k) => (
        <g key={k} className="stack-part" {...state(ofGear(g))}>
          <rect x={g.x} y={g.y} width={g.width} height={g.height} />
        </g>
      ))}
      {elements.map((e) => (
        <g key={e.id} className="stack-part" {...state(plan.parts.filter((p) => p.of === e.id))}>
          <rect
            x={e.x - PLATES.width / 2}
            y={(e.grounded ? caseY + 14 : e.y) - PLATES.height / 2}
            width={PLATES.width}
            height={PLATES.height}
          />
          <text x={e.x} y={e.labelY} textAnchor="middle">
            {e.id}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** A line of the section with the thickness of a wall. */
function bar({ x1, y1, x2, y2 }: SectionLine): string {
  const [left, right] = [Math.min(x1, x2) - HALF_LINE, Math.max(x1, x2) + HALF_LINE];
  const [up, down] = [Math.min(y1, y2) - HALF_LINE, Math.max(y1, y2) + HALF_LINE];
  return `M${left} ${up}H${right}V${down}H${left}Z`;
}

/** Shells and shafts of a member, drums and hubs of the clutches on it, and its gears. */
function isOf({ id, kind, of }: Part, member: string, unit: Unit): boolean {
  if (kind === 'shell' || kind === 'shaft') return of === member;
  if (kind === 'output-shaft') return member === unit.output;
  if (kind === 'drum' || kind === 'hub') {
    const element = unit.elements.find((e) => e.id === of);
    return element?.between[kind === 'drum' ? 0 : 1] === member;
  }
  const set = unit.gearsets.find((g) => g.id === of);
  if (!set) return false;
  const port = id.slice(id.lastIndexOf('.') + 1);
  return (set as unknown as Readonly<Record<string, unknown>>)[port] === member;
}
