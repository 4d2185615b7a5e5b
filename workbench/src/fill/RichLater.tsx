import { later } from '../ui/Later';

/** The field for texts with its editor, which is large and not needed before a text is touched. */
export const RichField = later(async () => (await import('./RichField')).RichField);
