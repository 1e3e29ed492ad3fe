export { arcArrow, type ArcArrow } from './arcArrow';
export { circlePath, closedPath, endView, type EndView, type WheelShape } from './endView';
export { leverOf, type LeverPoint } from './lever';
export { sectionDrawing } from './section';
export type { SectionDrawing, SectionElement, SectionGear, SectionLine } from './sectionShapes';
export type { ClutchLayout } from './clutchLinkage';
export { clutchSection, STRETCH, type ClutchSection } from './clutchSection';
export type { ClutchPartName, ClutchShape, Place } from './clutchShapes';
export { coupledLevers, type CoupledLever, type LeverPlace } from './coupledLever';
export { powerPath, type PathSegment } from './powerPath';
export { cascade, type BladeRow, type Cascade, type VelocityTriangle } from './cascade';
export {
  torus,
  type Torus,
  type TorusPath,
  type TorusPlace,
  type TorusWheel,
  type WheelName,
} from './torus';
export {
  placeAfter,
  RAILS,
  sleeveRails,
  type Rail,
  type RailGear,
  type SleeveRails,
} from './sleeveRails';
export { oilLayout, type OilLayout } from './oilPlan';
export type { OilBox, OilPipe, OilPort } from './oilShapes';
export { oilFlows, type FlowingPiece } from './oilFlow';
