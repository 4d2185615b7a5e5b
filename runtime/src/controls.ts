import type { Clock } from './clock';

/** After so long without a hand near it the bar goes while the clip plays, in ms. */
const IDLE = 2500;

const told = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

/** Sets a track and colours it up to there. */
function fill(range: HTMLInputElement, value: number) {
  range.value = String(value);
  range.style.setProperty('--g-value', `${(100 * value) / (Number(range.max) || 1)}%`);
}

/**
 * The control bar of one clip; the compiler wrote it, here its parts get their work.
 * @returns false where there is none
 */
export function controls(
  frame: HTMLElement,
  media: HTMLVideoElement,
  play: () => void,
  clock: Clock,
  signal: AbortSignal,
): boolean {
  const bar = frame.querySelector<HTMLElement>('.g-controls');
  if (!bar) return false;
  const part = <E extends HTMLElement>(name: string) => bar.querySelector<E>(`.g-${name}`);
  const on = (target: EventTarget | null, names: string, act: (event: Event) => void) => {
    for (const name of names.split(' ')) target?.addEventListener(name, act, { signal });
  };
  /** Shows whether a button is on, by its sign and by its name. */
  const show = (button: HTMLElement | null, pressed: boolean) => {
    if (!button) return;
    button.dataset.rest ??= button.getAttribute('aria-label') ?? '';
    const { rest, lit } = button.dataset;
    button.setAttribute('aria-label', (pressed && lit) || rest);
    button.toggleAttribute('data-pressed', pressed);
  };

  on(media, 'play', () => {
    bar.hidden = false;
  });
  const toggle = part('play');
  on(toggle, 'click', () => (media.paused ? play() : media.pause()));
  on(media, 'play pause ended', () => show(toggle, !media.paused));

  const range = bar.querySelector<HTMLInputElement>('.g-scrub > input');
  const preview = bar.querySelector<HTMLOutputElement>('output');
  const time = part('time');
  const length = () => media.duration || Number(range?.max ?? 0);
  function tick() {
    const said = `${told(media.currentTime)} / ${told(length())}`;
    if (time) time.textContent = said;
    if (!range) return;
    range.max = String(length());
    fill(range, media.currentTime);
    range.setAttribute('aria-valuetext', said);
  }
  on(media, 'timeupdate durationchange seeked', tick);
  on(range, 'input', () => {
    media.currentTime = Number(range?.value);
  });
  on(range, 'pointermove', (event) => {
    if (!range || !preview) return;
    const box = range.getBoundingClientRect();
    let share = ((event as PointerEvent).clientX - box.left) / box.width;
    share = Math.min(1, Math.max(0, share));
    preview.textContent = told(share * length());
    preview.style.setProperty('--g-at', `${share * 100}%`);
    preview.hidden = false;
  });
  on(range, 'pointerleave', () => {
    if (preview) preview.hidden = true;
  });

  const mute = part('mute');
  const volume = part<HTMLInputElement>('volume');
  on(mute, 'click', () => {
    media.muted = !media.muted;
  });
  on(volume, 'input', () => {
    media.volume = Number(volume?.value);
    media.muted = media.volume === 0;
  });
  const loud = () => {
    show(mute, media.muted);
    if (volume) fill(volume, media.muted ? 0 : media.volume);
  };
  on(media, 'volumechange', loud);
  loud();

  const captions = part<HTMLSelectElement>('captions');
  const spoken = () => {
    for (const [at, track] of [...media.textTracks].entries()) {
      track.mode = captions?.value === String(at) ? 'showing' : 'disabled';
    }
  };
  on(captions, 'change', spoken);
  // Captions are files: none is asked for before the clip is started.
  if (captions) media.addEventListener('play', spoken, { signal, once: true });
  const speed = part<HTMLSelectElement>('speed');
  on(speed, 'change', () => {
    media.playbackRate = Number(speed?.value);
  });

  const small = part('window');
  if (small && !document.pictureInPictureEnabled) small.hidden = true;
  on(small, 'click', () => {
    const left = document.pictureInPictureElement
      ? document.exitPictureInPicture()
      : media.requestPictureInPicture();
    left.catch(() => {});
  });
  const large = part('screen');
  if (large && !document.fullscreenEnabled) large.hidden = true;
  on(large, 'click', () => {
    const left = document.fullscreenElement ? document.exitFullscreen() : frame.requestFullscreen();
    left.catch(() => {});
  });
  on(document, 'fullscreenchange', () => show(large, document.fullscreenElement === frame));

  /** The words stand above the bar while it shows: so many lines from the bottom. */
  const lift = (line: number | 'auto') => {
    for (const { cues } of media.textTracks) {
      for (const cue of cues ?? []) (cue as VTTCue).line = line;
    }
  };
  let wait: (() => void) | undefined;
  const awake = () => {
    wait?.();
    frame.removeAttribute('data-idle');
    // A line is a good twentieth of the height. Source: WebVTT, "Processing cue settings".
    lift(-1 - Math.ceil(bar.offsetHeight / (media.clientHeight * 0.0533)));
    wait = clock.after(IDLE, () => {
      frame.toggleAttribute('data-idle', !media.paused);
      if (!media.paused) lift('auto');
    });
  };
  for (const track of media.querySelectorAll('track')) on(track, 'load', awake);
  on(frame, 'pointermove pointerdown keydown focusin', awake);
  on(media, 'play pause', awake);
  return true;
}
