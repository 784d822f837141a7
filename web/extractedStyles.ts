import { extractStyle } from '@ant-design/static-style-extract';
import { ConfigProvider, type ThemeConfig } from 'antd';
import { createElement, type ReactNode } from 'react';
import type { Plugin } from 'vite';
import { dayTheme, runTheme } from './src/ui/theme.js';

const ID = 'virtual:components.css';

/** What the lathe screen is made of, in its own light. */
const AT_THE_LATHE = ['AutoComplete', 'Button', 'Input', 'Select', 'Segmented'];

const themed = (theme: ThemeConfig) => (node: ReactNode) =>
  createElement(ConfigProvider, { theme: { ...theme, zeroRuntime: false } }, node);

/**
 * The styles of the component library as one sheet, made when the application is built: a page that writes none of its own
 * needs no leave for inline styles, and a tablet has nothing to work out before it draws.
 */
export const extractedStyles = (): Plugin => ({
  name: 'extracted-styles',
  resolveId: (id) => (id === ID ? `\0${ID}` : null),
  load: (id) =>
    id === `\0${ID}`
      ? extractStyle(themed(dayTheme)) +
        extractStyle({ customTheme: themed(runTheme), includes: AT_THE_LATHE })
      : null,
});
