import { unbar } from './bars';
import { heedHeld, hold, rules } from './held';

/** A part to be drawn in each of its states; lengths in px. */
export interface Drawn {
  readonly type: 'draw';
  readonly elements: string;
  readonly current: string;
  readonly states: readonly string[];
  /** The item or the pin that it is a part of, as a selector; empty for the first that has it. */
  readonly of: string;
  /** Of the screen that it is to look as on. */
  readonly width: number;
  readonly height: number;
  readonly cells: readonly { readonly left: number; readonly width: number }[];
  readonly high: number;
}

/** Whether a query of the page's sheet for a width holds at one. */
function holds(query: string, width: number): boolean {
  const bounds = /^\((?:([\d.]+)px <= )?width (<|>=|<=|>) ([\d.]+)px\)$/.exec(query.trim());
  if (!bounds) return matchMedia(query).matches;
  const least = Number(bounds[1] ?? 0);
  const other = Number(bounds[3]);
  return width >= least && (bounds[2]?.startsWith('<') ? width < other : width >= other);
}

function settle(list: CSSRuleList, width: number) {
  for (const rule of list) {
    if (rule instanceof CSSMediaRule && rule.conditionText.includes('width')) {
      rule.media.mediaText = holds(rule.conditionText, width) ? 'all' : 'not all';
    }
    if (rule instanceof CSSGroupingRule) settle(rule.cssRules, width);
  }
}

/** The sheet as it is on a screen, whatever the size of this frame. */
function asOn(width: number, height: number) {
  for (const sheet of document.styleSheets) settle(sheet.cssRules, width);
  const units: Readonly<Record<string, number>> = {
    vmin: Math.min(width, height) / 100,
    svh: height / 100,
    dvh: height / 100,
    vw: width / 100,
  };
  unbar(width, height);
  for (const rule of rules()) {
    if (!/vmin|svh|dvh|vw/.test(rule.cssText)) continue;
    rule.style.cssText = rule.style.cssText.replace(
      /(-?[\d.]+)(vmin|svh|dvh|vw)\b/g,
      (_, amount: string, unit: string) => `${Number(amount) * (units[unit] ?? 0)}px`,
    );
  }
}

const still = '*, ::before, ::after { transition: none !important; animation: none !important }';
const frame = `
  ${still}
  html, body { overflow: hidden; margin: 0 }
  main { visibility: hidden; position: absolute; inset: 0 auto auto 0 }
  .drawn { position: fixed; inset-block-start: 0; overflow: clip; pointer-events: none }
  .drawn > div { position: absolute; inset-block-start: 0; inset-inline-start: 0; transform-origin: 0 0 }
`;

const seen = (element: Element) => {
  const box = element.getBoundingClientRect();
  return box.width > 0 && box.height > 0 && getComputedStyle(element).opacity !== '0';
};

/** Which of the elements that have the part is looked at in a state. */
function chosen(within: Element, { elements, current, of }: Drawn, state: string) {
  const every = [...within.querySelectorAll(elements)].filter(seen);
  const its = of === '' ? [] : every.filter((each) => each.closest(of));
  const all = its.length > 0 ? its : every;
  if (current === '') return all[0];
  const now = new Set([...within.querySelectorAll(current)]);
  return state === 'current'
    ? all.find((each) => now.has(each))
    : (all.find((each) => !now.has(each)) ?? all[0]);
}

let sheet: CSSStyleSheet | undefined;
let settled = '';

/** Draws a part in its states, each in a cell of its own: copies of the page that nothing moves. */
export function draw(message: Drawn): readonly boolean[] {
  const main = document.querySelector('main');
  if (!main) return [];
  if (!sheet) {
    sheet = new CSSStyleSheet();
    sheet.replaceSync(frame);
    document.adoptedStyleSheets.push(sheet);
    heedHeld();
  }
  const screen = `${message.width} ${message.height}`;
  if (settled === '') {
    asOn(message.width, message.height);
    settled = screen;
  }
  for (const each of document.querySelectorAll('.drawn')) each.remove();
  main.style.width = `${message.width}px`;
  return message.states.map((state, index) => {
    const place = message.cells[index];
    if (!place) return false;
    const cell = document.createElement('div');
    cell.className = 'drawn';
    cell.inert = true;
    Object.assign(cell.style, {
      left: `${place.left}px`,
      width: `${place.width}px`,
      height: `${message.high}px`,
    });
    const copy = document.createElement('div');
    copy.style.width = `${message.width}px`;
    for (const part of main.children) copy.append(part.cloneNode(true));
    cell.append(copy);
    document.body.append(cell);
    for (const box of copy.querySelectorAll('details')) box.open ||= box.matches(':first-of-type');
    // Backs are looked at where they are turned to.
    if (message.elements.includes('.g-back') || message.elements.includes('.g-turn-back')) {
      for (const box of copy.querySelectorAll('.g-box')) box.setAttribute('data-turned', '');
    }
    const target = chosen(copy, message, state);
    if (!target) {
      cell.remove();
      return false;
    }
    // What a track has out of view is looked at as well.
    target.closest<HTMLElement>('.g-view')?.style.setProperty('overflow', 'visible');
    hold(target, state);
    const box = target.getBoundingClientRect();
    const cellBox = cell.getBoundingClientRect();
    const scale = Math.min(1, (place.width - 20) / box.width, (message.high - 14) / box.height);
    // What is too large to be seen whole shows how it begins.
    const shown = Math.max(0.34, scale);
    const x =
      Math.max(10, (place.width - box.width * shown) / 2) - (box.left - cellBox.left) * shown;
    const y =
      Math.max(7, (message.high - box.height * shown) / 2) - (box.top - cellBox.top) * shown;
    copy.style.transform = `translate(${x}px, ${y}px) scale(${shown})`;
    return true;
  });
}

/** Whether it has drawn for another screen: then the page has to be taken anew. */
export const drawnFor = (width: number, height: number) =>
  settled === '' || settled === `${width} ${height}`;
