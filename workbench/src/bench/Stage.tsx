import { ExternalLink, Maximize2, Minimize2, RotateCcw } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { Catalogue, DocumentBody } from '../api/client';
import { useBench } from './context';
import { find } from './document';
import { useKept } from './useKept';
import { useSize } from './useSize';

/** What the script of the stage tells the bench. */
interface Told {
  readonly type: 'ready' | 'swapped' | 'clicked' | 'opened' | 'shown';
  readonly scrollbar?: number;
  /** Of what is shown, in px of its screen. */
  readonly top?: number;
  readonly height?: number;
  /** The nodes that were clicked, the innermost first; those of a linked piece are elsewhere. */
  readonly ids?: readonly string[];
  /** The parts that were clicked, the innermost first. */
  readonly parts?: readonly string[];
}

/** How much is kept for a page that is on its way; where there is more it is asked for once more. */
const mostEarly = 100;

interface StageProps {
  /** Whether it has the whole window. */
  readonly whole: boolean;
  onWhole(whole: boolean): void;
}

/**
 * The compiled page in a frame that is a screen of its own: as wide as the ruler says, as high as is
 * said here, and shrunk when it is wider than the room for it. What is a share of the screen is then
 * what it is on the live page.
 */
export function Stage({ whole, onWhole }: StageProps) {
  const {
    session,
    page,
    catalogue,
    chosen,
    choose,
    step,
    width,
    setScrollbar,
    toStage,
    on,
    stress,
  } = useBench();
  const [high, setHigh] = useKept('screen', catalogue.screenHeight);
  const scroller = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState({ top: 0, height: 0 });
  const origin = catalogue.stage;
  const [box, room] = useSize<HTMLDivElement>();
  const frame = useRef<HTMLIFrameElement>(null);
  const shown = useRef('');
  const wanted = chosen.node.id;
  const latest = useRef({ document: page.document, choose, wanted, step });
  latest.current = { document: page.document, choose, wanted, step };

  const [assumed, setAssumed] = useState<readonly string[]>([]);
  // Where a page that is being made has been asked for, until it is here.
  const [coming, setComing] = useState<string>();
  const asked = [
    ...(assumed.length > 0 ? [`assume=${assumed.join(',')}`] : []),
    ...(on === undefined ? [] : [`on=${on}`]),
    ...(stress ? [`stress=${stress}`] : []),
  ].join('&');
  const src = `${origin}/api/pages/${page.id}/preview/${asked && `?${asked}`}`;
  // What is said to a page before it hears: it may have been made before an edit that this tells.
  const early = useRef<unknown[]>(undefined);
  useEffect(() => {
    early.current = [];
    setComing(src);
  }, [src]);
  useEffect(() => {
    const post = (message: unknown) => frame.current?.contentWindow?.postMessage(message, origin);
    const say = (message: unknown) => {
      if (!early.current) post(message);
      else if (early.current.length <= mostEarly) early.current.push(message);
    };
    const load = () => {
      early.current = [];
      setComing(src);
      if (frame.current) frame.current.src = src;
    };
    toStage.current = say;
    // A page that is loaded anew shows what is chosen once more.
    shown.current = '';
    const hear = (event: MessageEvent<Told>) => {
      if (event.origin !== origin || event.source !== frame.current?.contentWindow) return;
      const told = event.data;
      if (told.type === 'ready') {
        setComing(undefined);
        setScrollbar(told.scrollbar ?? 0);
        const missed = early.current ?? [];
        early.current = undefined;
        if (missed.length > mostEarly) {
          load();
          return;
        }
        say({ type: 'anatomy', parts: anatomyOf(catalogue) });
        if (shown.current === '') {
          shown.current = latest.current.wanted;
          say({ type: 'show', id: shown.current });
          say({ type: 'mark', id: shown.current });
        }
        missed.forEach(post);
      } else if (told.type === 'shown') {
        setSeen({ top: told.top ?? 0, height: told.height ?? 0 });
      } else if (told.type === 'clicked' || told.type === 'opened') {
        const { document } = latest.current;
        const hit = told.ids?.find((id) => find(document, id));
        if (!hit) return;
        const part =
          latest.current.step === 'dress' && partAt(catalogue, document, hit, told.parts ?? []);
        shown.current = hit;
        say({ type: 'mark', id: hit });
        // In Dress a press is on a part, and a second one on the same.
        if (part) latest.current.choose(hit, undefined, `${part}/rest/`);
        else latest.current.choose(hit, told.type === 'opened' ? 'fill' : undefined);
      }
    };
    addEventListener('message', hear);
    const off = session.onSwap((swap) => {
      // What is assumed is compiled in, so patches of the page as it is do not fit.
      if (swap === 'reload' || assumed.length > 0 || stress) load();
      else say({ type: 'swap', ...swap });
    });
    return () => {
      removeEventListener('message', hear);
      off();
    };
  }, [session, origin, src, setScrollbar, assumed, stress, toStage, catalogue]);
  useEffect(() => {
    if (shown.current === '' || shown.current === wanted) return;
    shown.current = wanted;
    const say = (message: unknown) => frame.current?.contentWindow?.postMessage(message, origin);
    say({ type: 'show', id: wanted });
    say({ type: 'mark', id: wanted });
  }, [wanted, origin]);

  const scale = room.width > 0 ? Math.min(1, room.width / width) : 1;
  const hidden = Math.max(0, high * scale - room.height);
  // What is shown stands in the middle of the room, or from its start where it is higher.
  useEffect(() => {
    const spare = room.height - seen.height * scale;
    scroller.current?.scrollTo({ top: seen.top * scale - Math.max(24, spare / 2) });
  }, [seen, scale, room.height]);
  return (
    <div
      ref={box}
      className={`stage-ground min-h-0 flex-1 overflow-hidden ${whole ? 'stage-whole' : 'relative'}`}
    >
      <div ref={scroller} className="stage-scroll" tabIndex={hidden > 0 ? 0 : undefined}>
        <div style={{ height: high * scale }}>
          <iframe
            ref={frame}
            title={`The page at ${width} px`}
            src={src}
            onLoad={() => setComing(undefined)}
            className="absolute top-0 origin-top-left border-0 bg-white"
            style={{
              width,
              height: high,
              left: Math.max(0, (room.width - width * scale) / 2),
              transform: `scale(${scale})`,
            }}
          />
        </div>
      </div>
      {coming === src && (
        <p className="stage-coming" role="status">
          The page is on its way…
        </p>
      )}
      <div className="stage-note">
        <span>
          {width} ×
          <ScreenHeight high={high} onHigh={setHigh} />
          {scale < 1 && `, shown at ${Math.round(scale * 100)} %`}
        </span>
        <Assume assumed={assumed} onAssume={setAssumed} />
        <button
          type="button"
          className="stage-again"
          title="Play again what runs once: counts and turns"
          onClick={() =>
            frame.current?.contentWindow?.postMessage({ type: 'replay', id: wanted }, origin)
          }
        >
          <RotateCcw size={13} aria-hidden /> Play again
        </button>
        <button
          type="button"
          className="stage-again"
          aria-pressed={whole}
          title={whole ? 'Back to the bench (Escape)' : 'The stage in the whole window (W)'}
          onClick={() => onWhole(!whole)}
        >
          {whole ? <Minimize2 size={13} aria-hidden /> : <Maximize2 size={13} aria-hidden />}
          <span className="sr-only">The stage in the whole window</span>
        </button>
        <a href={src} target="_blank" rel="noreferrer" title="Open the stage in a tab of its own">
          <ExternalLink size={14} aria-hidden />
          <span className="sr-only">Open the stage in a tab of its own</span>
        </a>
      </div>
    </div>
  );
}

