import type { Browser } from './browser';

/**
 * What is wrong with how a page lies on a screen of this size, seen in the page itself: anything wider than the page, a
 * scrollbar inside another, text that is cut off, and text or controls that lie over other text or controls.
 */
const LOOK = String.raw`
  const problems = [];
  const page = document.documentElement;
  const named = (el) => {
    const said = (el.getAttribute('aria-label') || el.textContent || '').trim().replace(/\s+/g, ' ').slice(0, 40);
    const cls = typeof el.className === 'string' ? el.className : (el.className && el.className.baseVal) || '';
    return el.tagName.toLowerCase() + (cls ? '.' + cls.trim().split(/\s+/)[0] : '') + ' “' + said + '”';
  };
  // Asked of the same elements and of what they stand in again and again, and nothing changes meanwhile.
  const once = (of) => { const known = new Map(); return (el) => { let is = known.get(el); if (is === undefined) known.set(el, (is = of(el))); return is; }; };
  const styleOf = once((el) => getComputedStyle(el));
  const overflowOf = once((el) => { const { overflowX, overflowY, clipPath } = styleOf(el); return { x: overflowX, y: overflowY, clips: overflowX !== 'visible' || overflowY !== 'visible' || clipPath !== 'none' }; });
  const isIn = (a) => a && a !== page;
  const shown = (el) => el.checkVisibility({ opacityProperty: true, visibilityProperty: true });
  const apart = (el) => el.closest('.visually-hidden, .skip-link, .step-tag-title, [aria-hidden="true"], .ant-select-dropdown, .ant-message, .ant-tooltip');

  if (page.scrollWidth > innerWidth + 1) {
    const wide = [...document.body.querySelectorAll('*')].filter((el) => el.getBoundingClientRect().right > innerWidth + 1 && shown(el)
      && ![...ancestors(el)].some((a) => ['auto', 'scroll', 'hidden', 'clip'].includes(styleOf(a).overflowX)));
    problems.push('page is ' + (page.scrollWidth - innerWidth) + ' px too wide: ' + (wide.length ? named(wide[wide.length - 1]) : '?'));
  }
  // The screen under the bar is the page to whoever looks at it: nothing on it may be wider, either.
  const screen = document.querySelector('.shell-screen');
  if (screen && screen.scrollWidth > screen.clientWidth + 1) {
    const wide = [...screen.querySelectorAll('*')].filter((el) => el.getBoundingClientRect().right > innerWidth + 1 && shown(el)
      && ![...ancestors(el)].some((a) => a !== screen && screen.contains(a) && styleOf(a).overflowX !== 'visible'));
    problems.push('screen is ' + (screen.scrollWidth - screen.clientWidth) + ' px too wide: ' + (wide.length ? named(wide[wide.length - 1]) : '?'));
  }
  function* ancestors(el) { for (let a = el.parentElement; a && a !== page; a = a.parentElement) yield a; }

  const scrolls = once((el) => ['auto', 'scroll'].includes(overflowOf(el).y) && el.scrollHeight > el.clientHeight + 2 && el.clientHeight > 60);
  const scrolledX = once((el) => (['auto', 'scroll'].includes(overflowOf(el).x) && el.scrollWidth > el.clientWidth + 1) || (isIn(el.parentElement) && scrolledX(el.parentElement)));
  const scrolledY = once((el) => (['auto', 'scroll'].includes(overflowOf(el).y) && el.scrollHeight > el.clientHeight + 1) || (isIn(el.parentElement) && scrolledY(el.parentElement)));
  const all = [...document.body.querySelectorAll('*')].filter((el) => shown(el) && !apart(el));
  const pageScrolls = page.scrollHeight > innerHeight + 2;
  for (const el of all) {
    if (el.tagName === 'TEXTAREA' || !scrolls(el)) continue;
    const outer = [...ancestors(el)].find(scrolls);
    if (outer || pageScrolls) problems.push('scrolls inside ' + (outer ? named(outer).slice(0, 30) : 'a page that scrolls') + ': ' + named(el));
  }

  // Where of an element can be seen: its box, cut by everything round it that cuts.
  const windowOf = once((el) => {
    const round = isIn(el.parentElement) ? windowOf(el.parentElement) : { left: -Infinity, top: -Infinity, right: Infinity, bottom: Infinity };
    return cutTo(round, el);
  });
  const cutTo = (q, el) => {
    const { x, y, clips } = overflowOf(el);
    if (!clips) return q;
    const box = el.getBoundingClientRect();
    const [cutsX, cutsY] = [x !== 'visible', y !== 'visible'];
    return {
      left: cutsX ? Math.max(q.left, box.left) : q.left,
      right: cutsX ? Math.min(q.right, box.right) : q.right,
      top: cutsY ? Math.max(q.top, box.top) : q.top,
      bottom: cutsY ? Math.min(q.bottom, box.bottom) : q.bottom,
    };
  };
  const cutBy = (el, rect) => {
    const round = el.tagName === 'svg' ? el : el.parentElement;
    if (!isIn(round)) return rect;
    const seen = windowOf(round);
    return { left: Math.max(rect.left, seen.left), top: Math.max(rect.top, seen.top), right: Math.min(rect.right, seen.right), bottom: Math.min(rect.bottom, seen.bottom) };
  };
  const sizeOf = (q) => Math.max(0, q.right - q.left) * Math.max(0, q.bottom - q.top);

  const texts = [];
  for (const el of all) {
    if (el.tagName === 'OPTION' || el.tagName === 'SCRIPT' || el.tagName === 'STYLE') continue;
    const own = [...el.childNodes].filter((n) => n.nodeType === 3 && n.textContent.trim() !== '');
    if (own.length === 0) continue;
    for (const node of own) {
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const rect of range.getClientRects()) {
        if (rect.width < 2 || rect.height < 2) continue;
        const seen = cutBy(el, rect);
        // A glyph's box is taller than the glyph.
        const slack = rect.height * 0.22;
        texts.push({ el, rect: { left: seen.left + 1, right: seen.right - 1, top: seen.top + slack, bottom: seen.bottom - slack } });
        const lostX = rect.width - Math.max(0, seen.right - seen.left);
        const lostY = rect.height - Math.max(0, seen.bottom - seen.top);
        if ((lostX > 3 && !scrolledX(el)) || (lostY > rect.height * 0.3 && !scrolledY(el)))
          problems.push('cut off: ' + named(el));
      }
    }
    const s = styleOf(el);
    if (s.textOverflow === 'ellipsis' && s.overflowX !== 'visible' && el.scrollWidth > el.clientWidth + 1 && !el.title && !el.closest('[title]'))
      problems.push('cut off with dots: ' + named(el));
  }
  const controls = all.filter((el) => el.matches('button, input, select, textarea, a[href], [role="button"], [role="slider"]') && !el.closest('svg'))
    .map((el) => ({ el, rect: cutBy(el, el.getBoundingClientRect()) }));
  const layerOf = once((el) => el.closest('.ant-modal, .ant-popover, .ant-drawer, dialog'));
  const fixedOf = once((el) => (['fixed', 'sticky'].includes(styleOf(el).position) ? el : isIn(el.parentElement) ? fixedOf(el.parentElement) : null));
  const lies = ({ rect: a }, { rect: b }) => {
    const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left);
    const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
    return wide > 2 && high > 2 && wide * high > 0.12 * Math.min(sizeOf(a), sizeOf(b));
  };
  const related = (a, b) => a.contains(b) || b.contains(a) || (a.labels && [...a.labels].some((l) => l.contains(b))) || a.closest('label') && a.closest('label') === b.closest('label')
    || (a.closest('.ant-segmented, .ant-select, .ant-input-number, .ant-slider') && a.closest('.ant-segmented, .ant-select, .ant-input-number, .ant-slider') === b.closest('.ant-segmented, .ant-select, .ant-input-number, .ant-slider'));
  // A drawing in the flow lies over nothing; what is laid on a sheet on purpose has a place of its own there.
  const drawings = all.filter((el) => (el.tagName === 'CANVAS' || (el.tagName === 'svg' && !el.parentElement.closest('svg'))) && el.getBoundingClientRect().width > 60)
    .map((el) => ({ el, rect: cutBy(el, el.getBoundingClientRect()) }));
  const placedBy = (a, other) => {
    const { position } = styleOf(a);
    if (position === 'fixed' || position === 'sticky') return true;
    return position === 'absolute' && !!a.offsetParent && a.offsetParent.contains(other);
  };
  const laidOn = (el, drawing) => {
    for (let a = el; a && !a.contains(drawing); a = a.parentElement) if (placedBy(a, drawing)) return true;
    for (let a = drawing; a && !a.contains(el); a = a.parentElement) if (placedBy(a, el)) return true;
    return false;
  };
  for (const d of drawings)
    for (const x of [...texts, ...controls]) {
      if (d.el.contains(x.el) || x.el.contains(d.el) || sizeOf(x.rect) < 6 || !lies(d, x) || laidOn(x.el, d.el)) continue;
      if (layerOf(d.el) !== layerOf(x.el)) continue;
      problems.push('drawing ' + named(d.el).slice(0, 24) + ' lies over ' + named(x.el));
    }
  // What is seen where a text stands: the text, or something opaque that lies over it.
  const opaque = (el) => {
    const [, alpha = '1'] = /rgba\([^)]*[, /]+([\d.]+)\)/.exec(styleOf(el).backgroundColor) || [];
    return Number(alpha) > 0.5 || ['IMG', 'CANVAS'].includes(el.tagName);
  };
  for (const { el, rect } of texts) {
    if (sizeOf(rect) < 6) continue;
    // Near its end as well: most of it may be in sight.
    for (const share of [0.5, 0.92]) {
      const top = document.elementFromPoint(rect.left + share * (rect.right - rect.left), (rect.top + rect.bottom) / 2);
      if (!top || top.closest('svg') || top.contains(el) || el.contains(top) || layerOf(top) !== layerOf(el) || fixedOf(top) !== fixedOf(el)) continue;
      let over = top;
      while (over && !over.contains(el) && !opaque(over)) over = over.parentElement;
      if (over && !over.contains(el)) problems.push('covered: ' + named(el) + ' by ' + named(over));
    }
  }
  const things = [...texts, ...controls].filter((x) => sizeOf(x.rect) > 6);
  const told = new Set();
  for (let i = 0; i < things.length; i++)
    for (let j = i + 1; j < things.length; j++) {
      const [a, b] = [things[i], things[j]];
      if (a.el === b.el || !lies(a, b) || related(a.el, b.el) || related(b.el, a.el)) continue;
      if (layerOf(a.el) !== layerOf(b.el)) continue;
      const [fa, fb] = [fixedOf(a.el), fixedOf(b.el)];
      if (fa !== fb) continue;
      const line = 'overlap: ' + named(a.el) + ' and ' + named(b.el);
      if (!told.has(line)) { told.add(line); problems.push(line); }
    }
  return [...new Set(problems)].slice(0, 12);
`;

