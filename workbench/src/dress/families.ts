import type { Catalogue, DocumentBody, EditBody, Media, SettingReply } from '../api/client';
import { siteNode, text } from '../bench/document';
import { setting } from '../bench/keys';

/** A family that the site makes of fonts of its own. */
export interface OwnFamily {
  /** What documents call it. */
  readonly word: string;
  /** The setting of the site that has its files. */
  readonly setting: string;
  readonly name: string;
  readonly files: readonly Media[];
  /** Files that are said to be of it and are not in the library. */
  readonly gone: readonly string[];
}

/** The settings that have the files of families, as many as a site can have. */
export const familySettings = (catalogue: Catalogue): readonly string[] =>
  catalogue.types
    .find((each) => each.type === 'site')
    ?.settings.filter((each) => each.kind === 'fonts')
    .map((each) => each.id) ?? [];

const NAMED = new Set(['family', 'text-face', 'display-face']);
const OWN = /^own-(\d)$/;

const SET = /^font(\d+)$/;

/** The families that a site has made, in their order. */
export function ownFamilies(document: DocumentBody, media: readonly Media[]): readonly OwnFamily[] {
  const site = siteNode(document);
  return Object.keys(site.values ?? {}).flatMap((key) => {
    const at = SET.exec(key)?.[1];
    const ids = text(site, key)
      .split(' ')
      .filter((id) => id !== '');
    if (at === undefined || ids.length === 0) return [];
    const files = ids.flatMap((id) => media.find((each) => each.id === id) ?? []);
    return {
      word: `own-${at}`,
      setting: key,
      name: files[0]?.font?.family ?? `Own family ${at}`,
      files,
      gone: ids.filter((id) => !files.some((each) => each.id === id)),
    };
  });
}

/** A word of a setting that names a family, as people read it; nothing for one not made yet. */
export function familySaid(
  document: DocumentBody,
  media: readonly Media[],
  { id }: SettingReply,
  word: string,
): string | undefined {
  if (!NAMED.has(id) || !OWN.test(word)) return word;
  return ownFamilies(document, media).find((each) => each.word === word)?.name;
}

/**
 * Edits that put fonts into families of their names: into those there are, and into free ones.
 *
 * @param settings all that can have files of a family
 * @returns undefined where no free one is left
 */
export function withFonts(
  document: DocumentBody,
  media: readonly Media[],
  fonts: readonly Media[],
  settings: readonly string[],
): readonly EditBody[] | undefined {
  const families = ownFamilies(document, media);
  const free = settings.filter((each) => !families.some((family) => family.setting === each));
  const edits: EditBody[] = [];
  for (const name of new Set(fonts.map((each) => each.font?.family ?? ''))) {
    const known = families.find((each) => each.name === name);
    const at = known?.setting ?? free.shift();
    if (at === undefined) return undefined;
    const ids = [
      ...(known ? [...known.files.map((each) => each.id), ...known.gone] : []),
      ...fonts.filter((each) => each.font?.family === name).map((each) => each.id),
    ];
    edits.push(setting('site', at, '', [...new Set(ids)].join(' ')));
  }
  return edits;
}

/** What a file is in its family: `400`, `200–700 slanted`. */
export const fontSaid = ({ font }: Media): string =>
  font
    ? `${font.lightest === font.heaviest ? font.lightest : `${font.lightest}–${font.heaviest}`}${font.slanted ? ' slanted' : ''}`
    : '';
