import { StyleProvider } from '@ant-design/cssinjs';
import { App, ConfigProvider } from 'antd';
import type { ReactNode } from 'react';
import { dayTheme } from './theme.js';

/** The variables of a theme lie in the sheet of the application too: what the library writes at run time is not part of the page. */
const NOWHERE = document.createElement('div');

/** The component library in our look, with its messages and dialogs. */
export function Dressed({ children }: { children: ReactNode }) {
  return (
    <StyleProvider container={NOWHERE}>
      <ConfigProvider theme={dayTheme} wave={{ disabled: true }}>
        <App>{children}</App>
      </ConfigProvider>
    </StyleProvider>
  );
}
