export {
  convertFromDisplay,
  convertToDisplay,
  displayUnit,
  type Quantity,
  type UnitSystem,
} from './displayUnits';
export { POWER_PER_RPM_NM, powerKw, RPM_TO_RAD } from './rotation';
