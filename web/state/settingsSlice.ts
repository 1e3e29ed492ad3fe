import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { UnitSystem } from '../../core/quantities';

/** Session settings: kept apart from documents, so that opening someone's lesson leaves them alone. */
export type Paper = 'day' | 'night';

export interface Settings {
  paper: Paper;
  units: UnitSystem;
  /** Single-letter keys on the benches; can be switched off (WCAG 2.1.4). */
  singleKeys: boolean;
  /** Last name typed by a student. */
  student: string;
  /** Records that count in the class book where a student has several. */
  counted: readonly string[];
  /** Demo lessons are not on the shelf. */
  hideDemo: boolean;
  /** The group that a student is in, by name. */
  groups: Readonly<Record<string, string>>;
}

export const defaultSettings = (prefersNight: boolean): Settings => ({
  paper: prefersNight ? 'night' : 'day',
  units: 'si',
  singleKeys: true,
  student: '',
  counted: [],
  hideDemo: false,
  groups: {},
});

/** Stored settings that can be trusted; anything else falls back. */
export function readSettings(stored: unknown, fallback: Settings): Settings {
  if (typeof stored !== 'object' || stored === null) return fallback;
  const s = stored as Partial<Record<keyof Settings, unknown>>;
  return {
    paper: s.paper === 'day' || s.paper === 'night' ? s.paper : fallback.paper,
    units: s.units === 'si' || s.units === 'inch-pound' ? s.units : fallback.units,
    singleKeys: typeof s.singleKeys === 'boolean' ? s.singleKeys : fallback.singleKeys,
    student: typeof s.student === 'string' ? s.student.slice(0, 200) : fallback.student,
    counted: Array.isArray(s.counted)
      ? s.counted.filter((id) => typeof id === 'string')
      : fallback.counted,
    hideDemo: typeof s.hideDemo === 'boolean' ? s.hideDemo : fallback.hideDemo,
    groups: readGroups(s.groups),
  };
}

const readGroups = (stored: unknown): Record<string, string> =>
  typeof stored === 'object' && stored !== null
    ? Object.fromEntries(
        Object.entries(stored).filter((e): e is [string, string] => typeof e[1] === 'string'),
      )
    : {};

const slice = createSlice({
  name: 'settings',
  initialState: defaultSettings(false),
  reducers: {
    settingsLoaded: (_state, action: PayloadAction<Settings>) => action.payload,
    settingsChanged: (state, action: PayloadAction<Partial<Settings>>) => {
      Object.assign(state, action.payload);
    },
  },
});

export const { settingsLoaded, settingsChanged } = slice.actions;
export const settingsReducer = slice.reducer;

declare module './rootState' {
  interface RootState {
    settings: ReturnType<typeof settingsReducer>;
  }
}
