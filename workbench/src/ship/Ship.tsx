import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Columns2, Download, ExternalLink, FileCheck, Undo2 } from 'lucide-react';
import { type ComponentProps, useState } from 'react';
import { api, ask, type Release } from '../api/client';
import { useBench } from '../bench/context';
import { size } from '../media/format';
import { useSweep } from '../prove/useSweep';
import { Compare } from './Compare';
import { Deliveries } from './Deliveries';
import { Difference } from './Difference';
import { Note } from './Note';
import { OwnPages } from './OwnPages';
import { Planned } from './Planned';
import { Snippets } from './Snippets';
import { Tokens } from './Tokens';
import { BandWeight, Weight } from './Weight';

const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** Releases: what is live, what is in it, how to take it along and how to go back. */
export function Ship() {
  const { page, catalogue } = useBench();
  const queries = useQueryClient();
  const releases = useQuery({
    queryKey: ['releases', page.id],
    queryFn: () => ask(api.GET('/api/pages/{id}/releases', { params: { path: { id: page.id } } })),
  });
  const [picked, setPicked] = useState<number>();
  const [open, setOpen] = useState(false);
  const back = useMutation({
    mutationFn: (number: number) =>
      ask(
        api.POST('/api/pages/{id}/releases/{number}/live', {
          params: { path: { id: page.id, number } },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['releases', page.id] }),
  });
  if (releases.isError) return <p className="p-6 text-error">{releases.error.message}</p>;
  if (!releases.data) return <p className="faint p-6">Reading the releases…</p>;
  const live = releases.data.find((each) => each.line.live);
  const shown = releases.data.find((each) => each.line.number === picked) ?? live;
  if (!live || !shown) {
    return (
      <section aria-label="Ship" className="p-6">
        <p className="font-serif text-xl">Nothing is published yet.</p>
        <p className="faint mt-1 mb-4">
          Publish makes a release of the page exactly as the stage shows it: plain files that never
          change.
        </p>
        <Proof />
        <Planned />
        <Bundle id={page.id} />
        <Tokens />
      </section>
    );
  }
  const before = releases.data
    .filter((each) => each.line.number < shown.line.number)
    .toSorted((one, other) => other.line.number - one.line.number)[0];
  const edits = page.revision - live.line.revision + (page.siteRevision - live.line.siteRevision);
  return (
    <section aria-label="Ship" className="ship">
      <div className="ship-live">
        <p className="font-serif text-xl">
          Release {live.line.number} is <span className="text-success">live</span>
        </p>
        <p className="faint">
          {edits === 0
            ? 'It is the page as it stands here.'
            : `${edits === 1 ? 'One change' : `${edits} changes`} since; publish to let visitors see ${edits === 1 ? 'it' : 'them'}.`}
        </p>
        {edits > 0 && (
          <details onToggle={(event) => setOpen(event.currentTarget.open)}>
            <summary className="link">What is different</summary>
            {open && (
              <>
                <Difference from={live.line.number} />
                <Seen releases={releases.data} from={live.line.number} to="now" />
              </>
            )}
          </details>
        )}
        <Proof />
        <p className="ship-actions">
          <a className="btn btn-sm" href={live.address} target="_blank" rel="noreferrer">
            <ExternalLink size={15} aria-hidden /> Open the live page
          </a>
          <Bundle id={page.id} />
          <Sheet id={page.id} release={shown.line.number} />
        </p>
        <p className="faint">
          The bundle is the live release as plain files. It works from any web server, and opened
          from disk. Search engines find all live pages of the site in its{' '}
          <a
            className="link"
            href={`${catalogue.live}/live/${page.siteId}/sitemap.xml`}
            target="_blank"
            rel="noreferrer"
          >
            sitemap
          </a>
          .
        </p>
        <Planned />
        <ReleaseList
          releases={releases.data}
          shown={shown.line.number}
          onPick={setPicked}
          onBack={(number) => back.mutate(number)}
        />
      </div>
      <div className="ship-elsewhere">
        <Deliveries />
        <Snippets address={live.address} />
        <OwnPages />
        <Tokens />
      </div>
      <div className="ship-told">
        {before && (
          <div>
            <h2 className="ship-head">
              Release {shown.line.number} differs from {before.line.number}
            </h2>
            <Difference from={before.line.number} to={shown.line.number} />
            <Seen releases={releases.data} from={before.line.number} to={shown.line.number} />
          </div>
        )}
        <BandWeight release={shown} before={before} />
        <Weight release={shown} before={before} />
        <Files release={shown} />
      </div>
      {back.isError && (
        <p role="alert" className="text-error">
          {back.error.message}
        </p>
      )}
    </section>
  );
}

/** Leads to two of them side by side. */
function Seen(props: Omit<ComponentProps<typeof Compare>, 'onClose'>) {
  const [open, setOpen] = useState(false);
  return (
    <p className="ship-actions">
      <button type="button" className="btn btn-sm" onClick={() => setOpen(true)}>
        <Columns2 size={15} aria-hidden /> See them both
      </button>
      {open && <Compare {...props} onClose={() => setOpen(false)} />}
    </p>
  );
}

/** What was checked on a release, to print or to send. */
function Sheet({ id, release }: { readonly id: string; readonly release: number }) {
  return (
    <>
      <a
        className="btn btn-sm"
        href={`/api/pages/${id}/proof-sheet?release=${release}`}
        target="_blank"
        rel="noreferrer"
      >
        <FileCheck size={15} aria-hidden /> Proof sheet of release {release}
      </a>
      <a
        className="btn btn-sm"
        href={`/api/pages/${id}/proof-sheet.pdf?release=${release}`}
        target="_blank"
        rel="noreferrer"
      >
        as PDF
      </a>
    </>
  );
}

function Bundle({ id }: { readonly id: string }) {
  return (
    <a className="btn btn-sm" href={`/api/pages/${id}/bundle.zip`} download>
      <Download size={15} aria-hidden /> Download the bundle
    </a>
  );
}

interface ListProps {
  readonly releases: readonly Release[];
  readonly shown: number;
  onPick(number: number): void;
  onBack(number: number): void;
}

function ReleaseList({ releases, shown, onPick, onBack }: ListProps) {
  return (
    <div className="ship-list">
      <h2 className="ship-head">Releases</h2>
      <ul>
        {releases.map(({ line }) => (
          <li key={line.number} className="ship-line">
            <button
              type="button"
              className="ship-pick"
              aria-pressed={line.number === shown}
              onClick={() => onPick(line.number)}
            >
              <b>{line.number}</b>
              <span>{when.format(new Date(line.createdAt))}</span>
              <span className={line.live ? 'text-success' : 'faint'}>
                {line.live ? 'live' : ''}
              </span>
            </button>
            {!line.live && (
              <button
                type="button"
                className="tool"
                aria-label={`Bring release ${line.number} back`}
                title={`Bring release ${line.number} back: visitors see it again`}
                onClick={() => onBack(line.number)}
              >
                <Undo2 size={15} aria-hidden />
              </button>
            )}
            <Note number={line.number} note={line.note} />
          </li>
        ))}
      </ul>
    </div>
  );
}

function Files({ release }: { readonly release: Release }) {
  return (
    <div className="ship-files">
      <h2 className="ship-head">Files of release {release.line.number}</h2>
      <table className="w-full">
        <thead>
          <tr className="faint">
            <th>File</th>
            <th className="text-right">Size</th>
            <th className="text-right">Gzipped</th>
          </tr>
        </thead>
        <tbody>
          {release.files.map((file) => (
            <tr key={file.path}>
              <td className="truncate">{file.path}</td>
              <td className="faint text-right">{size(file.bytes)}</td>
              <td className="w-24 text-right">{size(file.gzip)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What a visitor would meet that is not right; it may be published all the same. */
function Proof() {
  const { choose, chosen } = useBench();
  const sweep = useSweep();
  const { snags = [], left = {} } = sweep.data ?? {};
  const counts = (['breaks', 'hurts'] as const).flatMap((severity) => {
    const n = snags.filter(
      (each) => each.severity === severity && left[each.key] === undefined,
    ).length;
    return n === 0 ? [] : [`${n} ${n === 1 ? severity : severity.slice(0, -1)}`];
  });
  if (counts.length === 0) return null;
  return (
    <p className="ship-proof">
      Of what is found on the page, {counts.join(' and ')}.{' '}
      <button type="button" className="link" onClick={() => choose(chosen.node.id, 'prove')}>
        Look in Prove
      </button>
    </p>
  );
}
