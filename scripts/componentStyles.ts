import path from 'node:path';
import { createCache, extractStyle, StyleProvider } from '@ant-design/cssinjs';
import * as antd from 'antd';
import { createElement as h, type ComponentType, type ReactNode } from 'react';
import type { Plugin } from 'vite';
import { NEVER_GIVEN } from '../web/app/neverGiven';
import { themeFor } from '../web/app/theme';
import { renderToString } from 'react-dom/server';

/** The panel of what otherwise appears beside the page, drawn in place. */
const inside = (component: object): ComponentType<Record<string, unknown>> =>
  (component as Record<string, never>)['_InternalPanelDoNotUseOrYouWillBeFired']!;
const option = { key: '1', value: '1', label: 'x' };

/** Every component that the program uses, drawn once, with what it draws itself beside the page. */
export const DRAWN: Readonly<Record<string, () => ReactNode[]>> = {
  Alert: () => [h(antd.Alert, { title: 'x' })],
  App: () => [h(antd.App, null, h(inside(antd.message), { content: 'x' }))],
  AutoComplete: () => [h(antd.AutoComplete, { options: [option] })],
  Button: () => [h(antd.Button, null, 'x')],
  Checkbox: () => [h(antd.Checkbox, null, 'x'), h(antd.Checkbox.Group, { options: ['x'] })],
  Collapse: () => [h(antd.Collapse, { items: [option] })],
  Dropdown: () => [h(antd.Dropdown, { menu: { items: [option] } }, h('span'))],
  Input: () => [h(antd.Input), h(antd.Input.TextArea, { autoSize: true }), h(antd.Input.Search)],
  InputNumber: () => [h(antd.InputNumber)],
  Modal: () => [h(inside(antd.Modal), null, 'x'), h(inside(antd.Modal), { type: 'confirm' }, 'x')],
  Progress: () => [h(antd.Progress, { percent: 50 })],
  QRCode: () => [h(antd.QRCode, { value: 'x' })],
  Radio: () => [h(antd.Radio.Group, { options: ['x'], optionType: 'button' })],
  Segmented: () => [h(antd.Segmented, { options: ['x'] })],
  Select: () => [h(antd.Select, { options: [option] }), h(antd.Empty)],
  Slider: () => [h(antd.Slider), h(inside(antd.Tooltip), { title: 'x' })],
  Spin: () => [h(antd.Spin)],
  Switch: () => [h(antd.Switch)],
};

const RULE = /([^{}]+)\{([^{}]*)\}/g;
/** What an element must not be says nothing of what it is. */
const DENIED = /:not\([^()]*\)/g;
/** A comma that does not stand within brackets. */
const COMMA = /,(?![^(]*\))/;

/** Without rules for what is never given, and those that only repeat what ours say of every box: each is tried on each element. */
const leaner = (css: string): string =>
  css.replace(RULE, (rule, selectors: string, declared: string) => {
    if (selectors.includes('[class') && /^\s*box-sizing:border-box;?\s*$/.test(declared)) return '';
    const met = selectors
      .split(COMMA)
      .filter((selector) => !NEVER_GIVEN.test(selector.replace(DENIED, '')));
    return met.length === 0 ? '' : rule.replace(selectors, () => met.join(','));
  });

/** Rules for every link of a page: ours are our own. */
const BARE_LINKS = /(?<=^|\})a(?:[:[][^{},]*)?(?:,a[:[][^{},]*)*\{[^{}]*\}/g;

/** The rules, without variables. @param theme as on a page */
function stylesFor(theme: antd.ThemeConfig): string {
  const cache = createCache();
  const drawn = Object.entries(DRAWN).map(([key, draw]) => h('div', { key }, ...draw()));
  const page = h(antd.ConfigProvider, { theme: { ...theme, zeroRuntime: false } }, ...drawn);
  renderToString(h(StyleProvider, { cache }, page));
  return leaner(extractStyle(cache, { plain: true, types: 'style' }).replace(BARE_LINKS, ''));
}

/**
 * Style sheet of the component library, made once by the build instead of by every page while it draws: its rules are the same on
 * every paper and under every hand; what differs are variables, which the page still sets.
 * @throws Error where that is not so
 */
export function componentStyles(): string {
  const [first, ...others] = [true, false].flatMap((finger) =>
    (['day', 'night'] as const).map((paper) =>
      stylesFor(themeFor(paper, { motion: finger, finger })),
    ),
  );
  if (others.some((css) => css !== first))
    throw new Error('componentStyles: the rules differ from paper to paper, or from hand to hand');
  return first!;
}

const IMPORTED = /import \{([^}]*)\} from 'antd'/g;
/** What draws nothing of its own. */
const UNDRAWN = ['ConfigProvider', 'theme'];

/** Components that a source file takes from the library and that are not in the sheet. */
function missingIn(code: string): string[] {
  const names = [...code.matchAll(IMPORTED)].flatMap(([, list]) => list!.split(','));
  return names
    .map((n) => n.trim())
    .filter((n) => n !== '' && !n.startsWith('type ') && !(n in DRAWN) && !UNDRAWN.includes(n));
}

const STYLE_FILE = /antd[\\/]es[\\/].*[\\/]style[\\/].*\.js$/;
const STYLE_HOOKS = ['genStyleHooks', 'genComponentStyleHook', 'genSubStyleComponent'];

/** A call of one of these, as the parser tells it. */
interface Node {
  readonly type: string;
  readonly start: number;
  readonly end: number;
  readonly callee?: Node;
  readonly name?: string;
  readonly arguments?: readonly Node[];
}

function callsIn(node: unknown, found: Node[] = []): Node[] {
  if (Array.isArray(node)) for (const part of node) callsIn(part, found);
  else if (typeof node === 'object' && node !== null) {
    const one = node as Node;
    if (one.type === 'CallExpression' && STYLE_HOOKS.includes(one.callee?.name ?? ''))
      found.push(one);
    for (const part of Object.values(node)) callsIn(part, found);
  }
  return found;
}

/** What would make the rules on the page again does not go into a build: the second of what each hook is handed. */
export const noStyleMakers: Plugin = {
  name: 'no-style-makers',
  enforce: 'pre',
  transform(code, id) {
    if (!STYLE_FILE.test(id)) return null;
    let without = code;
    for (const call of callsIn(this.parse(code)).toReversed()) {
      const maker = call.arguments![1]!;
      without = `${without.slice(0, maker.start)}() => []${without.slice(maker.end)}`;
    }
    return without === code ? null : { code: without, map: null };
  },
};

/** @returns what puts them into a build, under a name of their own; a component that it does not know fails the build */
export function componentStylesPlugin(name: string): Plugin {
  const file = path.resolve('web/app', `${name}.css`);
  return {
    name: 'component-styles',
    enforce: 'pre',
    resolveId: (id) => (id === `virtual:${name}.css` ? file : null),
    load: (id) => (id === file ? componentStyles() : null),
    transform(code, id) {
      if (!/\/web\/.*\.tsx?$/.test(id)) return;
      const missing = missingIn(code);
      if (missing.length > 0) this.error(`no styles are made for ${missing.join(', ')}`);
    },
  };
}
