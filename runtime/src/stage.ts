import { unbar } from './bars';
import { type Drawn, draw } from './drawn';
import { farOff } from './far';
import { heedHeld, hold, letGo } from './held';
import type { Shown } from './kinds';
import { type Traced, tracing } from './traced';
import { tree } from './tree';
import { ways } from './ways';

/**
 * The one script that a preview has and a release has not: it takes new markup from the bench and
 * tells it what was clicked. The bench is the only window it listens to.
 */
interface Swap {
  readonly type: 'swap';
  /** The whole page, as a release would have it. */
  readonly html?: string;
  /** Or the blocks that changed, by id, and the sheet. */
  readonly blocks?: Readonly<Record<string, string>>;
  readonly css: string;
  /** The sheet that the patches are for, and how many rules it has. */
  readonly from: string;
  readonly count: number;
  readonly rules?: readonly {
    readonly group?: number | null;
    readonly at: number;
    readonly remove: number;
    readonly insert: readonly string[];
  }[];
}
/** What was swapped in last, with other colours: where that cannot be, it goes and this comes. */
interface Redraw {
  readonly type: 'redraw';
  readonly to: Swap;
  /** What takes back the one before. */
  readonly back: Swap;
}
type Told =
  | Swap
  | Redraw
  | { readonly type: 'show' | 'mark' | 'replay'; readonly id: string }
  | Hold
  | Drawn
  | Traced
  | { readonly type: 'tree'; readonly asked: number }
  | { readonly type: 'where'; readonly id: string }
  | { readonly type: 'at'; readonly id: string; readonly at?: Shown }
  | { readonly type: 'anatomy'; readonly parts: readonly (readonly [string, string])[] }
  | { readonly type: 'scroll'; readonly share?: number; readonly top?: number }
  | { readonly type: 'hello' };

/** Where the page stands that is seen with others: px, or a share of what there is to scroll. */
const scroll = ({ share = 0, top }: { readonly share?: number; readonly top?: number }) =>
  window.scrollTo({
    top: top ?? share * (document.documentElement.scrollHeight - window.innerHeight),
    behavior: 'instant',
  });

/** Holds a part of a node in a state, for looking at it in its place; in none lets all go. */
interface Hold {
  readonly type: 'hold';
  readonly id: string;
  readonly elements: string;
  readonly state: string;
}

const bench = window.parent;
if (bench !== window) {
  const unbarred = () => unbar(window.innerWidth, window.innerHeight);
  addEventListener('resize', unbarred);
  unbarred();
}
const benchOrigin = (document.currentScript as HTMLScriptElement).dataset.bench ?? '';
const say = (message: unknown) => bench !== window && bench.postMessage(message, benchOrigin);

function fragment(html: string) {
  const template = document.createElement('template');
  template.innerHTML = html;
  return template.content;
}

/**
 * Makes a sheet the page's alone. Browsers share one that was fetched until it is changed, and then
 * style all of the page anew: that is better done while it is loaded than at the first edit.
 */
function own({ sheet }: HTMLLinkElement) {
  if (!sheet) return;
  sheet.deleteRule(sheet.insertRule('own{}', sheet.cssRules.length));
}

/** Puts a new sheet in; the old one goes when the new one is there, so nothing shows undressed. */
function dress(path: string): Promise<void> {
  const old = document.querySelector<HTMLLinkElement>('link[rel=stylesheet]');
  if (!old || worn === path) return Promise.resolve();
  worn = path;
  const sheet = old.cloneNode() as HTMLLinkElement;
  sheet.setAttribute('href', path);
  // Until the old one goes it says nothing, so that the page is laid out once and not twice.
  sheet.media = 'not all';
  return new Promise((done) => {
    sheet.onload = sheet.onerror = () => {
      own(sheet);
      old.remove();
      sheet.removeAttribute('media');
      done();
    };
    old.after(sheet);
  });
}

function swapAll(html: string) {
  const next = new DOMParser().parseFromString(html, 'text/html');
  const root = document.documentElement;
  for (const name of ['lang', 'dir']) {
    root.setAttribute(name, next.documentElement.getAttribute(name) ?? '');
  }
  const keep = document.querySelectorAll('head > script, head > link[rel=stylesheet]');
  const kept = [...keep];
  const fresh = [...next.head.children].filter(
    (node) => !node.matches('script, link[rel=stylesheet]'),
  );
  for (const node of [...document.head.children]) {
    if (!kept.includes(node)) node.remove();
  }
  document.head.prepend(...fresh.map((node) => document.importNode(node, true)));
  for (const script of next.head.querySelectorAll('script[src]')) {
    const src = script.getAttribute('src') ?? '';
    if (!document.querySelector(`script[src="${CSS.escape(src)}"]`)) {
      const added = document.createElement('script');
      added.src = src;
      // In the order in which they stand: the first makes what the others add themselves to.
      added.async = false;
      document.head.append(added);
    }
  }
  const main = document.querySelector('main');
  const nextMain = next.querySelector('main');
  if (main && nextMain) main.replaceWith(document.importNode(nextMain, true));
}

