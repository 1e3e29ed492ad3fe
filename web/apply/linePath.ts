import type { SectionLine } from '../../core/drawing';

export const linePath = (l: SectionLine): string => `M${l.x1} ${l.y1}L${l.x2} ${l.y2}`;
