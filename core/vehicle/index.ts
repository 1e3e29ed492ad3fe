export { launch, type LaunchResult, type LaunchSample, type LaunchSetup } from './launch';
export { GRAVITY, roadLoad, type Vehicle } from './vehicle';
