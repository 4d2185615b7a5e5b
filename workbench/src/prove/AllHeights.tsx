import { useQuery } from '@tanstack/react-query';
import { api, ask, type Finding, type Strip } from '../api/client';
import { bandAt, columnsOf, useBench, versionOf } from '../bench/context';
import { useSize } from '../bench/useSize';
import { useClose } from '../ui/Dialog';

const WIDTHS = [320, 390, 600, 768, 1024, 1280, 1600, 1920];

/** Room for what stands under a strip, px. */
const UNDER = 52;

const ORDER = ['breaks', 'hurts', 'hint'];

/** How high a mark is, with what is between two, px. */
const MARK = 26;

/** What is found of one block at one width, under the worst of it. */
interface Mark {
  /** Px of the page from its top. */
  readonly y: number;
  readonly node: string;
  readonly severity: string;
  readonly found: readonly Finding[];
}

/** What is found at the width of a strip, where it stands in it. */
function marks(strip: Strip, snags: readonly Finding[]): readonly Mark[] {
  const here = snags.filter((each) => strip.width >= each.from && strip.width <= each.to);
  const places = strip.sections.flatMap((section) => [
    { y: section.y, id: section.id, holds: [section.id] },
    ...section.blocks.map(({ y, id, holds }) => ({ y, id, holds })),
  ]);
  return places.flatMap(({ y, id, holds }) => {
    const found = here.filter((each) => holds.includes(each.piece));
    const severity = ORDER.find((word) => found.some((each) => each.severity === word));
    return severity ? [{ y, node: id, severity, found }] : [];
  });
}

/** Where marks stand, px from the top: as near to their places as lets each be pressed. */
function places(marks: readonly Mark[], scale: number): readonly number[] {
  let free = 0;
  return marks.map(({ y }) => {
    const top = Math.max(free, y * scale);
    free = top + MARK;
    return top;
  });
}

/** The whole page at eight widths, each as high as it is there, all on one scale. */
export function AllHeights({ snags }: { readonly snags: readonly Finding[] }) {
  const { page, on } = useBench();
  const [box, room] = useSize<HTMLDivElement>();
  const strips = useQuery({
    queryKey: ['strips', page.id, versionOf(page), on],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/strips', {
          params: { path: { id: page.id }, query: { at: WIDTHS, ...(on !== undefined && { on }) } },
        }),
      ),
    placeholderData: (before) => before,
  });
  const tallest = Math.max(1, ...(strips.data ?? []).map(({ height }) => height));
  const scale = Math.max(0, room.height - UNDER) / tallest;
  return (
    <div ref={box} className="heights">
      {strips.isError && (
        <p className="text-error" role="alert">
          {strips.error.message}
        </p>
      )}
      {!strips.data && !strips.isError && <p className="faint">Measuring the page…</p>}
      {scale > 0 &&
        strips.data?.map((strip) => (
          <OneStrip key={strip.width} strip={strip} scale={scale} marks={marks(strip, snags)} />
        ))}
    </div>
  );
}

interface StripProps {
  readonly strip: Strip;
  readonly scale: number;
  readonly marks: readonly Mark[];
}

function OneStrip({ strip, scale, marks }: StripProps) {
  const { page, choose, setWidth } = useBench();
  const close = useClose();
  const { width, height, sections } = strip;
  const tops = places(marks, scale);
  const go = (node: string) => {
    setWidth(width);
    choose(node);
    close();
  };
  return (
    <figure>
      <div className="heights-strip" style={{ height: height * scale }}>
        <svg
          viewBox={`0 0 ${width} ${height}`}
          preserveAspectRatio="none"
          width={width * scale}
          height={height * scale}
          aria-hidden="true"
        >
          {sections.map((section) => (
            <g key={section.id}>
              <rect y={section.y} width={width} height={section.height} fill={section.ground} />
              {section.blocks.map((block) => (
                <rect
                  key={block.id}
                  className="heights-block"
                  data-kind={block.kind}
                  x={width * 0.06}
                  y={block.y}
                  width={width * 0.88}
                  height={block.height}
                >
                  <title>{block.name}</title>
                </rect>
              ))}
            </g>
          ))}
        </svg>
        {marks.map(({ node, severity, found }, n) => (
          <button
            key={node}
            type="button"
            className="heights-mark"
            data-severity={severity}
            style={{ top: tops[n] }}
            title={found.map((each) => each.message).join('\n')}
            aria-label={`At ${width} px: ${found.map((each) => each.message).join('; ')}`}
            onClick={() => go(node)}
          >
            {found.length}
          </button>
        ))}
      </div>
      <figcaption>
        <b>{width}</b> <span className="faint">{bandAt(columnsOf(page), width)?.name}</span>
        <span>{Math.round(height).toLocaleString('en')} px high</span>
      </figcaption>
    </figure>
  );
}
