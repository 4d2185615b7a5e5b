// A clock that stands still until it is told to go on: of what falls due each is done at its time,
// pictures are drawn every 16 ms. A fresh copy of a piece starts on it at 0.
(id) => {
  const clock = { now: 0, timers: [], frames: [] };
  window.clockwork = clock;
  const later = (list, each) => {
    list.push(each);
    return () => {
      const at = list.indexOf(each);
      if (at >= 0) list.splice(at, 1);
    };
  };
  window.giostra.clock = {
    now: () => clock.now,
    after: (ms, then) => later(clock.timers, { at: clock.now + Math.max(0, ms), then }),
    frame: (draw) => later(clock.frames, { draw }),
  };
  clock.to = (time) => {
    for (;;) {
      const timer = [...clock.timers].sort((a, b) => a.at - b.at)[0];
      const frame = clock.frames.length > 0 ? Math.floor(clock.now / 16 + 1) * 16 : Infinity;
      const next = Math.min(timer?.at ?? Infinity, frame);
      if (next > time) break;
      clock.now = Math.max(clock.now, next);
      if (timer && timer.at <= next) {
        clock.timers.splice(clock.timers.indexOf(timer), 1);
        timer.then();
      } else {
        const drawn = clock.frames.splice(0);
        for (const each of drawn) each.draw(clock.now);
      }
    }
    clock.now = time;
  };
  const old = document.querySelector(`[data-piece=${id}]`);
  old.giostra.stop();
  const root = old.cloneNode(true);
  root.removeAttribute('data-live');
  for (const each of root.querySelectorAll('[style]')) each.removeAttribute('style');
  for (const each of root.querySelectorAll('[inert]')) each.removeAttribute('inert');
  old.replaceWith(root);
  clock.log = [];
  root.addEventListener('giostra:change', ({ detail }) => {
    clock.log.push([clock.now, detail.from, detail.to]);
  });
  root.scrollIntoView({ block: 'center', behavior: 'instant' });
  document.dispatchEvent(new Event('giostra:start'));
  return new Promise((done) => setTimeout(done, 60));
}
