import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ImageUp, Keyboard, ScanSearch, X } from 'lucide-react';
import { type RefObject, useEffect, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import type { EditBody, MatchReply } from '../api/client';
import { bandAt, columnsOf, useBench, versionOf } from '../bench/context';
import { ownOf, setting } from '../bench/keys';
import { upload, usePicker } from '../fill/PicturePicker';
import { fileAt } from '../media/format';
import { matched, type Place, whereIs } from './drawing';

/** What takes a colour; tells what it was put into, or nothing where it fits nowhere. */
export type TakeColour = (colour: string) => string | undefined;

/** A picture that is higher than so many px is mostly of a whole page; ours. */
const HIGH = 800;

interface Size {
  readonly width: number;
  readonly height: number;
}

const HOW = ['over', 'difference', 'wiped', 'hidden'] as const;
const HANDS = ['page', 'move', 'colour', 'measure'] as const;
const says: Readonly<Record<(typeof HOW)[number] | (typeof HANDS)[number], string>> = {
  over: 'Over',
  difference: 'Difference',
  wiped: 'Wiped',
  hidden: 'Hidden',
  page: 'Chooses a part',
  move: 'Moves it',
  colour: 'Takes a colour',
  measure: 'Measures',
};

interface Props {
  readonly take: RefObject<TakeColour>;
  onClose(): void;
}

/** How large a picture is; nothing where it cannot be read. */
async function sizeOf(address: string): Promise<Size | undefined> {
  try {
    return await createImageBitmap(await (await fetch(address)).blob());
  } catch {
    return undefined;
  }
}

/** A picture over the stage that the page is held against, one for each band. */
export function Trace({ take, onClose }: Props) {
  const { page, media, session, width, chosen, toStage, catalogue } = useBench();
  const { pick } = usePicker();
  const band = bandAt(columnsOf(page), width);
  const own = (key: string) => ownOf(page.document.page, key, band?.id);
  const picture = String(own('trace') ?? '');
  const known = media.find((each) => each.id === picture);
  const place: Place = {
    wide: Number(own('traceWide') ?? 1280),
    left: Number(own('traceLeft') ?? 0),
    top: Number(own('traceTop') ?? 0),
  };
  const [how, setHow] = useState<(typeof HOW)[number]>('over');
  const [share, setShare] = useState(50);
  const [hand, setHand] = useState<(typeof HANDS)[number]>('page');
  const [told, setTold] = useState('');
  const handed = useRef<HTMLButtonElement>(null);
  /** Where the keyboard goes on: what lies on the stage takes it from there. */
  const hold = () => {
    document.querySelector<HTMLIFrameElement>('.stage-ground iframe')?.focus();
    toStage.current({ type: 'trace', held: true });
  };
  const { wide, left, top } = place;
  const set = (values: Readonly<Record<string, unknown>>) => {
    const edits: EditBody[] = Object.entries(values).map(([key, value]) =>
      setting(page.document.page.id, key, band?.id ?? '', value),
    );
    session.edit(edits);
  };
  const away = () => set({ trace: null, traceWide: null, traceLeft: null, traceTop: null });
  const put = async (id: string, listed: Size | undefined) => {
    if (id === '') return away();
    // One that has just come in is not yet in the list.
    const natural = listed ?? (await sizeOf(fileAt(page.siteId, id)));
    // Of screens with more px to a px of CSS: as wide as the stage.
    const across = Math.round(width);
    const drawn = Math.max(20, Math.min(natural?.width || across, across));
    const tall = natural ? (drawn * natural.height) / natural.width > 1.5 * HIGH : false;
    // That of a whole page begins where the page does, that of a thing where the chosen one is.
    const at = tall
      ? { left: 0, top: 0 }
      : await whereIs(toStage.current, catalogue.stage, chosen.node.id).catch(() => ({
          left: 0,
          top: 0,
        }));
    set({
      trace: id,
      traceWide: drawn,
      traceLeft: drawn > 0.9 * across ? 0 : at.left,
      traceTop: at.top,
    });
  };

  // A picture of the library goes to the stage as what is seen of it, which has no address.
  const address = known && fileAt(page.siteId, known.id);
  const [failed, setFailed] = useState('');
  const [loads, setLoads] = useState(0);
  useEffect(() => {
    const say = toStage.current;
    if (!address) return;
    let here = true;
    const lay = async () => {
      setFailed('');
      const answer = await fetch(address);
      const bitmap = await createImageBitmap(await answer.blob());
      if (here) say({ type: 'trace', picture: bitmap });
    };
    lay().catch(() => here && setFailed('It cannot be read as a picture.'));
    return () => {
      here = false;
      say({ type: 'trace', picture: null });
    };
  }, [toStage, address, loads]);
  useEffect(() => {
    toStage.current({ type: 'trace', place: { wide, left, top } });
  }, [toStage, wide, left, top, address, loads]);
  useEffect(() => {
    toStage.current({ type: 'trace', seen: { how, share, hand } });
  }, [toStage, how, share, hand, loads]);

  // What is done with it on the stage; each time what that leads to is another.
  useEffect(() => {
    const hear = (event: MessageEvent) => {
      // Boards and the line-up are frames of the same origin.
      const stage = document.querySelector<HTMLIFrameElement>('.stage-ground iframe');
      if (event.origin !== catalogue.stage || event.source !== stage?.contentWindow) return;
      if (event.data?.type === 'untraced') setLoads((now) => now + 1);
      if (event.data?.type !== 'traced') return;
      const {
        place: to,
        colour,
        distance,
        left: letGo,
      } = event.data as {
        readonly left?: boolean;
        readonly place?: Place;
        readonly colour?: string;
        readonly distance?: { readonly across: number; readonly down: number };
      };
      if (letGo) handed.current?.focus();
      if (to) set({ traceLeft: to.left, traceTop: to.top });
      if (colour) {
        const into = take.current(colour);
        setTold(into ? `${colour} put into ${into}` : `${colour}; choose a colour below for it`);
      }
      if (distance) setTold(`${distance.across} px across, ${distance.down} px down`);
    };
    addEventListener('message', hear);
    return () => removeEventListener('message', hear);
  });

  const shownAt = `${versionOf(page)} ${Math.round(width)} ${picture} ${wide} ${left} ${top}`;
  const match = useMutation({
    mutationFn: async (at: string): Promise<MatchReply & { readonly at: string }> => {
      const high = Math.max(1, Math.round((wide * (known?.height ?? 1)) / (known?.width || 1)));
      const most = catalogue.limits.likened;
      if (Math.round(wide) * high > most) {
        throw new Error(
          `${Math.round(wide)} × ${high} px are too many to compare: at most ${most.toLocaleString('en')} px, ${Math.floor(wide * Math.sqrt(most / (wide * high)))} px wide as this picture is`,
        );
      }
      await session.settled();
      const found = await matched(toStage, catalogue.stage, page.id, band?.id ?? '', place, high);
      return { ...found, at };
    },
    onSuccess: (found) => {
      toStage.current({
        type: 'trace',
        regions: found.regions.filter((each) => each.share < 0.9),
      });
    },
  });
  const add = useAdded((added) => void put(added.id, added));
  const dropping = useDropping((file) => add.mutate(file));
  const found = match.data?.at === shownAt ? match.data : undefined;
  return (
    <section className="trace" aria-label="Trace">
      {dropping}
      <button
        type="button"
        className="trace-picture"
        onClick={() =>
          pick({
            value: picture,
            label: `Trace at ${band?.name ?? ''}`,
            onPick: (id) =>
              void put(
                id,
                media.find((each) => each.id === id),
              ),
          })
        }
      >
        {known ? <img src={address} alt="" /> : <ImageUp size={16} aria-hidden />}
        <span className="truncate">
          {picture === '' ? `Choose one for ${band?.name ?? ''}` : (known?.name ?? picture)}
        </span>
      </button>
      {picture === '' ? (
        <p className="faint">
          {add.isPending
            ? 'Taking it in…'
            : 'A picture that you like, laid over the page at these widths: choose one, or drop one on the stage. Visitors never see it.'}
        </p>
      ) : (
        <>
          <Chosen<(typeof HOW)[number]>
            label="How it is seen"
            words={HOW}
            value={how}
            onValue={setHow}
          />
          <input
            type="range"
            className="range range-xs trace-share"
            aria-label={how === 'wiped' ? 'Wiped to, in percent' : 'Seen, in percent'}
            min={0}
            max={100}
            value={share}
            disabled={how === 'difference' || how === 'hidden'}
            onChange={(event) => setShare(Number(event.target.value))}
          />
          <label className="trace-hand">
            <span className="faint">A press</span>
            <select
              className="select select-xs"
              value={hand}
              onChange={(event) => setHand(event.target.value as typeof hand)}
            >
              {HANDS.map((word) => (
                <option key={word} value={word}>
                  {says[word].toLowerCase()}
                </option>
              ))}
            </select>
          </label>
          <button
            ref={handed}
            type="button"
            className="tool"
            aria-label="Do it by keyboard"
            title="Do it by keyboard: arrow keys move, Enter takes, Escape comes back here"
            disabled={hand === 'page'}
            onClick={hold}
          >
            <Keyboard size={15} aria-hidden />
          </button>
          {(
            [
              ['traceLeft', 'left', left],
              ['traceTop', 'top', top],
              ['traceWide', 'wide', wide],
            ] as const
          ).map(([key, word, value]) => (
            <Px key={key} label={word} value={value} onValue={(px) => set({ [key]: px })} />
          ))}
          <button
            type="button"
            className="btn btn-xs"
            disabled={!known || match.isPending}
            onClick={() => match.mutate(shownAt)}
          >
            <ScanSearch size={13} aria-hidden /> {match.isPending ? 'Comparing…' : 'Compare'}
          </button>
        </>
      )}
      <p className="trace-told" aria-live="polite">
        {add.isError || match.isError || failed ? (
          <span className="text-error">{failed || (add.error ?? match.error)?.message}</span>
        ) : found ? (
          <>
            <b>{percent(found.share)} % alike</b>
            <span className="faint">, ground {percent(found.ground)} %</span>
          </>
        ) : (
          <span className="faint">{told}</span>
        )}
      </p>
      {picture !== '' && (
        <button type="button" className="link" onClick={away}>
          Take it away
        </button>
      )}
      <button type="button" className="tool" aria-label="Close the trace" onClick={onClose}>
        <X size={15} aria-hidden />
      </button>
    </section>
  );
}

/** Never more than there is: 99.96 % is not all. */
const percent = (share: number) => (Math.floor(share * 1000) / 10).toFixed(1);

interface ChosenProps<T extends string> {
  readonly label: string;
  readonly words: readonly T[];
  readonly value: T;
  onValue(value: T): void;
}

function Chosen<T extends keyof typeof says>({ label, words, value, onValue }: ChosenProps<T>) {
  return (
    <span className="board-across" role="group" aria-label={label}>
      {words.map((word) => (
        <button
          key={word}
          type="button"
          aria-pressed={value === word}
          onClick={() => onValue(word)}
        >
          {says[word].toLowerCase()}
        </button>
      ))}
    </span>
  );
}

interface PxProps {
  readonly label: string;
  readonly value: number;
  onValue(value: number): void;
}

/** A number of px: typed, or by Up and Down, with Shift in tens. */
function Px({ label, value, onValue }: PxProps) {
  const [typed, setTyped] = useState<string>();
  const take = () => {
    if (typed !== undefined && Number.isFinite(Number(typed)) && typed.trim() !== '') {
      if (Number(typed) !== value) onValue(Math.round(Number(typed)));
    }
    setTyped(undefined);
  };
  return (
    <label className="trace-px">
      <span className="faint">{label}</span>
      <input
        inputMode="numeric"
        value={typed ?? String(value)}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
          if (event.key === 'Enter') take();
          else if (by !== 0) {
            event.preventDefault();
            setTyped(undefined);
            onValue(value + by * (event.shiftKey ? 10 : 1));
          }
        }}
      />
    </label>
  );
}

