/** Every file of the demo world, as one chunk of its own. */
const json = (files: Record<string, unknown>): unknown[] => Object.values(files);

export const demoLessons = json(
  import.meta.glob('../../demo/lessons/*.json', { eager: true, import: 'default' }),
);
export const demoAttempts = json(
  import.meta.glob('../../demo/attempts/*.json', { eager: true, import: 'default' }),
);
/** Folder by folder, in the order in which the shelves show them. */
export const demoModels = json(
  import.meta.glob(
    [
      '../../demo/units/*.json',
      '../../demo/converters/*.json',
      '../../demo/engines/*.json',
      '../../demo/vehicles/*.json',
      '../../demo/clutches/*.json',
      '../../demo/clutch-packs/*.json',
      '../../demo/hydraulics/*.json',
      '../../demo/fault-cases/*.json',
      '../../demo/jobs/*.json',
    ],
    { eager: true, import: 'default' },
  ),
);
