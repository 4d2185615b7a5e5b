/** What a browser calls itself, in a few words. */
export function called(browser: string): string {
  const name = /(Firefox|Edg|OPR|Chrome|HeadlessChrome|Safari)\//.exec(browser)?.[1];
  const system = /(Android|iPhone|iPad|Windows|Mac OS X|Linux)/.exec(browser)?.[1];
  if (!name && !system) return browser === '' ? 'A program' : browser.slice(0, 40);
  return [name ?? 'A browser', system].filter(Boolean).join(', ');
}
