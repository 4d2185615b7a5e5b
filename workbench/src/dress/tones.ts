import type { DocumentBody, SettingReply } from '../api/client';
import { siteNode, text } from '../bench/document';

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
