import { api, ask } from '../api/client';
import { useBench } from '../bench/context';
import { walk } from '../bench/document';
import { usePageQuery } from '../bench/usePageQuery';
import { Drawn } from './Drawn';
import { useTrial } from './useTrial';

const TELLING = new Set(['tabs', 'carousel', 'flip-boxes', 'accordion', 'counters']);

/**
 * Whole dresses for the site: colours of its tones, families, a usual look for each kind. Pointing
 * at one tries it on the stage; a press wears it, on all pages.
 */
export function Dresses({ onClose }: { onClose(): void }) {
  const { page, session } = useBench();
  const dresses = usePageQuery({
    key: ['dresses'],
    read: () => ask(api.GET('/api/pages/{id}/dresses', { params: { path: { id: page.id } } })),
  });
  const trial = useTrial();
  // A piece of words and grounds tells more of a dress than what a page mostly begins with.
  const telling = [...walk(page.document.page)].find(({ node }) => TELLING.has(node.type))?.node.id;
  return (
    <section
      className="wardrobe"
      aria-label="Dresses for the site"
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          event.stopPropagation();
          onClose();
        }
      }}
    >
      <header>
        <h2>Whole dresses</h2>
        <p className="faint">
          Tones, families and a usual look for each kind, on all pages of the site. Looks that
          pieces wear themselves stay.
        </p>
        <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
          Back to the board
        </button>
      </header>
      {dresses.isError && <p className="p-4 text-error">{dresses.error.message}</p>}
      {trial.error && <p className="p-4 text-error">Not tried on: {trial.error}</p>}
      <ul onPointerLeave={trial.leave}>
        {dresses.data?.map((dress) => (
          <li key={dress.id} className="hanger">
            <button
              type="button"
              className="hanger-wear"
              onPointerEnter={() => trial.tryOn(dress.wear)}
              onFocus={() => trial.tryOn(dress.wear)}
              onBlur={trial.leave}
              onClick={() => {
                trial.keep();
                session.edit(dress.wear);
              }}
            >
              <Drawn query={{ dress: dress.id, ...(telling ? { only: telling } : {}) }} />
              <span className="hanger-name">
                <b>{dress.name}</b>
              </span>
              <span className="faint hanger-says">{dress.says}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
