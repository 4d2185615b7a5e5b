/**
 * What a page of somebody else's asks for: it lets the script that brings pieces run in a window of
 * its own, in which nobody has changed what the language brings, and leaves no name in theirs.
 */
import { type Trust, trusting } from './trust';

declare const ROOM: { readonly file: string; readonly integrity: string };

function begin(me: HTMLScriptElement) {
  // Two snippets on a page ask twice.
  if (customElements.get('giostra-piece') || document.querySelector('iframe[data-giostra]')) return;
  const frame = document.createElement('iframe');
  frame.hidden = true;
  frame.tabIndex = -1;
  frame.title = 'Giostra';
  frame.setAttribute('aria-hidden', 'true');
  frame.setAttribute('data-giostra', '');
  document.documentElement.append(frame);
  const inside = frame.contentDocument ?? document;
  const trust = trusting();
  ((inside.defaultView ?? window) as Window & { giostraTrust?: Trust }).giostraTrust = trust;
  const script = inside.createElement('script');
  script.src = trust.createScriptURL(new URL(ROOM.file, me.src).href);
  script.crossOrigin = 'anonymous';
  script.integrity = ROOM.integrity;
  script.nonce = me.nonce;
  inside.head.append(script);
}

begin(document.currentScript as HTMLScriptElement);
