import { ImageOff } from 'lucide-react';
import { type CSSProperties, useEffect, useState } from 'react';

/** Ms until a picture that could not be read is asked for again. */
const AGAIN = 5_000;

interface Props {
  readonly src: string;
  readonly alt: string;
  readonly className?: string;
  readonly style?: CSSProperties;
}

/** A picture; where it cannot be read now it says so in its place, and asks again by itself. */
export function Picture({ src, alt, className = '', style }: Props) {
  const [away, setAway] = useState<string>();
  useEffect(() => {
    if (away === undefined) return;
    let waits = 0;
    // Asked for out of sight: the word stays where it is until there is something to show.
    const ask = () => {
      const asked = new Image();
      asked.onload = () => setAway(undefined);
      asked.onerror = () => {
        waits = window.setTimeout(ask, AGAIN);
      };
      asked.src = away;
    };
    waits = window.setTimeout(ask, AGAIN);
    return () => clearTimeout(waits);
  }, [away]);
  if (away === src) {
    return (
      <span className={`picture-away ${className}`} title="It cannot be read now">
        <ImageOff size={16} aria-hidden />
        <span className="picture-away-word">{alt && `${alt}: `}cannot be read now</span>
      </span>
    );
  }
  return (
    <img
      src={src}
      alt={alt}
      className={className || undefined}
      loading="lazy"
      style={style}
      onError={() => setAway(src)}
    />
  );
}
