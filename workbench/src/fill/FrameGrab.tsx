import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useRef, useState } from 'react';
import { type Media, type NodeBody, send } from '../api/client';
import { useBench } from '../bench/context';
import { fileAt } from '../media/format';
import { Dialog, useClose } from '../ui/Dialog';

interface Props {
  readonly item: NodeBody;
  readonly clip: string;
  onClose(): void;
}

/** Frames of most clips last no longer, in s: a step of the scrubber. */
const FRAME_S = 0.04;
const QUALITY = 0.9;

/** A frame of a clip as its poster, picked on a scrubber. */
export function FrameGrab({ item, clip, onClose }: Props) {
  const title = useId();
  return (
    <Dialog labelledBy={title} className="frame-grab" onClose={onClose}>
      <h2 id={title} className="font-serif text-xl">
        Poster from a frame
      </h2>
      <Scrubber item={item} clip={clip} />
    </Dialog>
  );
}

function Scrubber({ item, clip }: { readonly item: NodeBody; readonly clip: string }) {
  const { session, page } = useBench();
  const queries = useQueryClient();
  const close = useClose();
  const video = useRef<HTMLVideoElement>(null);
  const id = useId();
  const [length, setLength] = useState(0);
  const [at, setAt] = useState(0);
  const [fault, setFault] = useState('');
  const grab = useMutation({
    mutationFn: async () => {
      const media = video.current;
      if (!media) throw new Error('The clip is not there.');
      const blob = await frame(media);
      const name = `${clip}-at-${at.toFixed(2).replace('.', '-')}.jpg`;
      return send<Media>(
        `/api/sites/${page.siteId}/media`,
        new File([blob], name, { type: 'image/jpeg' }),
      );
    },
    onSuccess: async (poster) => {
      await queries.invalidateQueries({ queryKey: ['media', page.siteId] });
      session.set(item.id, 'picture', '', poster.id);
      close();
    },
  });
  const to = (seconds: number) => {
    const time = Math.min(length, Math.max(0, seconds));
    setAt(time);
    if (video.current) video.current.currentTime = time;
  };
  return (
    <>
      <video
        ref={video}
        src={fileAt(page.siteId, clip)}
        preload="auto"
        muted
        playsInline
        tabIndex={-1}
        onLoadedMetadata={(event) => {
          setLength(event.currentTarget.duration);
          event.currentTarget.currentTime = 0;
        }}
        onError={() =>
          setFault('This browser cannot play the clip, so no frame of it can be shown.')
        }
      />
      <div className="flex items-center gap-3">
        <button type="button" className="btn btn-sm" onClick={() => to(at - FRAME_S)}>
          Frame back
        </button>
        <input
          id={id}
          type="range"
          className="range range-sm flex-1"
          aria-label="Place in the clip, in seconds"
          min={0}
          max={length || 1}
          step={FRAME_S}
          value={at}
          disabled={length === 0}
          onChange={(event) => to(Number(event.target.value))}
        />
        <button type="button" className="btn btn-sm" onClick={() => to(at + FRAME_S)}>
          Frame on
        </button>
        <label className="flex items-center gap-2">
          <span className="sr-only">Second</span>
          <input
            className="input input-sm w-20"
            inputMode="decimal"
            value={at.toFixed(2)}
            onChange={(event) => {
              const seconds = Number(event.target.value);
              if (Number.isFinite(seconds)) to(seconds);
            }}
          />{' '}
          s
        </label>
      </div>
      {(fault || grab.isError) && (
        <p className="text-error" role="alert">
          {fault || grab.error?.message}
        </p>
      )}
      <div className="flex justify-end gap-2">
        <button type="button" className="btn btn-ghost btn-sm" onClick={close}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-primary btn-sm"
          disabled={length === 0 || grab.isPending}
          onClick={() => grab.mutate()}
        >
          {grab.isPending ? 'Taking it…' : 'Take this frame'}
        </button>
      </div>
    </>
  );
}

/** What a clip shows now, at its own size. */
async function frame(media: HTMLVideoElement): Promise<Blob> {
  if (media.seeking) {
    await new Promise((done) => media.addEventListener('seeked', done, { once: true }));
  }
  const canvas = document.createElement('canvas');
  canvas.width = media.videoWidth;
  canvas.height = media.videoHeight;
  canvas.getContext('2d')?.drawImage(media, 0, 0);
  return new Promise((done, failed) => {
    try {
      canvas.toBlob(
        (blob) => (blob ? done(blob) : failed(new Error('The frame is empty.'))),
        'image/jpeg',
        QUALITY,
      );
    } catch {
      failed(new Error('The server of this clip does not allow frames to be taken of it.'));
    }
  });
}
