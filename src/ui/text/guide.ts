import { perLanguage, t } from '../language/index.ts';

/** A page of the guide: what one would do, where, and the screens on which it is offered first. */
export interface GuideEntry {
  /** Its file in docs/guide. */
  readonly slug: string;
  readonly task: string;
  readonly to: string;
  readonly screens: readonly string[];
}

/** The pages in the order of the work. */
export const GUIDE = perLanguage((): readonly GuideEntry[] => [
  { slug: 'set-out', task: t('Begin with an empty room'), to: '/setout', screens: ['setout'] },
  { slug: 'heaps', task: t('Say how much there is, by the heap'), to: '/heaps', screens: ['heaps'] },
  { slug: 'one-line', task: t('Add a thing in one line'), to: '/stash', screens: ['stash'] },
  { slug: 'photos', task: t('Add things by their photos'), to: '/photos', screens: ['photos', 'one'] },
  { slug: 'list', task: t('Bring in a list'), to: '/list', screens: ['list'] },
  { slug: 'room', task: t('Draw furniture and rebuild it'), to: '/room', screens: ['room'] },
  { slug: 'sort', task: t('Say how you sort'), to: '/sort', screens: ['sort'] },
  { slug: 'plan', task: t('Find a plan, and disagree with it'), to: '/fit', screens: ['fit'] },
  { slug: 'moves', task: t('Carry a plan out'), to: '/moves', screens: ['moves'] },
  { slug: 'labels', task: t('Print labels'), to: '/labels', screens: ['labels'] },
  { slug: 'find', task: t('Find something, take it out, put it back'), to: '/find', screens: ['find'] },
  { slug: 'put-away', task: t('Put away, and tidy up'), to: '/bench', screens: ['bench', 'scan'] },
  { slug: 'count', task: t('Count what is there'), to: '/bench/count', screens: [] },
  { slug: 'project', task: t('Plan a project'), to: '/projects', screens: ['projects'] },
  { slug: 'scraps', task: t('Cut scraps up, toward a quilt'), to: '/projects/goals', screens: [] },
  { slug: 'year', task: t('Through the year'), to: '/year', screens: ['year'] },
  { slug: 'moving', task: t('Move house in boxes'), to: '/year/moving', screens: [] },
  { slug: 'keep', task: t('Keep a copy, and use two devices'), to: '/household', screens: ['household', 'daybook'] },
]);

/** The page for the screen that an address shows; the first of all where none is for it. */
export function findGuide(pathname: string): GuideEntry {
  const exact = GUIDE().find(({ to }) => to === pathname);
  const screen = pathname.split('/')[1] ?? '';
  return exact ?? GUIDE().find(({ screens }) => screens.includes(screen)) ?? GUIDE()[0]!;
}
