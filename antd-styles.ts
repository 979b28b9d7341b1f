import { createElement } from 'react';
import { extractStyle } from '@ant-design/static-style-extract';
import { ConfigProvider } from 'antd';
import type { Plugin } from 'vite';
import { paletteStyles } from './web/src/theme/palette';

/** What stands in a page of ours; a component that is missing here would have no looks, which `tests/Browser` sees. */
const COMPONENTS = [
  'App',
  'AutoComplete',
  'Button',
  'Checkbox',
  'Drawer',
  'Dropdown',
  'Form',
  'Input',
  'Menu',
  'Modal',
  'Popconfirm',
  'Popover',
  'Radio',
  'Segmented',
  'Select',
  'Space',
  'Tooltip',
  'message',
  'notification',
];

const NAME = 'virtual:antd.css';

/** Rules for every link of a page, not only for those inside a component: links are ours. */
const ALL_LINKS = /(?<=^|\})(?:a(?::[a-z-]+|\[disabled\])?,?)+\{[^}]*\}/g;

/**
 * Styles of Ant Design as one file made with the build. Made in the browser they took more than half of what a page computes before
 * it can be read. Colours and sizes are variables, which ConfigProvider sets.
 */
export function antdStyles(): Plugin {
  return {
    name: 'antd-styles',
    resolveId: (id) => (id === NAME ? `\0${NAME}` : undefined),
    load: (id) =>
      id === `\0${NAME}`
        ? paletteStyles() +
          extractStyle({
            includes: COMPONENTS,
            customTheme: (page) => createElement(ConfigProvider, { theme: { hashed: false } }, page),
          }).replace(ALL_LINKS, '')
        : undefined,
  };
}
