/**
 * States that are held, so that they can be looked at: rules for what a pointer is over, for what
 * has the focus, for what is pressed hold as well for what is marked so.
 */
const HELD: readonly (readonly [RegExp, string])[] = [
  [/:hover(?![\w-])/g, ':is(:hover,[data-held~=hover])'],
  [/:focus-visible(?![\w-])/g, ':is(:focus-visible,[data-held~=focus])'],
  [/:active(?![\w-])/g, ':is(:active,[data-held~=pressed])'],
];

function* styleRules(rules: CSSRuleList): Generator<CSSStyleRule> {
  for (const rule of rules) {
    if (rule instanceof CSSStyleRule) yield rule;
    else if (rule instanceof CSSGroupingRule) yield* styleRules(rule.cssRules);
  }
}

/** All rules of the page's sheets. */
export function* rules(): Generator<CSSStyleRule> {
  for (const sheet of document.styleSheets) yield* styleRules(sheet.cssRules);
}

/** Rewrites the rules that are not yet; where they stand they stay. */
export function heedHeld() {
  for (const rule of rules()) {
    const { selectorText } = rule;
    if (selectorText.includes('data-held')) continue;
    let next = selectorText;
    for (const [pseudo, held] of HELD) next = next.replace(pseudo, held);
    if (next !== selectorText) rule.selectorText = next;
  }
}

/** What holds for something in a state: what is pressed is under the pointer as well. */
const words: Readonly<Record<string, string>> = {
  hover: 'hover',
  focus: 'focus',
  pressed: 'hover pressed',
};

/** Holds an element in a state. */
export function hold(element: Element, state: string) {
  const held = words[state];
  if (state === 'disabled') {
    if (element.matches('button, input, select')) element.setAttribute('disabled', '');
    else element.setAttribute('aria-disabled', 'true');
  }
  if (!held) return;
  element.setAttribute('data-held', held);
  // What the pointer is over lies on something that it is over as well.
  for (let box = element.parentElement; box && state !== 'focus'; box = box.parentElement) {
    if (box.matches('[data-piece], [data-block], main')) break;
    box.setAttribute('data-held', 'hover');
  }
}

/** Lets go of all that is held. */
export function letGo() {
  for (const each of document.querySelectorAll('[data-held]')) each.removeAttribute('data-held');
}