/** A file that comes into the library. */
function useAdded(then: (added: Size & { readonly id: string }) => void) {
  const { page } = useBench();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (file: File) => upload(page.siteId, file),
    onSuccess: async (added) => {
      await queries.invalidateQueries({ queryKey: ['media', page.siteId] });
      then(added);
    },
  });
}

/** A place over the stage while a file is dragged: the page in it would keep it to itself. */
function useDropping(onFile: (file: File) => void) {
  const [over, setOver] = useState(false);
  useEffect(() => {
    const enter = (event: DragEvent) => {
      if (event.dataTransfer?.types.includes('Files')) setOver(true);
    };
    const leave = (event: DragEvent) => {
      if (event.relatedTarget === null) setOver(false);
    };
    const end = () => setOver(false);
    addEventListener('dragenter', enter);
    addEventListener('dragleave', leave);
    addEventListener('drop', end);
    return () => {
      removeEventListener('dragenter', enter);
      removeEventListener('dragleave', leave);
      removeEventListener('drop', end);
    };
  }, []);
  const stage = document.querySelector('.stage-ground');
  if (!over || !stage) return null;
  return createPortal(
    // biome-ignore lint/a11y/noStaticElementInteractions: choosing from the library is its equal
    <div
      className="trace-drop"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) onFile(file);
      }}
    >
      Drop it here, to hold the page against it
    </div>,
    stage,
  );
}
