/**
 * The picture that a page is held against, laid over the stage. It is told what hand there is over
 * it: it can be moved, a colour can be taken out of it, and distances measured on it.
 */
export interface Traced {
  readonly type: 'trace';
  /** The picture; null takes it away. */
  readonly picture?: ImageBitmap | null;
  /** Px that it is wide, from the left end of the page and from its top. */
  readonly place?: Place;
  /** How it is seen, how much of it in percent, and what a press on it does. */
  readonly seen?: {
    readonly how: 'over' | 'difference' | 'wiped' | 'hidden';
    readonly share: number;
    readonly hand: 'page' | 'move' | 'colour' | 'measure';
  };
  /** The keyboard is to be where the picture is. */
  readonly held?: boolean;
  /** Where it and the page are not alike, in px of the picture as it lies there. */
  readonly regions?: readonly Region[];
}
interface Place {
  readonly wide: number;
  readonly left: number;
  readonly top: number;
}
interface Region {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
  readonly share: number;
}
type Told = Omit<Traced, 'type'>;

/** Of a picture, tells what was done with it. */
export function tracing(say: (message: unknown) => void) {
  let host: HTMLElement | undefined;
  const canvas = document.createElement('canvas');
  const marks = document.createElement('div');
  let place: Place = { wide: 1, left: 0, top: 0 };
  let seen: Required<Told>['seen'] = { how: 'over', share: 50, hand: 'page' };
  /** What a press of a key is done at, in px of the page. */
  const cross = document.createElement('b');
  let point = { x: 0, y: 0 };
  /** Where a hand began, in px of the page, and where the picture lay then. */
  let from: { readonly x: number; readonly y: number; readonly place: Place } | undefined;

  function make() {
    const made = document.createElement('div');
    made.dataset.traced = '';
    // What a page says of its elements is not said of this one.
    const root = made.attachShadow({ mode: 'closed' });
    const style = new CSSStyleSheet();
    style.replaceSync(
      ':host { all: initial; position: absolute; inset: 0 0 auto; overflow: clip; pointer-events: none; z-index: 2147483647 }' +
        'canvas, div, b { position: absolute; inset: 0 auto auto 0 }' +
        'canvas, div { transform-origin: 0 0 }' +
        'i { position: absolute; box-sizing: border-box; border: 1px dashed #b3261e; background: #b3261e1f }' +
        ':host(:focus) { outline: none }' +
        'b { position: absolute; display: none; inline-size: 25px; block-size: 25px; margin: -12px; background: linear-gradient(#b3261e, #b3261e) 50%/25px 1px no-repeat, linear-gradient(#b3261e, #b3261e) 50%/1px 25px no-repeat; outline: 1px solid #fff; border-radius: 50%; box-shadow: 0 0 0 1px #fff, 0 0 0 2px #b3261e }' +
        ':host(:focus) b { display: block }' +
        'u { position: absolute; block-size: 0; border-top: 2px solid #b3261e; box-shadow: 0 1px #fff, 0 -3px #fff; transform-origin: 0 0 }',
    );
    root.adoptedStyleSheets = [style];
    root.append(canvas, marks, cross);
    made.tabIndex = -1;
    made.role = 'application';
    made.ariaLabel = 'The traced picture: arrow keys move, Enter takes, Escape goes back';
    made.addEventListener('keydown', key);
    made.addEventListener('pointerdown', press);
    made.addEventListener('pointermove', drag);
    made.addEventListener('pointerup', lift);
    made.addEventListener('pointercancel', lift);
    document.documentElement.append(made);
    return made;
  }

  const scale = () => place.wide / Math.max(1, canvas.width);
  function lay() {
    if (!host) return;
    const { how, share, hand } = seen;
    const high = canvas.height * scale();
    // What a hand has to do with takes presses from the page, as far as that goes.
    const page = document.documentElement.scrollHeight;
    host.dataset.traced = hand;
    host.style.pointerEvents = hand === 'page' ? 'none' : 'auto';
    host.style.touchAction = 'none';
    host.style.cursor = hand === 'move' ? 'move' : 'crosshair';
    host.style.mixBlendMode = how === 'difference' ? 'difference' : 'normal';
    host.style.blockSize = `${Math.max(place.top + high, hand === 'page' ? 0 : page)}px`;
    canvas.style.transform = `translate(${place.left}px, ${place.top}px) scale(${scale()})`;
    canvas.style.visibility = how === 'hidden' ? 'hidden' : 'visible';
    canvas.style.opacity = how === 'over' ? `${share / 100}` : '1';
    canvas.style.clipPath = how === 'wiped' ? `inset(0 ${100 - share}% 0 0)` : 'none';
    marks.style.transform = `translate(${place.left}px, ${place.top}px)`;
  }

  const STEPS: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  };

  /** What a pointer does, by keys: px by px, with Shift ten at a time. */
  function key(event: KeyboardEvent) {
    const step = STEPS[event.key];
    const far = event.shiftKey ? 10 : 1;
    if (event.key === 'Escape') say({ type: 'traced', left: true });
    else if (step && seen.hand === 'move') {
      place = { ...place, left: place.left + step[0] * far, top: place.top + step[1] * far };
      lay();
      say({ type: 'traced', place });
    } else if (step) aim(point.x + step[0] * far, point.y + step[1] * far);
    else if (event.key === 'Enter' && seen.hand === 'colour') {
      const colour = colourAt(point);
      if (colour) say({ type: 'traced', colour });
    } else if (event.key === 'Enter' && seen.hand === 'measure') {
      if (from) measured(point.x, point.y);
      else {
        from = { ...point, place };
        marks.replaceChildren();
      }
    } else return;
    event.preventDefault();
    event.stopPropagation();
  }
  function aim(x: number, y: number) {
    const { scrollWidth, scrollHeight, clientWidth, clientHeight } = document.documentElement;
    point = {
      x: Math.min(scrollWidth - 1, Math.max(0, x)),
      y: Math.min(scrollHeight - 1, Math.max(0, y)),
    };
    cross.style.translate = `${point.x}px ${point.y}px`;
    if (from && seen.hand === 'measure') line(point.x, point.y);
    const left = point.x - scrollX;
    const top = point.y - scrollY;
    if (left < 0 || top < 0 || left > clientWidth || top > clientHeight)
      scrollTo({
        left: point.x - clientWidth / 2,
        top: point.y - clientHeight / 2,
        behavior: 'instant',
      });
  }
  function hold() {
    if (!host) return;
    from = undefined;
    host.focus({ preventScroll: true });
    aim(scrollX + innerWidth / 2, scrollY + innerHeight / 2);
  }

  const at = (event: PointerEvent) => ({ x: event.pageX, y: event.pageY });

  function press(event: PointerEvent) {
    if (event.button !== 0) return;
    event.preventDefault();
    const pressed = at(event);
    if (seen.hand === 'colour') {
      const colour = colourAt(pressed);
      if (colour) say({ type: 'traced', colour });
      return;
    }
    from = { ...pressed, place };
    host?.setPointerCapture(event.pointerId);
    marks.replaceChildren();
  }
  function drag(event: PointerEvent) {
    if (!from) return;
    const { x, y } = at(event);
    if (seen.hand === 'move') {
      place = {
        wide: from.place.wide,
        left: Math.round(from.place.left + x - from.x),
        top: Math.round(from.place.top + y - from.y),
      };
      lay();
    } else if (seen.hand === 'measure') line(x, y);
  }
  function lift(event: PointerEvent) {
    if (!from) return;
    const { x, y } = at(event);
    if (seen.hand === 'move') say({ type: 'traced', place });
    else if (seen.hand === 'measure') {
      measured(x, y);
    }
    from = undefined;
  }
  function measured(x: number, y: number) {
    if (!from) return;
    line(x, y);
    say({
      type: 'traced',
      distance: { across: Math.round(x - from.x), down: Math.round(y - from.y) },
    });
    from = undefined;
  }

  /** A line from where the hand began. */
  function line(x: number, y: number) {
    if (!from) return;
    const drawn = document.createElement('u');
    drawn.style.inlineSize = `${Math.hypot(x - from.x, y - from.y)}px`;
    drawn.style.transform = `translate(${from.x - place.left}px, ${from.y - place.top}px) rotate(${Math.atan2(y - from.y, x - from.x)}rad)`;
    marks.replaceChildren(drawn);
  }

  function colourAt({ x, y }: { readonly x: number; readonly y: number }) {
    const u = Math.floor((x - place.left) / scale());
    const v = Math.floor((y - place.top) / scale());
    if (u < 0 || v < 0 || u >= canvas.width || v >= canvas.height) return undefined;
    const rgb = canvas.getContext('2d')?.getImageData(u, v, 1, 1).data;
    return (
      rgb && `#${[...rgb.slice(0, 3)].map((each) => each.toString(16).padStart(2, '0')).join('')}`
    );
  }

  // A page that was loaded anew has lost what lay on it.
  say({ type: 'untraced' });
  return (told: Told) => {
    if (told.picture === null) {
      host?.remove();
      host = undefined;
      return;
    }
    host ??= told.picture && make();
    if (told.picture) {
      canvas.width = told.picture.width;
      canvas.height = told.picture.height;
      canvas.getContext('2d', { willReadFrequently: true })?.drawImage(told.picture, 0, 0);
    }
    if (told.held) hold();
    if (told.place && !from) place = told.place;
    if (told.seen) seen = told.seen;
    if (told.place || told.regions) marks.replaceChildren();
    for (const { x, y, wide, high, share } of told.regions ?? []) {
      const mark = document.createElement('i');
      Object.assign(mark.style, {
        left: `${x}px`,
        top: `${y}px`,
        width: `${wide}px`,
        height: `${high}px`,
        opacity: `${Math.min(1, 0.35 + (1 - share))}`,
      });
      marks.append(mark);
    }
    lay();
  };
}
