import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask } from '../api/client';
import { useBench } from '../bench/context';
import { Dialog } from '../ui/Dialog';
import { useSettled } from '../ui/useSettled';
import { useTrial } from './useTrial';

/** Ratios of music and of drawing that scales of type are often made of; common practice. */
const RATIOS = [
  { says: 'close', ratio: 1.125 },
  { says: 'even', ratio: 1.2 },
  { says: 'open', ratio: 1.25 },
  { says: 'wide', ratio: 1.333 },
  { says: 'bold', ratio: 1.5 },
] as const;

/** What each style says of itself, where it is shown. */
const WORDS: Readonly<Record<string, string>> = {
  'type.title': 'Night',
  'type.heading': 'Evenings',
  'type.subheading': 'The doors open at dusk',
  'type.text': 'Bring a coat: the paths are cool once the sun has set.',
  'type.small': 'Tickets at the gate, as long as there are some.',
  'type.kicker': 'From June',
  'type.figure': '1 640',
  'type.button': 'Plan an evening',
};

interface StepProps {
  readonly where: string;
  readonly text: number;
  readonly ratio: number;
  onText(text: number): void;
  onRatio(ratio: number): void;
}

function Step({ where, text, ratio, onText, onRatio }: StepProps) {
  return (
    <fieldset>
      <legend>{where}</legend>
      <label>
        Text, px
        <input
          className="input input-sm"
          type="number"
          step={0.5}
          value={text}
          onChange={(event) => onText(event.target.valueAsNumber)}
        />
      </label>
      <label>
        Ratio
        <input
          className="input input-sm"
          type="number"
          step={0.005}
          value={ratio}
          onChange={(event) => onRatio(event.target.valueAsNumber)}
        />
      </label>
      <div className="type-ratios">
        {RATIOS.map((each) => (
          <button
            key={each.says}
            type="button"
            className="btn btn-xs"
            aria-pressed={each.ratio === ratio}
            title={`${each.ratio} times the step below`}
            onClick={() => onRatio(each.ratio)}
          >
            {each.says}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

const px = (size: number) => `${Math.round(size * 10) / 10}`;

/** Sizes of all styles of type out of that of the text, on small screens and on large ones. */
export function TypeScale({ onClose }: { onClose(): void }) {
  const { page, session } = useBench();
  const [small, setSmall] = useState({ text: 16, ratio: 1.2 });
  const [large, setLarge] = useState({ text: 17, ratio: 1.25 });
  const [seen, setSeen] = useState<'small' | 'large'>('large');
  const [fault, setFault] = useState('');
  const query = {
    smallText: small.text,
    smallRatio: small.ratio,
    largeText: large.text,
    largeRatio: large.ratio,
  };
  const typed = Object.values(query).every(Number.isFinite);
  const settled = useSettled(JSON.stringify(query), 120);
  const scale = useQuery({
    queryKey: ['type-scale', page.id, page.revision, page.siteRevision, settled],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/type-scale', {
          params: { path: { id: page.id }, query: JSON.parse(settled) as typeof query },
        }),
      ),
    enabled: typed,
    placeholderData: (before) => before,
    retry: false,
  });
  const trial = useTrial();
  const tried = scale.data?.edits;
  const { follow } = trial;
  useEffect(() => {
    if (tried) follow(tried);
  }, [tried]);
  const lay = async () => {
    setFault('');
    try {
      await session.settled();
      const { edits } = await ask(
        api.GET('/api/pages/{id}/type-scale', { params: { path: { id: page.id }, query } }),
      );
      trial.keep();
      session.edit(edits);
      onClose();
    } catch (problem) {
      setFault(problem instanceof Error ? problem.message : String(problem));
    }
  };
  const data = scale.data;
  return (
    <Dialog label="A scale of type" className="type-scale" beside onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          lay();
        }}
      >
        <h2 className="font-serif text-xl">A scale of type</h2>
        <div className="type-steps">
          <Step
            where="On phones"
            {...small}
            onText={(text) => setSmall({ ...small, text })}
            onRatio={(ratio) => setSmall({ ...small, ratio })}
          />
          <Step
            where="On large screens"
            {...large}
            onText={(text) => setLarge({ ...large, text })}
            onRatio={(ratio) => setLarge({ ...large, ratio })}
          />
        </div>
        <fieldset className="type-seen" aria-label="Shown as">
          {(['small', 'large'] as const).map((each) => (
            <button
              key={each}
              type="button"
              className="btn btn-xs"
              aria-pressed={seen === each}
              onClick={() => setSeen(each)}
            >
              {each === 'small' ? 'as on a phone' : 'as on a large screen'}
            </button>
          ))}
        </fieldset>
        {!typed || scale.isError ? (
          <p className="text-error" role="alert">
            {typed && scale.error ? scale.error.message : 'Each of the four has to be a number.'}
          </p>
        ) : (
          <ol className="type-list">
            {data?.sizes.map((each) => (
              <li key={each.part}>
                <span className="faint">{each.label}</span>
                <span
                  className="type-shown"
                  style={{
                    fontFamily: each.family,
                    fontWeight: each.weight,
                    fontSize: `${each[seen]}px`,
                    textTransform: each.capitals ? 'uppercase' : 'none',
                  }}
                >
                  {WORDS[each.part] ?? each.label}
                </span>
                <span className="type-px" title={each.size}>
                  {px(each.small) === px(each.large)
                    ? px(each.small)
                    : `${px(each.small)} – ${px(each.large)}`}
                </span>
              </li>
            ))}
          </ol>
        )}
        {trial.error && <p className="text-error">Not tried on the stage: {trial.error}</p>}
        {fault && (
          <p className="text-error" role="alert">
            {fault}
          </p>
        )}
        <footer className="modal-action">
          <span className="faint mr-auto">
            {data &&
              [
                data.gives > 0
                  ? `${data.gives} ${data.gives === 1 ? 'size' : 'sizes'} that the site says of single parts give way.`
                  : 'All pages of the site follow it.',
                data.keeps > 0
                  ? `${data.keeps} ${data.keeps === 1 ? 'thing keeps a size' : 'things here keep sizes'} of their own.`
                  : '',
              ].join(' ')}
          </span>
          <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
            Cancel
          </button>
          <button
            type="submit"
            className="btn btn-sm btn-primary"
            disabled={!typed || scale.isError}
          >
            Lay it on
          </button>
        </footer>
      </form>
    </Dialog>
  );
}
