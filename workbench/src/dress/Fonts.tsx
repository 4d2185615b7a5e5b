import { useQueryClient } from '@tanstack/react-query';
import { Trash2, Upload, X } from 'lucide-react';
import { type DragEvent, useEffect, useRef, useState } from 'react';
import type { Media } from '../api/client';
import { columnsOf, useBench } from '../bench/context';
import { siteNode } from '../bench/document';
import { setting } from '../bench/keys';
import { upload } from '../fill/PicturePicker';
import { FONTS, fileAt, size } from '../media/format';
import { Dialog } from '../ui/Dialog';
import { FilePick } from '../ui/FilePick';
import { familySettings, fontSaid, type OwnFamily, ownFamilies, withFonts } from './families';
import { stylesOf } from './styles';

/** What the letters of a page are: the family of its texts and that of its headings. */
const ROLES = [
  { says: 'Texts', property: 'text-face' },
  { says: 'Headings', property: 'display-face' },
] as const;

/** Above this a page is better off with the packed form, bytes. */
const LARGE = 120_000;

/** A file becomes a face of this window, so that its letters are seen before any page has them. */
function useLetters(siteId: string, files: readonly Media[]): string {
  const ids = files.map((each) => each.id).join(' ');
  const name = `fonts of ${ids}`;
  // Files are told apart by their ids.
  useEffect(() => {
    const faces = files.map(
      (each) =>
        new FontFace(name, `url("${fileAt(siteId, each.id)}")`, {
          weight: `${each.font?.lightest ?? 400} ${each.font?.heaviest ?? 400}`,
          style: each.font?.slanted ? 'italic' : 'normal',
        }),
    );
    for (const face of faces) {
      document.fonts.add(face);
      // One that does not load is not seen; the page says why.
      face.load().catch(() => {});
    }
    return () => {
      for (const face of faces) document.fonts.delete(face);
    };
  }, [siteId, ids]);
  return name;
}

interface FamilyProps {
  readonly family: OwnFamily;
  /** Which roles it has on the site. */
  readonly roles: readonly string[];
  onRole(property: string, on: boolean): void;
  onFiles(ids: readonly string[]): void;
}

