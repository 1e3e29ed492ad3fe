/** Every file of the demo world, as one chunk of its own. */
const json = (files: Record<string, unknown>): unknown[] => Object.values(files);

export const demoLessons = json(
  import.meta.glob('../../demo/lessons/*.json', { eager: true, import: 'default' }),
);
export const demoUnits = json(
  import.meta.glob('../../demo/units/*.json', { eager: true, import: 'default' }),
);
export const demoAttempts = json(
  import.meta.glob('../../demo/attempts/*.json', { eager: true, import: 'default' }),
);
export const demoConverters = json(
  import.meta.glob('../../demo/converters/*.json', { eager: true, import: 'default' }),
);
export const demoEngines = json(
  import.meta.glob('../../demo/engines/*.json', { eager: true, import: 'default' }),
);
export const demoVehicles = json(
  import.meta.glob('../../demo/vehicles/*.json', { eager: true, import: 'default' }),
);