/** A busy machine may take so long until what was made narrower has been laid out anew, ms. */
const UNTIL_IT_LIES = [0, 300, 1500];

/** What is there and stays: a page that is about to be laid out anew is looked at again. */
export async function layoutProblems(b: Browser): Promise<string[]> {
  let found: string[] = [];
  for (const ms of UNTIL_IT_LIES) {
    await b.driver.sleep(ms);
    found = await b.driver.executeScript<string[]>(LOOK);
    if (found.length === 0) break;
  }
  return found;
}

/** What is pressed by a finger is 44 px each way (WCAG 2.2, 2.5.5; published); links within a sentence are exempt there. */
const TARGETS = String.raw`
  const small = [];
  for (const el of document.querySelectorAll('main :is(button, [role="button"], input, select, textarea, a[href], [role="slider"], [role="switch"])')) {
    if (el.disabled || !el.checkVisibility({ visibilityProperty: true })) continue;
    if (el.closest('svg, p, li > a, .visually-hidden, [aria-hidden="true"], .ant-input-number-actions')) continue;
    const target = el.closest('label, .ant-slider, .ant-select, .ant-input-number, .ant-input-affix-wrapper') || el;
    const { width, height } = target.getBoundingClientRect();
    // A switch is pressed round about, too.
    const reach = target.matches('.ant-switch') ? 22 : 0;
    if (width === 0 || height === 0 || Math.min(width, height + reach) >= 43.5) continue;
    small.push('too small for a finger, ' + Math.round(width) + '×' + Math.round(height) + ': '
      + String(target.className).split(' ')[0] + ' “' + (el.getAttribute('aria-label') || el.textContent || '').trim().slice(0, 30) + '”');
  }
  return [...new Set(small)].slice(0, 8);
`;

export const smallTargets = (b: Browser): Promise<string[]> =>
  b.driver.executeScript<string[]>(TARGETS);

/** Letters on a drawing as they come to the screen, px; a drawing that is pinched larger (its own \`.zoom\`) is exempt. */
const LETTERS = String.raw`
  const small = [];
  for (const el of document.querySelectorAll('main svg text, main svg tspan')) {
    if (![...el.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim() !== '')) continue;
    if (!el.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
    const { a, b } = el.getScreenCTM();
    const px = Number.parseFloat(getComputedStyle(el).fontSize) * Math.hypot(a, b);
    if (px < 9) small.push('letters of ' + px.toFixed(1) + ' px: ' + (el.closest('svg').getAttribute('class') || '') + ' .' + (el.getAttribute('class') || '') + ' “' + el.textContent.trim().slice(0, 20) + '”');
  }
  return [...new Set(small)].slice(0, 4);
`;

export const smallLetters = (b: Browser): Promise<string[]> =>
  b.driver.executeScript<string[]>(LETTERS);
