import { bring } from './snippet';
import { type Bringing, room } from './surrounds';
import { type Trust, trusting } from './trust';

/** The window of the page that pieces stand in: around this one, or this one where none could be made. */
const host = (
  window.frameElement?.hasAttribute('data-giostra') ? window.parent : window
) as typeof globalThis & Window;

/** Scripts that run in rooms, by their addresses, in the order in which they came. */
const scripts = new Map<string, Promise<Bringing>>();
const arrived = new Map<string, Bringing>();

declare global {
  interface Window {
    /** Takes a script that runs in rooms. */
    giostraRoom?: (bringing: Bringing) => void;
    /** What the page around takes for markup; there is one of it. */
    giostraTrust?: Trust;
  }
}

window.giostraRoom = (bringing) => {
  const { src } = document.currentScript as HTMLScriptElement;
  arrived.set(src, bringing);
};

const trust = window.giostraTrust ?? trusting();
const nonce = (document.currentScript as HTMLScriptElement | null)?.nonce ?? '';

function script(address: string): Promise<Bringing> {
  const known = scripts.get(address);
  if (known) return known;
  const coming = new Promise<Bringing>((done, failed) => {
    const none = () => {
      // Whoever asks again may have it.
      scripts.delete(address);
      failed(new Error(address));
    };
    const tag = document.createElement('script');
    tag.crossOrigin = 'anonymous';
    tag.src = trust.createScriptURL(address);
    tag.nonce = nonce;
    tag.onload = () => {
      const bringing = arrived.get(tag.src);
      if (bringing) done(bringing);
      else none();
    };
    tag.onerror = none;
    document.head.append(tag);
  });
  scripts.set(address, coming);
  return coming;
}

/** What the address of a piece says of it. */
async function answered(src: string, signal: AbortSignal) {
  const address = new URL(src, host.document.baseURI).href;
  const answer = await host.fetch(address, { credentials: 'omit', signal });
  if (!answer.ok) throw new Error(`${answer.status}`);
  return answer.text();
}

/** Ms that letters may keep their words from being seen. */
const LETTERS = 1200;

/** A piece or a section of a page of ours in a page of somebody else's. */
class GiostraPiece extends host.HTMLElement {
  static readonly observedAttributes = ['src'];

  /** What ends everything that runs in it. */
  #life: AbortController | undefined;

  /** Nobody has to wait for an answer that is asked for no more. */
  #asked = 0;

  /** What came last: who is put back needs not ask again. */
  #answer: string | undefined;

  connectedCallback() {
    if (!this.#life) void this.#begin();
  }

  disconnectedCallback() {
    // Who only moves is back at once.
    host.setTimeout(() => {
      if (!this.isConnected) this.#end();
    });
  }

  attributeChangedCallback(_: string, before: string | null, after: string | null) {
    if (before === after || !this.isConnected) return;
    this.#end();
    this.#answer = undefined;
    void this.#begin();
  }

  async #begin() {
    const life = new AbortController();
    this.#life = life;
    const asked = ++this.#asked;
    const src = this.getAttribute('src');
    try {
      if (src && !this.shadowRoot?.querySelector('.g-room')) {
        this.#answer ??= await answered(src, life.signal);
        if (asked !== this.#asked) return;
        bring(this, host, trust, this.#answer);
      }
      await this.#live(life.signal);
      this.removeAttribute('data-missing');
    } catch {
      if (life.signal.aborted) return;
      // What stands in the page meanwhile stays until it can be had.
      this.toggleAttribute('data-missing', true);
      host.addEventListener('online', () => this.#again(), { once: true, signal: life.signal });
    }
  }

  #again() {
    this.#end();
    void this.#begin();
  }

  /** Brings to life what has come. */
  async #live(signal: AbortSignal) {
    const root = this.shadowRoot;
    const inside = root?.querySelector<HTMLElement>('.g-room');
    if (!root || !inside) return;
    const addresses = (inside.dataset.scripts ?? '').split(' ').filter(Boolean);
    inside.style.visibility = 'hidden';
    // Letters are asked for where they are laid out, and nobody waits for what is not asked for.
    inside.getBoundingClientRect();
    const letters = Promise.race([
      host.document.fonts.ready,
      new Promise((done) => host.setTimeout(done, LETTERS)),
    ]);
    try {
      const [all] = await Promise.all([Promise.all(addresses.map(script)), letters]);
      if (signal.aborted) return;
      room(host, root, inside, signal, all);
    } finally {
      inside.style.visibility = '';
      inside.style.minHeight = '';
    }
  }

  #end() {
    const root = this.shadowRoot;
    // When it comes back it begins anew; meanwhile the page's own words stand there.
    if (this.#answer !== undefined) root?.replaceChildren(host.document.createElement('slot'));
    // Pieces that have left are stopped, while somebody still hears it.
    root?.dispatchEvent(new host.Event('giostra:start'));
    this.#life?.abort();
    this.#life = undefined;
    this.#asked++;
  }
}

// What a page can do with its piece; of a section, with its first.
Object.defineProperty(GiostraPiece.prototype, 'giostra', {
  get(this: HTMLElement) {
    return this.shadowRoot?.querySelector<HTMLElement>('[data-kind]')?.giostra;
  },
});

if (!host.customElements.get('giostra-piece')) {
  host.customElements.define('giostra-piece', GiostraPiece);
}
