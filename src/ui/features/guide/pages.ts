import { getLanguage } from '../../language/index.ts';
import { GUIDE } from '../../text/guide.ts';

/** A page of the guide, as the build makes it of its file. */
export interface PageOfGuide {
  readonly title: string;
  /** Address of the picture, and what is on it. */
  readonly picture: string;
  readonly alt: string;
  /** What it says, as HTML; from this program's own files. */
  readonly html: string;
}

const files = import.meta.glob<PageOfGuide>('../../../../docs/guide/**/*.md', { import: 'default' });

/** A page by its name; null where there is none. */
export async function loadPage(slug: string): Promise<PageOfGuide | null> {
  const load =
    GUIDE().some((one) => one.slug === slug) &&
    files[`../../../../docs/guide/${getLanguage() === 'en' ? '' : `${getLanguage()}/`}${slug}.md`];
  return load ? load() : null;
}
