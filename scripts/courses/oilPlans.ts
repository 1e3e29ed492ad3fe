/** Plans and units that lessons about oil are asked on. */
export const QUAY = { unit: 'quay-four', hydraulics: 'quay-valves' } as const;
export const SKERRY = { unit: 'skerry-three', hydraulics: 'skerry-vacuum' } as const;
export const QUAY_MODELS = ['units/quay-four', 'hydraulics/quay-valves'];
export const SKERRY_MODELS = ['units/skerry-three', 'hydraulics/skerry-vacuum'];
export const LIGHTER = { unit: 'lighter-six', hydraulics: 'lighter-electric' } as const;
export const LIGHTER_MODELS = ['units/lighter-six', 'hydraulics/lighter-electric'];
export const CAPSTAN = { unit: 'capstan-five', hydraulics: 'yard-capstan-valves' } as const;
export const FIVE_PERCENT = { kind: 'percent', value: 5 } as const;
export const TEN_PERCENT = { kind: 'percent', value: 10 } as const;
export const driveQuay = { plan: QUAY.hydraulics, unit: QUAY.unit, lever: 'D', throttle: 0.4 };
export const driveSkerry = {
  plan: SKERRY.hydraulics,
  unit: SKERRY.unit,
  lever: 'D',
  throttle: 0.3,
};
export const CABLE = 'throttle-valve';
