import { perLanguage, t } from '../language/index.ts';

/** Something that one would do, and the way to it: an address, and at most one button there. */
export interface Way {
  readonly task: string;
  readonly to: string;
  /** The button to press there, by the beginning of its name. */
  readonly press?: string;
  /** Words that are in sight then. */
  readonly shows: string;
}

interface WaysOf {
  readonly about: string;
  readonly ways: readonly Way[];
}

const NEW = perLanguage(() => t('Form'));

/** Where everything is done, for who looks for it. e2e/ways.spec.ts walks each. */
export const WAYS = perLanguage((): readonly WaysOf[] => [
  {
    about: t('Finding and putting away'),
    ways: [
      { task: t('Find where something is'), to: '/find', shows: t('The ticket of what you look for') },
      { task: t('Put away what has no home'), to: '/bench/away', shows: t('more after it') },
      { task: t('Take all that is out back in one walk'), to: '/bench/tidy', shows: t('round in all') },
      { task: t('Count what is in a place'), to: '/bench/count', shows: t('A round of counting') },
      { task: t('Scan a label'), to: '/scan', shows: t('Code on the label') },
      { task: t('See what is lent, missing, or to be bought again'), to: '/bench', shows: t('Out now') },
      { task: t('See all that was ever done, and take it back'), to: '/daybook', shows: t('Save as a table') },
    ],
  },
  {
    about: t('What you have'),
    ways: [
      { task: t('Add cloth by one line or by a form'), to: '/stash', press: NEW(), shows: t('New cloth') },
      { task: t('Add by photos'), to: '/photos', shows: t('Choose photos') },
      { task: t('Bring in a list'), to: '/list', shows: t('Paste') },
      { task: t('Nap, weave and stretch of a cloth'), to: '/stash', press: NEW(), shows: t('Stretch, %') },
      { task: t('The cloth that a pattern needs'), to: '/stash/pattern', press: NEW(), shows: t('Cloth it needs') },
      { task: t('Publisher and era of a pattern'), to: '/stash/pattern', press: NEW(), shows: t('Publisher') },
      { task: t('Hours sewn with a needle'), to: '/year', press: t('Hours at the machine'), shows: t('Hours') },
      {
        task: t('When something is to be bought again'),
        to: '/stash/notion',
        press: NEW(),
        shows: t('Buy again below'),
      },
      {
        task: t('The machine that a foot belongs to'),
        to: '/stash/tool',
        press: NEW(),
        shows: t('Belongs to machine'),
      },
      { task: t('Colours round the wheel'), to: '/stash', press: t('By the wheel'), shows: t('wheel') },
      {
        task: t('What it is worth, and how much of it there is'),
        to: '/stash',
        press: t('Figures'),
        shows: t('In and out by month'),
      },
    ],
  },
  {
    about: t('The room and its furniture'),
    ways: [
      { task: t('Draw a wall and its furniture'), to: '/room', press: t('Add a piece'), shows: t('New piece') },
      { task: t('The floor plan, and what is wrong in it'), to: '/room/plan', shows: t('things to look at') },
      {
        task: t('Arrange the furniture anew'),
        to: '/room/plan',
        press: t('Arrange'),
        shows: t('Lock what must not move'),
      },
      {
        task: t('Move shelves, bins and hooks on the wall'),
        to: '/room',
        press: t('Rebuild'),
        shows: t('Drag a shelf'),
      },
      { task: t('Whether everything goes in'), to: '/room/balance', shows: t('to be filled') },
      { task: t('Set a room out from nothing'), to: '/setout', shows: t('Setting out') },
      { task: t('Say how much there is by the heap'), to: '/heaps', shows: t('heap') },
    ],
  },
  {
    about: t('Sorting, planning, carrying'),
    ways: [
      { task: t('Say how things are sorted'), to: '/sort', shows: t('sorted') },
      { task: t('Find a plan for everything'), to: '/fit', shows: t('How it stands today') },
      { task: t('What would be if this came or went'), to: '/fit', shows: t('What if') },
      { task: t('Carry what a plan says, a few at a time'), to: '/moves', shows: t('Before you begin') },
      { task: t('Print labels'), to: '/labels', shows: t('Save as PDF') },
    ],
  },
  {
    about: t('Making'),
    ways: [
      { task: t('Plan a project and promise cloth to it'), to: '/projects', shows: t('Begin it') },
      { task: t('What to buy'), to: '/projects/shop', shows: t('shop') },
      { task: t('Sums: quilt back, binding, piping'), to: '/projects/sums', shows: t('Binding') },
      { task: t('Squares and strips toward a quilt'), to: '/projects/goals', shows: t('What it takes') },
    ],
  },
  {
    about: t('Through the year'),
    ways: [
      { task: t('What is due: oil, lint, needles, washing, airing'), to: '/year', shows: t('Save for a calendar') },
      { task: t('Go through what is not used'), to: '/year/through', shows: t('to go through') },
      { task: t('What will be too full, and when'), to: '/year/ahead', shows: t('Over full, how likely') },
      { task: t('What goes to the attic for a season'), to: '/year', shows: t('Put away for the season') },
      { task: t('Rooms that are damp or hot; what fades'), to: '/year', shows: t('Light and air') },
      { task: t('Move house in boxes'), to: '/year/moving', shows: t('Plan the boxes') },
    ],
  },
  {
    about: t('The household'),
    ways: [
      { task: t('Save everything to a file, and open it'), to: '/household', shows: t('Save everything to a file') },
      { task: t('Metres or yards'), to: '/household', shows: t('Units') },
      { task: t('Your height, children and pets'), to: '/household', shows: t('Your height') },
      { task: t('The figures that minutes are made of'), to: '/household', shows: t('What things cost') },
      { task: t('Evening light, or by day'), to: '/household', shows: t('This screen') },
      { task: t('Work with the left hand'), to: '/household', shows: t('At the left') },
      { task: t('A day before'), to: '/household', shows: t('Days before') },
    ],
  },
]);
