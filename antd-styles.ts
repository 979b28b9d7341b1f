import { createElement } from 'react';
import { extractStyle } from '@ant-design/static-style-extract';
import { ConfigProvider } from 'antd';
import type { Node } from 'estree';
import { walk } from 'estree-walker';
import MagicString from 'magic-string';
import type { Plugin } from 'vite';
import { paletteStyles } from './web/src/theme/palette';

/** What stands in a page of ours; a component that is missing here would have no looks, which `tests/Browser` sees. */
const COMPONENTS = [
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

const STYLES = /\/antd\/es\/[a-z-]+\/style\/[a-z-]+\.js$/;

/** Calls whose second argument is the function that makes a component's styles. */
const MAKERS = new Set(['genStyleHooks', 'genSubStyleComponent', 'genComponentStyleHook']);

/** Rules for every link of a page, not only for those inside a component: links are ours. */
const ALL_LINKS = /(?<=^|\})(?:a(?::[a-z-]+|\[disabled\])?,?)+\{[^}]*\}/g;

/** Variables of the page it was made from; the browser has its own. */
const OWN_VARIABLES = /(?<=^|\})\.css-var-_R_[^{}]*\{[^}]*\}/g;

/** What a component of ours never looks like. */
const UNUSED =
  /\.ant-(menu-dark|menu-inline|input-(group|otp|search|borderless|filled)|btn-group|space-addon|select-multiple|radio-button)/;
const RULES = /([^{}]+)\{[^{}]*\}/g;

/**
 * Styles of Ant Design as one file made with the build. Made in the browser they took more than half of what a page computes before
 * it can be read. Colours and sizes are variables, which ConfigProvider sets.
 */
export function antdStyles(): Plugin {
  return {
    name: 'antd-styles',
    // What the file says needs no code in the browser that could say it once more; and a field by itself needs no form around it.
    transform(code, id) {
      if (id.endsWith('/antd/es/form/context.js'))
        return code.replace("'@rc-component/form'", "'@rc-component/form/es/FormContext'");
      if (!STYLES.test(id)) return null;
      const without = new MagicString(code);
      walk(this.parse(code) as unknown as Node, {
        enter(node) {
          if (node.type !== 'CallExpression' || node.callee.type !== 'Identifier' || !MAKERS.has(node.callee.name)) return;
          const maker = node.arguments[1] as { start: number; end: number } | undefined;
          if (maker) without.update(maker.start, maker.end, '() => []');
        },
      });
      return { code: without.toString(), map: without.generateMap({ hires: true }) };
    },
    resolveId: (id) => (id === NAME ? `\0${NAME}` : undefined),
    load: (id) =>
      id === `\0${NAME}`
        ? paletteStyles() +
          extractStyle({
            includes: COMPONENTS,
            customTheme: (page) => createElement(ConfigProvider, { theme: { hashed: false } }, page),
          })
            .replace(ALL_LINKS, '')
            .replace(OWN_VARIABLES, '')
            .replace(RULES, (rule, selectors: string) => (selectors.split(',').every((one) => UNUSED.test(one)) ? '' : rule))
        : undefined,
  };
}
