import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask, type Remark } from '../api/client';

const when = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

/** Something that a remark can hang on. */
export interface Spot {
  readonly id: string;
  readonly called: string;
  /** How deep it stands in the page. */
  readonly depth: number;
}

interface Props {
  readonly page: string;
  readonly spots: readonly Spot[];
  /** What the next remark hangs on, and the width that it is seen at. */
  readonly at: string;
  readonly width: number;
  onAt(node: string, width?: number): void;
  /** Whether whoever is here has no account. */
  readonly guest: boolean;
  /** Whether they tick off, and drop what others said. */
  readonly ticks: boolean;
  readonly drops: boolean;
  /** Their id, whose remarks are theirs to drop. */
  readonly person: string;
}

/** The remarks of a page. */
export const useRemarks = (page: string) =>
  useQuery({
    queryKey: ['remarks', page],
    queryFn: () => ask(api.GET('/api/pages/{id}/remarks', { params: { path: { id: page } } })),
  });

/** What people say of a page, and a place to say more. */
export function Remarks(props: Props) {
  const { page, spots, onAt } = props;
  const [done, setDone] = useState(false);
  const all = useRemarks(page);
  const open = all.data?.filter((each) => !each.doneAt) ?? [];
  const ticked = all.data?.filter((each) => each.doneAt) ?? [];
  const shown = done ? [...open, ...ticked] : open;
  return (
    <div className="remarks">
      <NewRemark {...props} />
      {all.isError && (
        <p role="alert" className="text-error">
          {all.error.message}
        </p>
      )}
      {all.data && (
        <p className="remarks-count">
          <span className="faint">
            {open.length === 0
              ? 'Nothing is open.'
              : open.length === 1
                ? '1 remark is open'
                : `${open.length} remarks are open`}
          </span>
          {ticked.length > 0 && (
            <label>
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={done}
                onChange={(event) => setDone(event.target.checked)}
              />
              also {ticked.length} seen to
            </label>
          )}
        </p>
      )}
      <ol className="remark-list" aria-label="Remarks, oldest first">
        {shown.map((each) => (
          <Line
            key={each.id}
            remark={each}
            spot={spots.find((spot) => spot.id === each.node)}
            onShow={() => onAt(each.node, each.width)}
            page={page}
            ticks={props.ticks}
            drops={props.drops || (each.person != null && each.person === props.person)}
          />
        ))}
      </ol>
    </div>
  );
}

interface LineProps {
  readonly page: string;
  readonly remark: Remark;
  readonly spot: Spot | undefined;
  readonly ticks: boolean;
  readonly drops: boolean;
  onShow(): void;
}

function Line({ page, remark, spot, ticks, drops, onShow }: LineProps) {
  const queries = useQueryClient();
  const again = () => queries.invalidateQueries({ queryKey: ['remarks', page] });
  const path = { id: page, remark: remark.id };
  const tick = useMutation({
    mutationFn: (done: boolean) =>
      ask(api.PUT('/api/pages/{id}/remarks/{remark}/done', { params: { path }, body: { done } })),
    onSettled: again,
  });
  const drop = useMutation({
    mutationFn: () => ask(api.DELETE('/api/pages/{id}/remarks/{remark}', { params: { path } })),
    onSettled: again,
  });
  const about = `${remark.author}’s remark on ${spot?.called ?? 'what is gone'}`;
  const wrong = tick.error ?? drop.error;
  return (
    <li className="remark" data-done={remark.doneAt ? true : undefined}>
      <p className="remark-head">
        <b>{remark.author}</b>
        {remark.guest && <span className="faint">guest</span>}
        <time className="faint" dateTime={remark.madeAt}>
          {when.format(new Date(remark.madeAt))}
        </time>
      </p>
      <p className="remark-words">{remark.text}</p>
      <p className="remark-foot">
        {spot ? (
          <button type="button" className="link" aria-label={`Go to ${about}`} onClick={onShow}>
            {spot.called}, {remark.width} px
          </button>
        ) : (
          <span className="faint">on something that is gone</span>
        )}
        {ticks && (
          <label>
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              aria-label={`Seen to: ${about}`}
              checked={remark.doneAt != null}
              onChange={(event) => tick.mutate(event.target.checked)}
            />
            seen to{remark.doneBy && ` by ${remark.doneBy}`}
          </label>
        )}
        {!ticks && remark.doneAt && <span className="text-success">seen to</span>}
        {drops && (
          <button
            type="button"
            className="link"
            aria-label={`Drop ${about}`}
            onClick={() => drop.mutate()}
          >
            Drop
          </button>
        )}
      </p>
      {wrong && (
        <p role="alert" className="text-error">
          {wrong.message}
        </p>
      )}
    </li>
  );
}

const NAME = 'giostra-guest';

function NewRemark({ page, spots, at, width, onAt, guest }: Props) {
  const id = useId();
  const queries = useQueryClient();
  const [name, setName] = useState(() => localStorage.getItem(NAME) ?? '');
  const [text, setText] = useState('');
  const add = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/pages/{id}/remarks', {
          params: { path: { id: page } },
          body: { ...(guest ? { name } : {}), node: at, width, text },
        }),
      ),
    onSuccess: () => {
      setText('');
      if (guest) localStorage.setItem(NAME, name);
      return queries.invalidateQueries({ queryKey: ['remarks', page] });
    },
  });
  return (
    <form
      className="remark-new"
      aria-label="A new remark"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate();
      }}
    >
      <label htmlFor={`${id}-at`}>
        It is about
        <select
          id={`${id}-at`}
          className="select select-sm"
          value={at}
          onChange={(event) => onAt(event.target.value)}
        >
          {spots.map((each) => (
            <option key={each.id} value={each.id}>
              {'\u2003'.repeat(each.depth)}
              {each.called}
            </option>
          ))}
        </select>
      </label>
      {guest && (
        <label htmlFor={`${id}-name`}>
          Your name
          <input
            id={`${id}-name`}
            className="input input-sm"
            autoComplete="name"
            maxLength={80}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
      )}
      <label htmlFor={`${id}-text`}>
        What you have to say
        <textarea
          id={`${id}-text`}
          className="textarea"
          rows={3}
          maxLength={4000}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <span className="remark-send">
        <button type="submit" className="btn btn-sm btn-primary">
          Leave the remark
        </button>
        <span className="faint">as seen at {width} px</span>
      </span>
      {add.isError && (
        <p role="alert" className="text-error">
          {add.error.message}
        </p>
      )}
    </form>
  );
}
