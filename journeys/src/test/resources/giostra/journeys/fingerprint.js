(id) => {
  const root = document.querySelector(`[data-block="${id}"]`);
  if (!root) return 'not there';
  const section = root.closest('section').getBoundingClientRect();
  const styles = [
    'display', 'visibility', 'color', 'background-color', 'order', 'text-align', 'border-radius',
    'object-position', 'opacity', 'flex-direction', 'justify-content', 'align-items', 'overflow',
    'touch-action', 'transform', 'transition-duration', 'pointer-events', 'place-items', 'gap', 'translate', '--g-darken',
  ];
  const own = (text) => text.replaceAll(/\b[ab]\d+(?=\b|-)/g, 'X');
  const box = (element) => {
    if (element.getClientRects().length === 0) return 'no box';
    const { left, top, width, height } = element.getBoundingClientRect();
    return [left - section.left, top - section.top, width, height].map(Math.round).join(',');
  };
  const pseudo = (element, name) => {
    const style = getComputedStyle(element, name);
    return style.content === 'none' || style.display === 'none'
      ? ''
      : `${name} ${style.display} ${style.inset} ${style.width} ${style.height} ${style.rotate}`;
  };
  return [root, ...root.querySelectorAll('*')]
    .filter((element) => !element.closest('.g-run'))
    .map((element) => {
      const style = getComputedStyle(element);
      return [
        element.tagName,
        ...[...element.attributes].map(({ name, value }) => own(`${name}=${value}`)),
        own([...element.childNodes].filter((n) => n.nodeType === 3).map((n) => n.data).join()),
        box(element),
        ...styles.map((name) => style.getPropertyValue(name)),
        pseudo(element, '::before'),
        pseudo(element, '::after'),
      ].join('|');
    })
    .join('\n');
}
