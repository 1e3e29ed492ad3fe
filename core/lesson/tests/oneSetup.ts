import type { GearSetSetup, Roles } from '../../geartrain';

/** Sun 30, pinion 20, ring 70; ring held, sun in, carrier out, unless told otherwise. */
export const setup = (roles: Partial<Roles> = {}): GearSetSetup => ({
  set: { kind: 'single-pinion', teeth: { sun: 30, pinion: 20, ring: 70 }, pinions: 4 },
  roles: { drives: 'sun', driven: 'carrier', reaction: 'held', ...roles },
  inputSpeedRpm: 1000,
  inputTorqueNm: 100,
});
