import { useBench, versionOf } from '../bench/context';
import { useSize } from '../bench/useSize';

/** How wide the screen is that a look is drawn for, and how high what is seen of it, px. */
const SCREEN = 1120;
const SEEN = 168;
const USUAL = 264;

interface Props {
  /** What the preview is asked for. */
  readonly query: Readonly<Record<string, string>>;
}

/** A preview, small, drawn when it comes into sight. */
export function Drawn({ query }: Props) {
  const { page, catalogue } = useBench();
  const [box, size] = useSize<HTMLSpanElement>();
  const scale = (size.width || USUAL) / SCREEN;
  const asked = new URLSearchParams({ ...query, at: versionOf(page) });
  return (
    <span ref={box} className="hanger-drawn">
      <iframe
        loading="lazy"
        tabIndex={-1}
        aria-hidden="true"
        title="As it would look"
        src={`${catalogue.stage}/api/pages/${page.id}/preview/?${asked}`}
        style={{ width: SCREEN, height: Math.ceil(SEEN / scale), transform: `scale(${scale})` }}
      />
    </span>
  );
}
