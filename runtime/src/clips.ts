import type { Clock } from './clock';
import { controls } from './controls';
import type { Handle } from './kinds';
import type { ClipsPlan } from './plan';

const { tell } = window.giostra;

/** What stops what plays now: one clip plays at a time, on the whole page. */
let hush: (() => void) | undefined;

/** Our own player over each clip; players of hosts come when somebody asks for them. */
export function clips(root: HTMLElement, clock: Clock): Handle {
  const plan = JSON.parse(root.dataset.plan ?? '') as ClipsPlan;
  const life = new AbortController();
  const { signal } = life;
  const items = [...root.querySelectorAll<HTMLElement>(':scope > .g-grid > [data-item]')];
  let current: string | undefined;

  const players = new Map<string, { play(): void; stop(): void }>();
  for (const item of items) {
    const id = item.dataset.item ?? '';
    const frame = item.querySelector('.g-place') as HTMLElement;
    const starts = (stop: () => void) => {
      if (hush !== stop) hush?.();
      hush = stop;
      if (current !== id) tell(root, current, id, 'play');
      current = id;
    };
    const media = frame.querySelector('video');
    const start = frame.querySelector<HTMLElement>('.g-start');
    if (media && start) players.set(id, file(frame, media, start, plan, starts, clock, signal));
    else if (start) players.set(id, hosted(frame, start as HTMLAnchorElement, starts, signal));
  }
  const by = (step: number) => {
    const ids = [...players.keys()];
    const at = current ? ids.indexOf(current) : -1;
    players.get(ids[(at + step + ids.length) % ids.length] ?? '')?.play();
  };
  return {
    items: [...players.keys()],
    get current() {
      return current;
    },
    open: (id) => players.get(id)?.play(),
    close: (id) => players.get(id)?.stop(),
    next: () => by(1),
    previous: () => by(-1),
    stop() {
      life.abort();
      for (const player of players.values()) player.stop();
    },
  };
}

/** A clip that the browser plays itself, under our controls. */
function file(
  frame: HTMLElement,
  media: HTMLVideoElement,
  start: HTMLElement,
  plan: ClipsPlan,
  starts: (stop: () => void) => void,
  clock: Clock,
  signal: AbortSignal,
) {
  const from = Number(media.dataset.start ?? 0);
  const end = Number(media.dataset.end ?? 0);
  const stop = () => media.pause();
  const play = () => void media.play().catch(() => {});
  media.controls = false;
  start.hidden = false;
  fromDisk(media);
  if (controls(frame, media, play, clock, signal) === false) media.tabIndex = 0;
  media.addEventListener(
    'play',
    () => {
      const held = document.activeElement === start;
      start.hidden = true;
      if (!media.hasAttribute('data-played')) speak(frame, media);
      media.setAttribute('data-played', '');
      if (end && media.currentTime >= end) media.currentTime = from;
      // Whoever pressed the start button goes on from the bar.
      if (held) {
        (frame.querySelector<HTMLElement>('.g-controls button') ?? media).focus();
      }
      starts(stop);
    },
    { signal },
  );
  media.addEventListener(
    'timeupdate',
    () => {
      if (!end || media.currentTime < end) return;
      if (plan.loop) media.currentTime = from;
      else media.pause();
    },
    { signal },
  );
  start.addEventListener('click', play, { signal });
  media.addEventListener('click', () => (media.paused ? play() : media.pause()), { signal });
  if (plan.autoplay) byItself(media, play, signal);
  return { play, stop };
}

/** Starts while it is in view, without sound, unless less motion is asked for or somebody paused it. */
function byItself(media: HTMLVideoElement, play: () => void, signal: AbortSignal) {
  if (matchMedia('(prefers-reduced-motion: reduce)').matches) return;
  media.muted = true;
  let left = false;
  const seen = new IntersectionObserver(
    ([entry]) => {
      if (!entry) return;
      if (entry.isIntersecting && !left) play();
      else if (!entry.isIntersecting && !media.paused) {
        media.pause();
        left = false;
      }
    },
    { threshold: 0.5 },
  );
  // A pause while it is in view is somebody's wish.
  media.addEventListener(
    'pause',
    () => {
      const { top, bottom } = media.getBoundingClientRect();
      left = bottom > 0 && top < window.innerHeight && !media.ended;
    },
    { signal },
  );
  seen.observe(media);
  signal.addEventListener('abort', () => seen.disconnect());
}

type Cues = readonly (readonly (readonly [number, number, string])[])[];

/** Without a choice of captions the first ones show; none is asked for before the clip is started. */
function speak(frame: HTMLElement, media: HTMLVideoElement) {
  const [first] = media.textTracks;
  if (first && !frame.querySelector('.g-captions')) first.mode = 'showing';
}

/** Opened from disk, browsers read no caption files: their words stand in the page as well. */
function fromDisk(media: HTMLVideoElement) {
  if (location.protocol !== 'file:' || !media.dataset.cues) return;
  const cues = JSON.parse(media.dataset.cues) as Cues;
  for (const [at, old] of [...media.querySelectorAll('track')].entries()) {
    const track = media.addTextTrack('captions', old.label, old.srclang);
    for (const [start, end, text] of cues[at] ?? []) track.addCue(new VTTCue(start, end, text));
    old.remove();
  }
}

/** A clip of a host: its player comes on the press that starts it, and goes when another starts. */
function hosted(
  frame: HTMLElement,
  start: HTMLAnchorElement,
  starts: (stop: () => void) => void,
  signal: AbortSignal,
) {
  let player: HTMLIFrameElement | undefined;
  const stop = () => {
    player?.remove();
    player = undefined;
    start.hidden = false;
  };
  const play = () => {
    if (player) return;
    player = document.createElement('iframe');
    player.src = start.dataset.player ?? '';
    player.title = start.dataset.called ?? '';
    player.allow = 'autoplay; fullscreen; picture-in-picture';
    player.allowFullscreen = true;
    frame.append(player);
    start.hidden = true;
    player.focus();
    starts(stop);
  };
  start.addEventListener(
    'click',
    (event) => {
      if (event.ctrlKey || event.metaKey || event.shiftKey) return;
      event.preventDefault();
      play();
    },
    { signal },
  );
  return { play, stop };
}

window.giostra.add(['video'], clips);
