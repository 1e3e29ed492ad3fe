export { arcArrow, type ArcArrow } from './arcArrow';
export { circlePath, closedPath, endView, type EndView, type WheelShape } from './endView';
export { leverOf, type LeverPoint } from './lever';
export {
  sectionDrawing,
  type SectionDrawing,
  type SectionElement,
  type SectionGear,
  type SectionLine,
} from './section';
export { coupledLevers, type CoupledLever, type LeverPlace } from './coupledLever';
export { powerPath, type PathSegment } from './powerPath';
