import { theme, type ThemeConfig } from 'antd';

const FACE = "'Atkinson Hyperlegible Next Variable', sans-serif";

/** Styles come as a sheet with the application: none is written into the page. */
const EXTRACTED: ThemeConfig = { zeroRuntime: true, hashed: false };

/** The bench in daylight: grey-white ground, spruce ink, verdigris for action. */
export const dayTheme: ThemeConfig = {
  ...EXTRACTED,
  cssVar: { key: 'desk' },
  token: {
    fontFamily: FACE,
    fontSize: 16,
    colorPrimary: '#17695c',
    colorLink: '#17695c',
    colorText: '#1c322d',
    colorTextSecondary: '#4a5f59',
    colorTextTertiary: '#4a5f59',
    colorTextPlaceholder: '#5d6f69',
    colorBgContainer: '#fdfdfb',
    colorBorder: '#8b9a94',
    colorError: '#a3211b',
    colorWarning: '#8a6414',
    borderRadius: 4,
    motion: false,
  },
};

/** The lathe screen: dark, so that it does not dazzle beside the lamp. */
export const runTheme: ThemeConfig = {
  ...EXTRACTED,
  cssVar: { key: 'lathe' },
  algorithm: theme.darkAlgorithm,
  token: {
    fontFamily: FACE,
    fontSize: 20,
    controlHeight: 60,
    colorPrimary: '#4fb3a1',
    colorBgContainer: '#1d2b27',
    colorBgElevated: '#22332e',
    colorText: '#eef3ef',
    colorTextSecondary: '#b9c8c1',
    colorBorder: '#5d736b',
    borderRadius: 6,
    motion: false,
  },
  components: { Button: { primaryColor: '#0c1613', fontWeight: 650 } },
};
