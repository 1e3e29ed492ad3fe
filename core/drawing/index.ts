export { arcArrow, type ArcArrow } from './arcArrow';
export { circlePath, closedPath, endView, type EndView, type WheelShape } from './endView';
export { leverOf, type LeverPoint } from './lever';
