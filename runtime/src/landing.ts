import { nearest, stopAt, type Track } from './measures';

/** How far a release is thought to run on, in ms of its speed. */
const MOMENTUM = 170;
/** Speed from which a release goes on to a neighbour at least, in px per ms. */
const FLICK = 0.3;

/**
 * Where a release comes to rest: where its speed leads; a flick goes on to the next stop at least.
 * @param position px; @param speed px per ms
 * @param aim where a change was going that the finger caught, if it did: quick flicks add up
 */
export function landing(track: Track, position: number, speed: number, aim: number | undefined) {
  let to = stopAt(track, position + speed * MOMENTUM);
  let place = nearest(track, track.offsets[to] ?? 0, position + speed * MOMENTUM);
  const beyond = aim !== undefined && (aim - position) * speed > 0;
  const past = beyond ? aim : position;
  const count = track.offsets.length;
  for (let tries = 0; Math.abs(speed) > FLICK && tries < 2; tries++) {
    if ((place - past) * speed > (beyond ? 1e-3 : 0)) break;
    const ahead = (to + Math.sign(speed) + count) % count;
    const there = nearest(track, track.offsets[ahead] ?? 0, place);
    if ((there - place) * speed <= 0) break;
    to = ahead;
    place = there;
  }
  return { to, place };
}
