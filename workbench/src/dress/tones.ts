import type { DocumentBody, EditBody, SettingReply } from '../api/client';
import { siteNode, text, walk } from '../bench/document';
import { keysOf, ownOf, setting } from '../bench/keys';

const OWN = /^own-(\d+)$/;

/** What the site calls one of its own tones; nothing for one that it has not made. */
export function toneName(document: DocumentBody, id: string): string {
  const own = OWN.exec(id)?.[1];
  return own === undefined ? id : text(siteNode(document), `tone${own}`);
}

/** The words of a setting that can be picked, as people read them; tones that are not there are none. */
export function picked(
  document: DocumentBody,
  setting: SettingReply,
  value: string,
): readonly { readonly word: string; readonly says: string }[] {
  return setting.words
    .map((word) => ({ word, says: setting.id === 'tone' ? toneName(document, word) : word }))
    .filter(({ word, says }) => says !== '' || word === value)
    .map(({ word, says }) => ({ word, says: says || `${word} (not made yet)` }));
}

/** The setting that names one of the site's own tones, which a part is; nothing for other parts. */
export const namedBy = (part: string): string | undefined => {
  const own = OWN.exec(part.replace('tone.', ''))?.[1];
  return own && `tone${own}`;
};

/** The edits that take one of the site's own tones away; sections of the page wear the first again. */
export function withoutTone(
  document: DocumentBody,
  part: string,
  bands: readonly string[],
): readonly EditBody[] {
  const site = siteNode(document);
  const name = namedBy(part);
  if (!name) return [];
  return [
    setting('site', name, '', null),
    ...keysOf(site)
      .filter((key) => key.startsWith(`${part}/`))
      .flatMap((key) =>
        bands
          .filter((band) => ownOf(site, key, band) !== undefined)
          .map((band) => setting('site', key, band, null)),
      ),
    ...[...walk(document.page)]
      .filter(({ node }) => node.type === 'section' && `tone.${text(node, 'tone')}` === part)
      .map(({ node }) => setting(node.id, 'tone', '', null)),
  ];
}
