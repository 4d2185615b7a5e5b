import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { type Media, type NodeBody, send } from '../api/client';
import { fileAt } from '../media/format';
import { text, walk } from './document';

/** Frames that are looked at, and px that each is wide; the server takes as many and no wider. */
const FRAMES = 12;
const WIDE = 96;
/** A frame that has not come by then does not come, ms. */
const PATIENCE = 15_000;

/** Clips that move under words on the page. */
function grounds(page: NodeBody): readonly string[] {
  return [...walk(page)].map(({ node }) => text(node, 'groundClip')).filter((id) => id !== '');
}

const once = (of: EventTarget, name: string) =>
  new Promise<void>((done, failed) => {
    const late = setTimeout(() => failed(new Error('too late')), PATIENCE);
    of.addEventListener(
      name,
      () => {
        clearTimeout(late);
        done();
      },
      { once: true },
    );
    of.addEventListener('error', () => failed(new Error('not playable')), { once: true });
  });

/** Some frames of a clip, evenly over its time, one under the other. */
async function framesOf(address: string): Promise<Blob> {
  const video = document.createElement('video');
  video.muted = true;
  video.preload = 'auto';
  try {
    const there = once(video, 'loadeddata');
    video.src = address;
    await there;
    const high = Math.max(1, Math.round((WIDE * video.videoHeight) / video.videoWidth));
    const canvas = document.createElement('canvas');
    canvas.width = WIDE;
    canvas.height = high * FRAMES;
    const draw = canvas.getContext('2d');
    for (let i = 0; i < FRAMES; i++) {
      const sought = once(video, 'seeked');
      video.currentTime = (video.duration * (i + 0.5)) / FRAMES;
      await sought;
      draw?.drawImage(video, 0, i * high, WIDE, high);
    }
    return await new Promise((done, failed) =>
      canvas.toBlob((blob) => (blob ? done(blob) : failed(new Error('empty'))), 'image/png'),
    );
  } finally {
    video.removeAttribute('src');
    video.load();
  }
}

/**
 * Looks at the clips that move under words and that nobody has looked at, one after the other: only
 * a browser can draw them, and the server then judges words on what it is given.
 */
export function useFrames(siteId: string, page: NodeBody, media: readonly Media[]) {
  const queries = useQueryClient();
  const [tried, setTried] = useState<ReadonlySet<string>>(() => new Set());
  const asked = new Set(grounds(page));
  const next = media.find(
    (each) =>
      each.sort === 'a clip' && each.frames === 0 && asked.has(each.id) && !tried.has(each.hash),
  );
  const id = next?.id ?? '';
  const hash = next?.hash ?? '';
  useEffect(() => {
    if (id === '') return;
    const look = async () => {
      const blob = await framesOf(fileAt(siteId, id));
      await send<Media>(
        `/api/sites/${siteId}/media/${id}/frames?frames=${FRAMES}`,
        new File([blob], 'frames.png', { type: 'image/png' }),
      );
    };
    // One that cannot be drawn here is left as it is; whichever it was, the next has its turn.
    look()
      .catch((problem) => console.info(`No frames of ${id}: ${problem}`))
      .finally(() => {
        setTried((now) => new Set(now).add(hash));
        queries.invalidateQueries({ queryKey: ['media', siteId] });
        queries.invalidateQueries({ queryKey: ['of-page'] });
      });
  }, [id, hash, siteId, queries]);
}
