/** What an item asks for when it becomes the current one: a message, another item, an address. */
export function act(event: Event) {
  const { to } = (event as CustomEvent<{ to?: string }>).detail;
  const item = to && document.querySelector<HTMLElement>(`[data-item="${CSS.escape(to)}"]`);
  if (!item) return;
  const { message, open, go } = item.dataset;
  if (message) say(message);
  if (open) {
    const target =
      document.getElementById(open) ??
      document.querySelector<HTMLElement>(`[data-item="${CSS.escape(open)}"]`);
    target
      ?.closest<HTMLElement>('[data-piece]')
      ?.giostra?.open(target.closest<HTMLElement>('[data-item]')?.dataset.item ?? '');
  }
  // Never on the bench, where the page is only looked at.
  if (go && window.parent === window && !/^\s*javascript:/i.test(go)) location.assign(go);
}

let hide: ReturnType<typeof setTimeout> | undefined;

function say(message: string) {
  let box = document.querySelector<HTMLElement>('.g-message');
  if (!box) {
    box = document.createElement('p');
    box.className = 'g-message';
    box.setAttribute('role', 'status');
    document.body.append(box);
  }
  box.textContent = message;
  clearTimeout(hide);
  // Long enough to be read: about four words a second, five seconds at least.
  hide = setTimeout(() => box?.remove(), Math.max(5000, message.split(/\s+/).length * 250));
}