const first = document.querySelector<HTMLLinkElement>('link[rel=stylesheet]');
if (first) own(first);

/** Path of the sheet that the page wears: its own, or one that patches have made of it. */
let worn = first?.getAttribute('href') ?? '';

/** The rules that were put in last. */
let patched: readonly CSSRule[] = [];

/** Changes the rules that changed, so that only what they touch is laid out anew. */
function patch(message: Swap): boolean {
  patched = [];
  const sheet = document.querySelector<HTMLLinkElement>('link[rel=stylesheet]')?.sheet;
  if (!message.rules || !sheet || worn !== message.from) return false;
  if (sheet.cssRules.length !== message.count) return false;
  patched = message.rules.flatMap(({ group, at, remove, insert }) => {
    const list = group == null ? sheet : (sheet.cssRules[group] as CSSGroupingRule);
    for (let i = 0; i < remove; i++) list.deleteRule(at);
    insert.forEach((rule, index) => {
      list.insertRule(rule, at + index);
    });
    return insert.flatMap((_, index) => list.cssRules[at + index] ?? []);
  });
  worn = message.css;
  return true;
}

/** Gives rules the declarations of others, in which nothing but colours differs. */
function recolour(rules: Iterable<CSSRule>, next: CSSRuleList) {
  [...rules].forEach((rule, index) => {
    const other = next[index];
    if (rule instanceof CSSStyleRule && other instanceof CSSStyleRule) {
      rule.style.cssText = other.style.cssText;
    } else if (rule instanceof CSSGroupingRule && other instanceof CSSGroupingRule) {
      recolour(rule.cssRules, other.cssRules);
    }
  });
}

async function redraw({ to, back }: Redraw) {
  const rules = to.rules?.flatMap(({ insert }) => insert) ?? [];
  if (worn !== back.from || patched.length === 0 || patched.length !== rules.length) {
    await swap(back);
    await swap(to);
    return;
  }
  far.leave();
  const others = new CSSStyleSheet();
  others.replaceSync(rules.join(''));
  recolour(patched, others.cssRules);
  worn = to.css;
  say({ type: 'swapped', css: to.css });
}

const far = farOff();
let turn: Promise<void> = Promise.resolve();
async function swap(message: Swap) {
  far.near();
  const at = window.scrollY;
  const styled = patch(message) ? Promise.resolve() : dress(message.css);
  if (message.html) swapAll(message.html);
  for (const [id, html] of Object.entries(message.blocks ?? {})) {
    document.querySelector(`[data-block="${id}"]`)?.replaceWith(fragment(html));
  }
  await styled;
  if (window.scrollY !== at) window.scrollTo(0, at);
  // What was there before the change does not come in anew.
  for (const each of document.querySelectorAll('[data-enter]')) {
    each.setAttribute('data-entered', '');
  }
  document.dispatchEvent(new Event('giostra:start'));
  still();
  drawAt();
  if (held) keep(held);
  say({ type: 'swapped', css: message.css });
}

addEventListener('message', (event: MessageEvent<Told>) => {
  if (event.source !== bench || event.origin !== benchOrigin) return;
  const message = event.data;
  if (message.type !== 'redraw') far.near();
  if (message.type === 'hello') hello();
  else if (message.type === 'show') show(element(message.id));
  else if (message.type === 'mark') mark(message.id);
  else if (message.type === 'scroll') scroll(message);
  else if (message.type === 'replay') replay(message.id);
  else if (message.type === 'anatomy') anatomy = message.parts;
  else if (message.type === 'hold') keep(message);
  else if (message.type === 'at') {
    if (told && (told.id !== message.id || !message.at)) piece(told.id)?.giostra?.show?.(undefined);
    told = message.at ? { id: message.id, at: message.at } : undefined;
    drawAt();
  } else if (message.type === 'draw') say({ type: 'drawn', there: draw(message) });
  else if (message.type === 'trace') trace(message);
  else if (message.type === 'where') say({ type: 'where', id: message.id, ...where(message.id) });
  else if (message.type === 'tree') {
    // Not before what is on its way is there.
    turn = turn
      .then(() => document.fonts.ready)
      .then(() => {
        far.near();
        say({ type: 'tree', asked: message.asked, tree: tree() });
      });
  } else if (message.type === 'swap') turn = turn.then(() => swap(message));
  else if (message.type === 'redraw') turn = turn.then(() => redraw(message));
});

const trace = tracing(say);

/** Where a node stands on the page, px; its start where it does not. */
function where(id: string) {
  const box = element(id)?.getBoundingClientRect();
  return {
    left: Math.round(box ? box.left + window.scrollX : 0),
    top: Math.round(box ? box.top + window.scrollY : 0),
  };
}

