/**
 * The page as it stands, for drawing it elsewhere: its elements without scripts, and the rules that
 * hold of it, as met as they are here.
 */
export interface Tree {
  /** As XML. */
  readonly html: string;
  readonly css: string;
  /** The ground that is seen beyond the page, as CSS. */
  readonly ground: string;
  /** The screen that it is seen on, px. */
  readonly wide: number;
  readonly high: number;
}

const MET = '(min-width: 0px)';
const NOT_MET = '(max-width: 0px)';

/** Conditions that a drawing, which runs no scripts, would answer otherwise. */
function asHere(text: string): string {
  const hover = matchMedia('(hover: hover)').matches ? MET : NOT_MET;
  return text
    .replaceAll('(scripting: enabled)', MET)
    .replaceAll('(scripting: none)', NOT_MET)
    .replaceAll('(hover: hover)', hover)
    .replaceAll(/:root\b/g, 'html');
}

/** Rules of the sheet that the page wears; of its fonts those that are loaded. */
function rules(): string {
  const sheet = document.querySelector<HTMLLinkElement>('link[rel=stylesheet]')?.sheet;
  if (!sheet) return '';
  const faces = [...document.fonts];
  const all = [...sheet.cssRules];
  const asked = all.filter((rule) => rule instanceof CSSFontFaceRule);
  const known = asked.length === faces.length;
  return all
    .filter((rule) => {
      const face = asked.indexOf(rule as CSSFontFaceRule);
      return face < 0 || !known || faces[face]?.status === 'loaded';
    })
    .map((rule) => asHere(rule.cssText))
    .join('\n');
}

/** A picture in the place of what a drawing would not show. */
function still(picture: string, like: Element) {
  const img = document.createElement('img');
  for (const { name, value } of like.attributes) {
    if (/^(class|style|data-.*)$/.test(name)) img.setAttribute(name, value);
  }
  img.src = picture;
  return img;
}

/** The whole page. */
export function tree(): Tree {
  const here = document.documentElement;
  const copy = here.cloneNode(true) as HTMLElement;
  // Which file of several is shown is known here alone.
  const shown = [...here.querySelectorAll('img')];
  copy.querySelectorAll('img').forEach((img, at) => {
    const src = shown[at]?.currentSrc;
    if (src) img.setAttribute('src', src);
    for (const name of ['srcset', 'sizes', 'loading']) img.removeAttribute(name);
  });
  const scrolled = [...here.querySelectorAll<HTMLElement>('body *')];
  copy.querySelectorAll<HTMLElement>('body *').forEach((each, at) => {
    const by = scrolled[at]?.scrollLeft ?? 0;
    // A drawing stands at the start of all that scrolls.
    if (by !== 0) {
      for (const child of each.children) {
        if (child instanceof HTMLElement) child.style.translate = `${-by}px 0`;
      }
    }
  });
  for (const video of copy.querySelectorAll('video')) {
    video.replaceWith(still(video.poster, video));
  }
  for (const gone of copy.querySelectorAll(
    'head, script, noscript, source, iframe, [data-traced]',
  )) {
    gone.remove();
  }
  const ground = [document.body, here]
    .map((each) => getComputedStyle(each).backgroundColor)
    .find((colour) => colour !== 'rgba(0, 0, 0, 0)');
  return {
    html: new XMLSerializer().serializeToString(copy),
    css: rules(),
    ground: ground ?? '#fff',
    wide: window.innerWidth,
    high: window.innerHeight,
  };
}
