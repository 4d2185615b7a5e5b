import type {} from './conditions';

/**
 * Runs ahead of the page's scripts in a preview under assumptions: what they ask of the device is
 * answered as assumed. What style sheets ask is written as met by the compiler.
 */
const given = (document.currentScript as HTMLScriptElement).dataset;
const assumed = new Set(given.assume?.split(','));
/** The moment that the page takes for now. */
if (given.on) window.giostraNow = Number(given.on);
const answers: readonly (readonly [RegExp, boolean])[] = [
  ...(assumed.has('touch') ? ([[/hover: ?hover|pointer: ?fine/, false]] as const) : []),
  ...(assumed.has('reduced-motion') ? ([[/prefers-reduced-motion: ?reduce/, true]] as const) : []),
];
const ask = window.matchMedia.bind(window);
window.matchMedia = (query) => {
  const answer = answers.find(([condition]) => condition.test(query));
  return answer ? ask(answer[1] ? 'all' : 'not all') : ask(query);
};
