([id, plan]) => {
  const root = document.querySelector(`[data-block="${id}"]`);
  if (!root) return 'not there';
  const section = root.closest('section').getBoundingClientRect();
  // How it is laid out and painted. Nothing that only a script reads: a plan that changes and shows nothing is no
  // difference.
  const styles = [
    'display', 'order', 'flex-direction', 'justify-content', 'align-items', 'place-items', 'gap',
    'visibility', 'color', 'background-color', 'background-image', 'text-align', 'border-radius',
    'border-width', 'border-color', 'box-shadow', 'object-position', 'object-fit', 'opacity', 'overflow',
    'touch-action', 'transform', 'translate', 'transition-duration', 'pointer-events', 'cursor', 'filter',
    'font-size', 'font-weight', 'font-style', 'line-height', 'letter-spacing', 'text-decoration-line',
    'scroll-snap-align', 'z-index', 'hyphens', 'fill', 'stroke', 'min-height', 'max-height',
    // Read by a rule for hover.
    '--g-darken',
  ];
  // What people and readers are told; ids and own classes, which others refer to.
  const told = /^(aria-.*|role|href|title|alt|src|target|rel|name|open|type|controls|autoplay|muted|loop|poster|id|lang|dir|tabindex|datetime|download|for|value|disabled|hidden|data-(?!plan|kind|live|piece|item|block|of).*)$/;
  const classes = (value) => value.split(' ').filter((each) => !each.startsWith('g-')).join(' ');
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
      : `${name} ${style.display} ${style.inset} ${style.width} ${style.height} ${style.rotate}`
          + ` ${style.backgroundColor} ${style.backgroundImage} ${style.opacity} ${style.filter}`;
  };
  return [root, ...root.querySelectorAll('*')]
    .filter((element) => !element.closest('.g-run'))
    .map((element) => {
      const style = getComputedStyle(element);
      return [
        element.tagName,
        ...[...element.attributes]
            .filter(({ name }) => told.test(name) || (plan && name.startsWith('data-')))
            .map(({ name, value }) => own(`${name}=${value}`)),
        classes(element.getAttribute('class') ?? ''),
        own([...element.childNodes].filter((n) => n.nodeType === 3).map((n) => n.data).join()),
        box(element),
        ...styles.map((name) => style.getPropertyValue(name)),
        pseudo(element, '::before'),
        pseudo(element, '::after'),
      ].join('|');
    })
    .join('\n');
}