/** Parts of all things by where they are found. */
const anatomyOf = (catalogue: Catalogue) =>
  catalogue.parts.filter((each) => each.elements).map((each) => [each.id, each.elements]);

/** Which of the parts that were hit is one of what was hit. */
function partAt(
  catalogue: Catalogue,
  document: DocumentBody,
  id: string,
  parts: readonly string[],
): string | undefined {
  const found = find(document, id);
  const type = found?.node.type === 'item' ? found.parent?.type : found?.node.type;
  const its = catalogue.types.find((each) => each.type === type)?.parts ?? [];
  return parts.find((part) => its.includes(part));
}

interface HeightProps {
  readonly high: number;
  onHigh(high: number): void;
}

/** How high the screen is, typed; what cannot be stays where it was typed, with the reason. */
function ScreenHeight({ high, onHigh }: HeightProps) {
  const { lowestScreen, highestScreen } = useBench().catalogue.limits;
  const [typed, setTyped] = useState<string>();
  const value = typed ?? String(high);
  const px = Number(value);
  const fits = Number.isInteger(px) && px >= lowestScreen && px <= highestScreen;
  const take = () => {
    if (fits) {
      onHigh(px);
      setTyped(undefined);
    }
  };
  return (
    <>
      <input
        className="stage-high"
        aria-label="Height of the screen in px"
        aria-describedby="stage-high-note"
        inputMode="numeric"
        value={value}
        aria-invalid={fits ? undefined : true}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take();
          else if (event.key === 'Escape' && typed !== undefined) {
            event.stopPropagation();
            setTyped(undefined);
          }
        }}
      />
      <span id="stage-high-note">
        px{fits ? '' : `; it must be ${lowestScreen} to ${highestScreen} px`}
      </span>
    </>
  );
}

const assumptions: readonly (readonly [string, string])[] = [
  ['touch', 'touch, no hover'],
  ['reduced-motion', 'less motion'],
  ['no-script', 'no script'],
  ['rtl', 'right to left'],
];

interface AssumeProps {
  readonly assumed: readonly string[];
  onAssume(assumed: readonly string[]): void;
}

/** What the stage takes for granted of the visitor's device; it is compiled as met. */
function Assume({ assumed, onAssume }: AssumeProps) {
  return (
    <details className="assume">
      <summary>
        {assumed.length === 0
          ? 'Assume…'
          : assumptions
              .filter(([word]) => assumed.includes(word))
              .map(([, says]) => says)
              .join(', ')}
      </summary>
      <div className="assume-list">
        {assumptions.map(([word, says]) => (
          <label key={word}>
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={assumed.includes(word)}
              onChange={(event) =>
                onAssume(
                  assumptions
                    .map(([each]) => each)
                    .filter((each) =>
                      each === word ? event.target.checked : assumed.includes(each),
                    ),
                )
              }
            />
            {says}
          </label>
        ))}
      </div>
    </details>
  );
}