/** Whatever stands for a node on the page. */
const element = (id: string) =>
  document.querySelector<HTMLElement>(
    ['block', 'section', 'item', 'piece', 'pin'].map((name) => `[data-${name}="${id}"]`).join(),
  );

/** Parts by the selector of what has them, so that a press tells which it hit. */
let anatomy: readonly (readonly [string, string])[] = [];

let held: Hold | undefined;
function keep(message: Hold) {
  letGo();
  held = message.state === '' ? undefined : message;
  if (!held) return;
  heedHeld();
  const within = element(message.id) ?? document.body;
  for (const each of within.querySelectorAll(message.elements)) {
    if (message.state !== 'disabled') hold(each, message.state);
  }
}

/** The parts that an element and what holds it have, the innermost first. */
function partsAt(target: Element): readonly string[] {
  const found: string[] = [];
  for (let at: Element | null = target; at; at = at.parentElement) {
    for (const [part, selector] of anatomy) if (at.matches(selector)) found.push(part);
    if (at instanceof HTMLElement && at.dataset.section) break;
  }
  return [...new Set(found)];
}

/** What is chosen in the bench is outlined here: a sheet of its own, which no release has. */
const chosen = new CSSStyleSheet();
document.adoptedStyleSheets.push(chosen);
function mark(id: string) {
  const node = ['block', 'section', 'item', 'pin'].map((name) => `[data-${name}="${id}"]`).join();
  chosen.replaceSync(
    `:is(${node}) { outline: 2px solid #b07d2b; outline-offset: -2px; border-radius: 0 }`,
  );
}

/** Nothing moves by itself beside the bench, which has the time in its hands. */
function still() {
  if (bench === window) return;
  for (const each of document.querySelectorAll<HTMLElement>('[data-piece]')) {
    each.giostra?.hold?.(true);
  }
}

/** What the bench has drawn at a time of its choice. */
let told: { readonly id: string; readonly at: Shown } | undefined;
const piece = (id: string) => document.querySelector<HTMLElement>(`[data-piece="${id}"]`);
function drawAt() {
  if (told) piece(told.id)?.giostra?.show?.(told.at);
}

/** Plays again what runs once: that of the piece, or of all when it has none. */
function replay(id: string) {
  const at = element(id);
  const pieces = [
    ...(at?.closest<HTMLElement>('[data-piece]') ? [at.closest<HTMLElement>('[data-piece]')] : []),
    ...(at?.querySelectorAll<HTMLElement>('[data-piece]') ?? []),
  ];
  for (const piece of pieces) piece?.giostra?.replay?.();
  for (const each of pieces) if (each?.dataset.enter) each.removeAttribute('data-entered');
  document.dispatchEvent(new Event('giostra:start'));
}

/** Brings something into view: in the middle, or from a little above its start when it is high. */
function show(target: Element | null) {
  if (!target) return;
  // What lies in a closed panel, or on another slide, is opened first; outermost first.
  const items: HTMLElement[] = [];
  for (let at: Element | null = target; at; at = at.parentElement) {
    if (at instanceof HTMLElement && at.dataset.item) items.unshift(at);
  }
  for (const item of items) {
    const piece = item.closest<HTMLElement>('[data-piece]');
    // To open a clip is to start it, which nobody asks for by choosing it.
    if (piece?.dataset.kind !== 'video') piece?.giostra?.open(item.dataset.item ?? '');
  }
  const box = target.getBoundingClientRect();
  const room = window.innerHeight;
  const above = box.height < room - 40 ? (room - box.height) / 2 : Math.min(96, room / 5);
  window.scrollTo({ top: window.scrollY + box.top - above, behavior: 'instant' });
  // Where it is on this screen, of which the bench may show a part only.
  const { top, height } = target.getBoundingClientRect();
  say({ type: 'shown', top, height });
}

/** Tells the bench how wide a classic scrollbar is here. */
function hello() {
  const scrollbar = window.innerWidth - document.documentElement.clientWidth;
  say({ type: 'ready', scrollbar });
}

addEventListener('click', (event) => {
  const target = event.target as Element;
  const link = target.closest('a');
  if (link && bench !== window) event.preventDefault();
  // The nodes that were hit, the innermost first; a tab's heading stands for its tab.
  const ids: string[] = [];
  const nodes = '[data-pin],[data-of],[data-item],[data-block],[data-section]';
  for (let hit = target.closest<HTMLElement>(nodes); hit; ) {
    const { pin, of, item, block, section } = hit.dataset;
    ids.push(pin ?? of ?? item ?? block ?? section ?? '');
    hit = hit.parentElement?.closest<HTMLElement>(nodes) ?? null;
  }
  say({ type: event.detail > 1 ? 'opened' : 'clicked', ids, parts: partsAt(target) });
});
addEventListener('resize', hello);
// Ways of changing are tried on pages that have none yet.
window.giostra?.lend({ ways });
still();
hello();
