import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { useBench } from '../bench/context';
import { siteNode, text } from '../bench/document';
import { fileAt } from '../media/format';
import { Dialog } from '../ui/Dialog';
import { useSettled } from '../ui/useSettled';

/** A tone made of one colour, typed or taken out of a picture; it can be read by the way it is made. */
export function NewTone({ onClose }: { onClose(): void }) {
  const { page, media, session, catalogue } = useBench();
  const [name, setName] = useState('');
  const [colour, setColour] = useState('#2f6652');
  const [dark, setDark] = useState(false);
  const pictures = media.filter((each) => each.sort.endsWith('picture') && each.width > 0);
  const [picture, setPicture] = useState('');
  const [fault, setFault] = useState('');
  const settled = useSettled(colour, 120);
  const made = useQuery({
    queryKey: ['made-tone', page.id, settled, dark],
    queryFn: () =>
      ask(
        api.GET('/api/pages/{id}/made-tone', {
          params: { path: { id: page.id }, query: { colour: settled, dark } },
        }),
      ),
    placeholderData: (before) => before,
    retry: false,
  });
  const taken = useQuery({
    queryKey: ['colours', page.siteId, picture],
    queryFn: () =>
      ask(
        api.GET('/api/sites/{siteId}/media/{id}/colours', {
          params: { path: { siteId: page.siteId, id: picture } },
        }),
      ),
    enabled: picture !== '',
  });
  const known = catalogue.types
    .find((each) => each.type === 'site')
    ?.settings.filter((each) => /^tone\d+$/.test(each.id));
  const site = siteNode(page.document);
  const free = known?.filter((each) => text(site, each.id) === '').length ?? 0;
  const make = async () => {
    setFault('');
    try {
      await session.settled();
      const { edits } = await ask(
        api.GET('/api/pages/{id}/made-tone', {
          params: { path: { id: page.id }, query: { colour, dark, name } },
        }),
      );
      session.edit(edits);
      onClose();
    } catch (problem) {
      setFault(problem instanceof Error ? problem.message : String(problem));
    }
  };
  const of = (id: string) => made.data?.colours.find((each) => each.id === id)?.colour;
  return (
    <Dialog label="A new tone" className="new-tone" beside onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          make();
        }}
      >
        <h2 className="font-serif text-xl">A new tone</h2>
        <label className="new-tone-name">
          Its name
          <input
            data-first
            className="input input-sm"
            value={name}
            maxLength={40}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <div className="new-tone-of">
          <label>
            Made of
            <input
              type="color"
              value={/^#[0-9a-f]{6}$/.test(colour) ? colour : '#000000'}
              aria-label="Made of this colour"
              onChange={(event) => setColour(event.target.value)}
            />
          </label>
          <input
            className="input input-sm"
            aria-label="Made of, as CSS has it"
            value={colour}
            onChange={(event) => setColour(event.target.value)}
          />
          <label>
            <input
              type="checkbox"
              className="toggle toggle-sm"
              checked={dark}
              onChange={(event) => setDark(event.target.checked)}
            />
            dark
          </label>
        </div>
        {pictures.length > 0 && (
          <div className="new-tone-picture">
            <label>
              or of a colour of
              <select
                className="select select-sm"
                value={picture}
                onChange={(event) => setPicture(event.target.value)}
              >
                <option value="">a picture…</option>
                {pictures.map((each) => (
                  <option key={each.id} value={each.id}>
                    {each.name}
                  </option>
                ))}
              </select>
            </label>
            {picture !== '' && <img src={fileAt(page.siteId, picture)} alt="" />}
            {taken.data?.map((each) => (
              <button
                key={each}
                type="button"
                className="new-tone-colour"
                style={{ background: each }}
                aria-label={`Made of ${each}`}
                aria-pressed={each === colour}
                onClick={() => setColour(each)}
              />
            ))}
            {taken.data?.length === 0 && <span className="faint">No colours can be told.</span>}
          </div>
        )}
        {made.isError ? (
          <p className="text-error" role="alert">
            {made.error.message}
          </p>
        ) : (
          <div
            className="new-tone-seen"
            style={{ background: of('ground'), color: of('ink'), borderColor: of('line') }}
          >
            <p style={{ background: of('raised'), borderColor: of('line') }}>
              <b>Seven nights of moonflowers</b>
              <span style={{ color: of('quiet') }}>The doors open at dusk.</span>
              <span style={{ color: of('accent') }}>Plan an evening</span>
            </p>
            <ul>
              {made.data?.colours.map((each) => (
                <li key={each.id} title={`${each.label}: ${each.colour}`}>
                  <i style={{ background: each.colour, borderColor: of('line') }} />
                  {each.label}
                </li>
              ))}
            </ul>
          </div>
        )}
        <table className="new-tone-table">
          <caption className="sr-only">Contrast of its words on its grounds</caption>
          <thead>
            <tr>
              <th scope="col">Contrast</th>
              <th scope="col">on the ground</th>
              <th scope="col">on the raised ground</th>
            </tr>
          </thead>
          <tbody>
            {[...new Set(made.data?.contrasts.map((each) => each.words))].map((words) => (
              <tr key={words}>
                <th scope="row">{words}</th>
                {made.data?.contrasts
                  .filter((each) => each.words === words)
                  .map((each) => (
                    <td key={each.on}>
                      {(Math.floor(each.found * 10) / 10).toFixed(1)}
                      <span className="faint"> of {each.asked}</span>
                    </td>
                  ))}
              </tr>
            ))}
          </tbody>
        </table>
        {fault && (
          <p className="text-error" role="alert">
            {fault}
          </p>
        )}
        <footer className="modal-action">
          <span className="faint mr-auto">
            {free === 0
              ? 'The site has all the tones of its own that it can have.'
              : 'Sections of all pages of the site can wear it.'}
          </span>
          <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
            Cancel
          </button>
          <button
            type="submit"
            className="btn btn-sm btn-primary"
            disabled={name.trim() === '' || made.isError || free === 0}
          >
            Make it
          </button>
        </footer>
      </form>
    </Dialog>
  );
}
