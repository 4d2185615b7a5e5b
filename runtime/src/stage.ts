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
}
type Told = Swap | { readonly type: 'show'; readonly id: string } | { readonly type: 'hello' };

const bench = window.parent;
const benchOrigin = (document.currentScript as HTMLScriptElement).dataset.bench ?? '';
const say = (message: unknown) => bench !== window && bench.postMessage(message, benchOrigin);

function fragment(html: string) {
  const template = document.createElement('template');
  template.innerHTML = html;
  return template.content;
}

/** Puts a new sheet in; the old one goes when the new one is there, so nothing shows undressed. */
function dress(path: string): Promise<void> {
  const old = document.querySelector<HTMLLinkElement>('link[rel=stylesheet]');
  if (!old || old.getAttribute('href') === path) return Promise.resolve();
  const sheet = old.cloneNode() as HTMLLinkElement;
  sheet.setAttribute('href', path);
  return new Promise((done) => {
    sheet.onload = sheet.onerror = () => {
      old.remove();
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
      added.defer = true;
      document.head.append(added);
    }
  }
  const main = document.querySelector('main');
  const nextMain = next.querySelector('main');
  if (main && nextMain) main.replaceWith(document.importNode(nextMain, true));
}

let turn: Promise<void> = Promise.resolve();
async function swap(message: Swap) {
  const at = window.scrollY;
  const styled = dress(message.css);
  if (message.html) swapAll(message.html);
  for (const [id, html] of Object.entries(message.blocks ?? {})) {
    document.querySelector(`[data-block="${id}"]`)?.replaceWith(fragment(html));
  }
  await styled;
  window.scrollTo(0, at);
  document.dispatchEvent(new Event('giostra:start'));
  say({ type: 'swapped', css: message.css });
}

addEventListener('message', (event: MessageEvent<Told>) => {
  if (event.source !== bench || event.origin !== benchOrigin) return;
  const message = event.data;
  if (message.type === 'hello') hello();
  else if (message.type === 'show') {
    const target = document.querySelector(
      `[data-block="${message.id}"],[data-section="${message.id}"],[data-item="${message.id}"]`,
    );
    show(target);
  } else turn = turn.then(() => swap(message));
});

/** Brings something into view: in the middle, or from a little above its start when it is high. */
function show(target: Element | null) {
  if (!target) return;
  const box = target.getBoundingClientRect();
  const room = window.innerHeight;
  const above = box.height < room - 40 ? (room - box.height) / 2 : Math.min(96, room / 5);
  window.scrollTo({ top: window.scrollY + box.top - above, behavior: 'instant' });
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
  const at = (name: string) => target.closest<HTMLElement>(`[data-${name}]`)?.dataset[name];
  say({ type: 'clicked', item: at('item'), block: at('block'), section: at('section') });
});
addEventListener('resize', hello);
hello();
