/** Screens beyond what is seen that are drawn all the same. */
const NEAR = 1;

/**
 * While a colour is drawn, what is far out of view is not drawn with it: each section there keeps
 * its place and its height, and is left as it was until it is asked for again.
 */
export function farOff() {
  let far: readonly HTMLElement[] = [];
  let able = true;
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(
    '[data-far]{content-visibility:hidden;box-sizing:border-box;block-size:var(--g-far)!important}',
  );
  document.adoptedStyleSheets.push(sheet);

  /** Draws all of it again. */
  function near() {
    for (const each of far) {
      each.removeAttribute('data-far');
      each.style.removeProperty('--g-far');
    }
    far = [];
  }
  function leave() {
    if (!able || far.length > 0) return;
    const high = document.documentElement.scrollHeight;
    const screen = window.innerHeight;
    const boxes = [...document.querySelectorAll<HTMLElement>('main > section')].map(
      (section) => [section, section.getBoundingClientRect()] as const,
    );
    const out = boxes.filter(
      ([, { top, bottom }]) => bottom < -NEAR * screen || top > (1 + NEAR) * screen,
    );
    for (const [section, { height }] of out) {
      section.style.setProperty('--g-far', `${height}px`);
      section.setAttribute('data-far', '');
    }
    far = out.map(([section]) => section);
    // Where it would move what is seen, all is drawn after all.
    able = document.documentElement.scrollHeight === high;
    if (!able) near();
  }
  addEventListener('scroll', near, { passive: true });
  addEventListener('resize', near);
  return { leave, near };
}
