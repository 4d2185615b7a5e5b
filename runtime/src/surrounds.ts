import handed from './handed.json';

type Host = typeof globalThis & Window;

/** A script that runs in rooms: it is handed what it would find in a window of its own. */
export type Bringing = (handed: Readonly<Record<string, unknown>>) => void;

/** What is heard in the page around and not in the room. */
const OUTSIDE = new Set(['visibilitychange', 'fullscreenchange']);

/** How wide the room is, and who wants to know when it is otherwise. */
function widths(host: Host, inside: HTMLElement, signal: AbortSignal) {
  const changed = new host.EventTarget();
  let wide = inside.getBoundingClientRect().width;
  told(inside, wide);
  const watch = new host.ResizeObserver(() => {
    const now = inside.getBoundingClientRect().width;
    if (now === wide) return;
    wide = now;
    told(inside, wide);
    changed.dispatchEvent(new host.Event('resize'));
  });
  watch.observe(inside);
  signal.addEventListener('abort', () => watch.disconnect());
  host.addEventListener('resize', () => changed.dispatchEvent(new host.Event('resize')), {
    signal,
  });
  return { changed, wide: () => wide };
}

type Listened = Parameters<EventTarget['addEventListener']>;

/** Whether a room so wide is in a band, as a media query says it in range syntax. */
export function holds(query: string, wide: number): boolean {
  return query.split(' and ').every((feature) => {
    if (feature === 'all' || feature === 'screen') return true;
    const asked = /^\((?:([\d.]+)px *<= *)?width(?: *(<|>=) *([\d.]+)px)?\)$/.exec(feature.trim());
    if (!asked) return false;
    const [, from = '0', sign = '>=', at = '0'] = asked;
    return wide >= Number(from) && (sign === '<' ? wide < Number(at) : wide >= Number(at));
  });
}

/**
 * What an image is told of its width, in a room so wide: the first that holds of a list as in the
 * attribute sizes, in px. Source: HTML, "Parsing a sizes attribute".
 */
export function sized(list: string, wide: number): string {
  for (const each of list.split(/,(?![^(]*\))/)) {
    const [, query = 'all', size = ''] = /^\s*(\([^()]*width[^()]*\))?\s*(.*)$/.exec(each) ?? [];
    if (holds(query, wide)) {
      return size.replace(/([\d.]+)vw/g, (_, share) => `${(Number(share) * wide) / 100}px`);
    }
  }
  return 'auto';
}

/** Tells all images of a room how wide they are in it. */
export function told(inside: ParentNode, wide: number) {
  for (const image of inside.querySelectorAll<HTMLImageElement>('img[data-sizes]')) {
    image.sizes = sized(image.dataset.sizes ?? '', wide);
  }
}

/** A media query of the room: by its own width, by the page's window for everything else. */
function matching(host: Host, { changed, wide }: ReturnType<typeof widths>, signal: AbortSignal) {
  return (query: string) => {
    if (query !== 'all' && !query.includes('width')) return host.matchMedia(query);
    const own = new host.EventTarget();
    let matches = holds(query, wide());
    changed.addEventListener(
      'resize',
      () => {
        const now = holds(query, wide());
        if (now === matches) return;
        matches = now;
        own.dispatchEvent(new host.Event('change'));
      },
      { signal },
    );
    return Object.defineProperty(own, 'matches', { get: () => holds(query, wide()) });
  };
}

/** What scripts in a room take for the document: the room's own tree. */
function documentOf(host: Host, root: ShadowRoot, signal: AbortSignal) {
  const { document } = host;
  return {
    querySelector: (asked: string) => root.querySelector(asked),
    querySelectorAll: (asked: string) => root.querySelectorAll(asked),
    getElementById: (id: string) => root.getElementById(id),
    createElement: (name: string) => document.createElement(name),
    addEventListener(type: string, listener: Listened[1], options?: object) {
      const to: EventTarget = OUTSIDE.has(type) ? document : root;
      to.addEventListener(type, listener, { signal, ...options });
    },
    exitFullscreen: () => document.exitFullscreen(),
    exitPictureInPicture: () => document.exitPictureInPicture(),
    get activeElement() {
      return root.activeElement;
    },
    get fullscreenElement() {
      return root.fullscreenElement;
    },
    get pictureInPictureElement() {
      return root.pictureInPictureElement;
    },
    fullscreenEnabled: document.fullscreenEnabled,
    pictureInPictureEnabled: document.pictureInPictureEnabled,
    get hidden() {
      return document.hidden;
    },
    get title() {
      return document.title;
    },
    body: {
      /** What lies over the whole window stands beside the room, dressed as what is in it. */
      append(element: HTMLElement) {
        const like = root.querySelector('g-page')?.cloneNode(false) as HTMLElement;
        like.append(element);
        root.append(like);
      },
    },
  };
}

/**
 * Lets scripts run in a room until it is told to end.
 * @param inside the element whose width is that of the room
 */
export function room(
  host: Host,
  root: ShadowRoot,
  inside: HTMLElement,
  signal: AbortSignal,
  scripts: readonly Bringing[],
) {
  const around = widths(host, inside, signal);
  const document = documentOf(host, root, signal);
  const addEventListener = (type: string, listener: Listened[1], options?: object) => {
    if (type === 'DOMContentLoaded') {
      host.setTimeout(() => (listener as (event: Event) => void)(new host.Event(type)));
      return;
    }
    const to = type === 'resize' ? around.changed : type.startsWith('giostra:') ? root : host;
    to.addEventListener(type, listener, { signal, ...options });
  };
  const window = {
    get innerWidth() {
      return around.wide();
    },
    get innerHeight() {
      return host.innerHeight;
    },
    setTimeout: (then: () => void, ms?: number) => host.setTimeout(then, ms),
    addEventListener,
    // Of a page that is in a frame the pieces are only looked at.
    get parent(): unknown {
      return host.parent === host ? window : host.parent;
    },
  };
  const things: Readonly<Record<string, unknown>> = {
    window,
    document,
    addEventListener,
    matchMedia: matching(host, around, signal),
    requestAnimationFrame: (draw: FrameRequestCallback) => host.requestAnimationFrame(draw),
    cancelAnimationFrame: (frame: number) => host.cancelAnimationFrame(frame),
    setTimeout: window.setTimeout,
    clearTimeout: (timer: number) => host.clearTimeout(timer),
    getComputedStyle: (element: Element, pseudo?: string) => host.getComputedStyle(element, pseudo),
  };
  const given = Object.fromEntries(
    handed.map((name) => [name, things[name] ?? host[name as keyof Host]]),
  );
  for (const script of scripts) script(given);
}