function Family({ family, roles, onRole, onFiles }: FamilyProps) {
  const { page } = useBench();
  const letters = useLetters(page.siteId, family.files);
  const heavy = family.files.filter((each) => each.bytes > LARGE && !each.type.endsWith('woff2'));
  const restricted = family.files.filter((each) => each.font?.restricted);
  const slanted = family.files.every((each) => each.font?.slanted);
  const rest = (id: string) =>
    onFiles([...family.files.map((each) => each.id), ...family.gone].filter((each) => each !== id));
  return (
    <li className="own-family">
      <header>
        <h3>{family.name}</h3>
        <span role="group" aria-label={`${family.name} is for`}>
          {ROLES.map(({ says, property }) => (
            <label key={property}>
              <input
                type="checkbox"
                className="toggle toggle-xs"
                checked={roles.includes(property)}
                onChange={(event) => onRole(property, event.target.checked)}
              />
              {says}
            </label>
          ))}
        </span>
        <button
          type="button"
          className="tool"
          aria-label={`Take ${family.name} away`}
          title="No page has it any more; its files stay in the library"
          onClick={() => onFiles([])}
        >
          <Trash2 size={15} aria-hidden />
        </button>
      </header>
      <p
        className="own-family-shown"
        style={{ fontFamily: `"${letters}", sans-serif`, fontStyle: slanted ? 'italic' : 'normal' }}
      >
        Seven nights of moonflowers
        {[
          ...new Set(
            family.files.flatMap(({ font }) => (font ? [font.lightest, font.heaviest] : [])),
          ),
        ]
          .toSorted((one, other) => one - other)
          .slice(0, 4)
          .map((weight) => (
            <span key={weight} style={{ fontWeight: weight }}>
              {weight} Aa Gg 1 640
            </span>
          ))}
      </p>
      <ul className="own-family-files" aria-label={`Files of ${family.name}`}>
        {family.files.map((each) => (
          <li key={each.id} title={`${each.name}, ${size(each.bytes)}`}>
            {fontSaid(each)}
            <button
              type="button"
              className="tool"
              aria-label={`Take ${each.name} out`}
              onClick={() => rest(each.id)}
            >
              <X size={13} aria-hidden />
            </button>
          </li>
        ))}
        {family.gone.map((id) => (
          <li key={id} className="text-error">
            {id} is not in the library
            <button
              type="button"
              className="tool"
              aria-label={`Take ${id} out`}
              onClick={() => rest(id)}
            >
              <X size={13} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      {heavy.length > 0 && (
        <p className="faint">
          {size(heavy.reduce((all, each) => all + each.bytes, 0))} that are not packed: as woff2
          they are about half, and pages wait less.
        </p>
      )}
      {restricted.map((each) => (
        <p key={each.id} className="text-warning">
          {each.name} says of itself that it must not be put into documents. Ask whoever licensed it
          before a page with it goes out.
        </p>
      ))}
    </li>
  );
}

/** Families that a site makes of fonts of its own; they are for texts, for headings, or for parts. */
export function Fonts({ onClose }: { onClose(): void }) {
  const { page, media, session, catalogue } = useBench();
  const settings = familySettings(catalogue);
  const queries = useQueryClient();
  const [going, setGoing] = useState('');
  const [faults, setFaults] = useState<readonly string[]>([]);
  // What is taken in goes into families as they are when it has come, not as they were.
  const now = useRef({ page, media });
  now.current = { page, media };
  const families = ownFamilies(page.document, media);
  const site = siteNode(page.document);
  const lead = columnsOf(page).at(-1)?.id ?? '';
  const said = (property: string) =>
    (stylesOf(site, 'type.families').rest?.[property]?.[lead] as string | undefined) ?? '';
  const take = async (files: Iterable<File>) => {
    const wrong: string[] = [];
    const added: Media[] = [];
    setFaults([]);
    for (const file of files) {
      setGoing(file.name);
      try {
        const font = await upload(page.siteId, file);
        if (font.font) added.push(font);
        else wrong.push(`File ${file.name} is ${font.sort}; it is in the library, but is no font.`);
      } catch (problem) {
        wrong.push(problem instanceof Error ? problem.message : String(problem));
      }
    }
    setGoing('');
    await queries.invalidateQueries({ queryKey: ['media', page.siteId] });
    const edits = withFonts(now.current.page.document, now.current.media, added, settings);
    if (edits === undefined) {
      wrong.push(
        `A site has up to ${settings.length} families of its own: take one away first. The files are in the library.`,
      );
    } else if (edits.length > 0) session.edit(edits);
    setFaults(wrong);
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    take(event.dataTransfer.files);
  };
  const change = (family: OwnFamily, ids: readonly string[]) =>
    session.edit([
      setting('site', family.setting, '', ids.length === 0 ? null : ids.join(' ')),
      // What had its letters has those that the site began with.
      ...(ids.length === 0
        ? ROLES.filter(({ property }) => said(property) === family.word).map(({ property }) =>
            setting('site', `type.families/rest/${property}`, lead, null),
          )
        : []),
    ]);
  return (
    <Dialog label="Fonts of the site" className="fonts" beside onClose={onClose}>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: dropping has a button as its equal */}
      <div className="fonts-body" onDragOver={(event) => event.preventDefault()} onDrop={drop}>
        <h2 className="font-serif text-xl">Fonts of the site</h2>
        {families.length === 0 ? (
          <p className="fonts-none">
            Drop the files of a family here, all its weights at once: they are put together by the
            name that they say. woff2, woff, ttf or otf, up to 4 MB each.
          </p>
        ) : (
          <ul className="own-families">
            {families.map((family) => (
              <Family
                key={family.word}
                family={family}
                roles={ROLES.filter(({ property }) => said(property) === family.word).map(
                  ({ property }) => property,
                )}
                onRole={(property, on) =>
                  session.edit([
                    setting(
                      'site',
                      `type.families/rest/${property}`,
                      lead,
                      on ? family.word : null,
                    ),
                  ])
                }
                onFiles={(ids) => change(family, ids)}
              />
            ))}
          </ul>
        )}
        {faults.map((fault) => (
          <p key={fault} className="text-error" role="alert">
            {fault}
          </p>
        ))}
        <footer className="modal-action">
          <span className="faint mr-auto" aria-live="polite">
            {going ? `Taking in ${going}…` : 'Any part can have one, too: its family names them.'}
          </span>
          <FilePick
            first
            multiple
            accept={FONTS}
            busy={going !== ''}
            className="btn btn-sm btn-primary"
            onPick={(files) => take([...files])}
          >
            <Upload size={15} aria-hidden /> Add font files
          </FilePick>
          <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
            Close
          </button>
        </footer>
      </div>
    </Dialog>
  );
}
