import type { Paper } from '../state/settingsSlice';
import { theme, type ThemeConfig } from 'antd';
import { FINGERTIP } from '../shared/fingertip';

/** The component library in our own tokens: square corners, line weight instead of shadow. */
const shared = {
  fontFamily: "'Archivo Variable', system-ui, sans-serif",
  fontSize: 15,
  borderRadius: 2,
  borderRadiusLG: 2,
  borderRadiusSM: 2,
  controlHeight: 36,
  wireframe: false,
};

const papers = {
  day: {
    colorPrimary: '#1b2025',
    colorLink: '#0b4fb3',
    colorBgBase: '#efede5',
    colorBgContainer: '#fbfaf5',
    colorBgElevated: '#fbfaf5',
    colorText: '#1b2025',
    colorTextSecondary: '#565c64',
    colorTextDescription: '#565c64',
    colorTextPlaceholder: '#666b73',
    colorBorder: '#8d8874',
    colorBorderSecondary: '#cbc5b3',
    colorError: '#8f1d2c',
    colorWarning: '#8a5a00',
    colorSuccess: '#07635f',
    colorInfo: '#0b4fb3',
  },
  night: {
    colorPrimary: '#edeae1',
    colorTextLightSolid: '#14181b',
    colorLink: '#8ab8ff',
    colorBgBase: '#14181b',
    colorBgContainer: '#1b2024',
    colorBgElevated: '#22282d',
    colorText: '#edeae1',
    colorTextSecondary: '#a9afb6',
    colorTextDescription: '#a9afb6',
    colorTextPlaceholder: '#9aa1a9',
    colorBorder: '#757c84',
    colorBorderSecondary: '#3c4249',
    colorError: '#ff9d9d',
    colorWarning: '#e8b84a',
    colorSuccess: '#57cbbc',
    colorInfo: '#8ab8ff',
  },
} as const;

/**
 * Laid out for a finger: `data-finger` on the page says so to every sheet of styles. As narrow as a phone, it is one or
 * could be; a phone on its side is told from a low window by its pointer.
 */
export const FINGER = '(max-width: 640px) or ((pointer: coarse) and (max-height: 480px))';

const UNDER_FINGER = { controlHeight: FINGERTIP, controlHeightSM: FINGERTIP, controlHeightLG: 48 };

declare const STYLES_ARE_BUILT: true | undefined;

interface Hand {
  readonly motion: boolean;
  readonly finger: boolean;
}

export function themeFor(paper: Paper, { motion, finger }: Hand): ThemeConfig {
  return {
    hashed: false,
    // Where the build has made the component library's rules, a page only sets their variables.
    zeroRuntime: typeof STYLES_ARE_BUILT !== 'undefined',
    algorithm: paper === 'night' ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      ...shared,
      ...papers[paper],
      ...(finger ? UNDER_FINGER : {}),
      motion,
      // What lies over the page is told from it by a line.
      boxShadow: `0 0 0 1px ${papers[paper].colorText}`,
      boxShadowSecondary: `0 0 0 1px ${papers[paper].colorText}`,
    },
    components: {
      Button: {
        fontWeight: 620,
        primaryShadow: 'none',
        defaultShadow: 'none',
        dangerShadow: 'none',
      },
      Segmented: {
        trackBg: paper === 'night' ? '#2a3036' : '#e3dfd2',
        ...(finger ? { trackPadding: 0 } : {}),
      },
      Select: {
        optionSelectedBg: papers[paper].colorText,
        optionSelectedColor: papers[paper].colorBgContainer,
      },
      Slider: { railSize: 4, handleSize: 12 },
    },
  };
}
