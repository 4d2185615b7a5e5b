/** Folds case and accents away, so that "cafe" finds "Café". */
const folded = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLocaleLowerCase();

/** The search box and the categories of a list of questions: shows what fits, opens what is found. */
export function search(
  root: HTMLElement,
  items: readonly HTMLDetailsElement[],
  signal: AbortSignal,
) {
  const box = root.querySelector<HTMLInputElement>(':scope > .g-tools > .g-search');
  const chips = [
    ...root.querySelectorAll<HTMLButtonElement>(':scope > .g-tools > .g-chips > .g-chip'),
  ];
  const found = root.querySelector<HTMLElement>(':scope > .g-found');
  const texts = items.map((item) => folded(item.textContent ?? ''));
  let category = '';

  function apply() {
    const words = folded(box?.value ?? '')
      .split(/\s+/)
      .filter((word) => word !== '');
    let hits = 0;
    let first: HTMLDetailsElement | undefined;
    items.forEach((item, index) => {
      // What conditions hide is not there to be found.
      const here =
        !('gone' in item.dataset) && (category === '' || item.dataset.category === category);
      const hit = here && words.every((word) => texts[index]?.includes(word));
      item.hidden = !hit;
      if (hit) {
        hits += 1;
        first ??= item;
      }
    });
    if (words.length > 0 && first) first.open = true;
    if (found) found.textContent = words.length > 0 ? `${hits} / ${items.length}` : '';
  }
  box?.addEventListener('input', apply, { signal });
  for (const chip of chips) {
    chip.addEventListener(
      'click',
      () => {
        category = chip.dataset.category ?? '';
        for (const each of chips) each.setAttribute('aria-pressed', String(each === chip));
        apply();
      },
      { signal },
    );
  }
}
