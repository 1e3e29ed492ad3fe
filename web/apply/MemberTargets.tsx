import { memo } from 'react';
import { useTranslation } from 'react-i18next';
import type { SectionDrawing, SectionLine } from '../../core/drawing';
import type { Unit } from '../../core/geartrain';
import { linePath } from './linePath';
import { pressable } from './pressKey';

interface TargetProps {
  unit: Unit;
  drawing: SectionDrawing;
  chosen: readonly string[];
  onMember: (id: string) => void;
}

/** Members as things to choose: their lines, made wide, and a number once chosen. */
export const MemberTargets = memo(function MemberTargets(props: TargetProps) {
  const { unit, drawing, chosen, onMember } = props;
  const { t } = useTranslation();
  return unit.members.map(({ id, name }) => {
    const lines = drawing.lines.filter((l) => l.member === id);
    const gears = drawing.gears.filter((g) => g.member === id);
    if (lines.length === 0) return null;
    const place = chosen.indexOf(id);
    const longest = lines.reduce((a, b) => (lengthOf(b) > lengthOf(a) ? b : a));
    const middle = { x: (longest.x1 + longest.x2) / 2, y: (longest.y1 + longest.y2) / 2 };
    return (
      <g
        key={id}
        className={`section-member${place >= 0 ? ' section-chosen' : ''}`}
        aria-label={place >= 0 ? t('apply.chosenMember', { name, n: place + 1 }) : name}
        {...pressable(() => onMember(id), place >= 0)}
      >
        <title>{name}</title>
        {lines.map((l, k) => (
          <path key={k} className="section-member-hit" d={linePath(l)} />
        ))}
        {gears.map((g, k) => (
          <rect
            key={k}
            className="section-member-gear"
            x={g.x}
            y={g.y}
            width={g.width}
            height={g.height}
          />
        ))}
        {place >= 0 && (
          <>
            <circle className="section-number" cx={middle.x} cy={middle.y} r={13} />
            <text
              className="section-number-text"
              x={middle.x}
              y={middle.y + 5.5}
              textAnchor="middle"
            >
              {place + 1}
            </text>
          </>
        )}
      </g>
    );
  });
});

const lengthOf = (l: SectionLine): number => Math.abs(l.x2 - l.x1) + Math.abs(l.y2 - l.y1);
