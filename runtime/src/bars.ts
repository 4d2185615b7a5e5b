const { bars = '0', barred = '0' } =
  (document.currentScript as HTMLScriptElement | null)?.dataset ?? {};

/** The screen without the bars of a browser, which no frame has: as the core assumes them. */
export function unbar(width: number, height: number) {
  const large = height + (width < Number(barred) ? Number(bars) : 0);
  document.documentElement.style.setProperty('--g-lvh', `${large / 100}px`);
}
