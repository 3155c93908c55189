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

const NEW = 'Form';

/** Where everything is done, for who looks for it. e2e/ways.spec.ts walks each. */
export const WAYS: readonly WaysOf[] = [
  {
    about: 'Finding and putting away',
    ways: [
      { task: 'Find where something is', to: '/find', shows: 'The ticket of what you look for' },
      { task: 'Put away what has no home', to: '/bench/away', shows: 'more after it' },
      { task: 'Take all that is out back in one walk', to: '/bench/tidy', shows: 'round in all' },
      { task: 'Count what is in a place', to: '/bench/count', shows: 'A round of counting' },
      { task: 'Scan a label', to: '/scan', shows: 'Code on the label' },
      { task: 'See what is lent, missing, or to be bought again', to: '/bench', shows: 'Out now' },
      { task: 'See all that was ever done, and take it back', to: '/daybook', shows: 'Save as a table' },
    ],
  },
  {
    about: 'What you have',
    ways: [
      { task: 'Add cloth by one line or by a form', to: '/stash', press: NEW, shows: 'New cloth' },
      { task: 'Add by photos', to: '/photos', shows: 'Choose photos' },
      { task: 'Bring in a list', to: '/list', shows: 'Paste' },
      { task: 'Nap, weave and stretch of a cloth', to: '/stash', press: NEW, shows: 'Stretch, %' },
      { task: 'The cloth that a pattern needs', to: '/stash/pattern', press: NEW, shows: 'Cloth it needs' },
      { task: 'Publisher and era of a pattern', to: '/stash/pattern', press: NEW, shows: 'Publisher' },
      { task: 'Hours sewn with a needle', to: '/year', press: 'Hours at the machine', shows: 'Hours' },
      { task: 'When something is to be bought again', to: '/stash/notion', press: NEW, shows: 'Buy again below' },
      { task: 'The machine that a foot belongs to', to: '/stash/tool', press: NEW, shows: 'Belongs to machine' },
      { task: 'Colours round the wheel', to: '/stash', press: 'By the wheel', shows: 'wheel' },
      {
        task: 'What it is worth, and how much of it there is',
        to: '/stash',
        press: 'Figures',
        shows: 'In and out by month',
      },
    ],
  },
  {
    about: 'The room and its furniture',
    ways: [
      { task: 'Draw a wall and its furniture', to: '/room', press: 'Add a piece', shows: 'New piece' },
      { task: 'The floor plan, and what is wrong in it', to: '/room/plan', shows: 'things to look at' },
      { task: 'Arrange the furniture anew', to: '/room/plan', press: 'Arrange', shows: 'Lock what must not move' },
      { task: 'Move shelves, bins and hooks on the wall', to: '/room', press: 'Rebuild', shows: 'Drag a shelf' },
      { task: 'Whether everything goes in', to: '/room/balance', shows: 'to be filled' },
      { task: 'Set a room out from nothing', to: '/setout', shows: 'Setting out' },
      { task: 'Say how much there is by the heap', to: '/heaps', shows: 'heap' },
    ],
  },
  {
    about: 'Sorting, planning, carrying',
    ways: [
      { task: 'Say how things are sorted', to: '/sort', shows: 'sorted' },
      { task: 'Find a plan for everything', to: '/fit', shows: 'How it stands today' },
      { task: 'What would be if this came or went', to: '/fit', shows: 'What if' },
      { task: 'Carry what a plan says, a few at a time', to: '/moves', shows: 'Before you begin' },
      { task: 'Print labels', to: '/labels', shows: 'Save as PDF' },
    ],
  },
  {
    about: 'Making',
    ways: [
      { task: 'Plan a project and promise cloth to it', to: '/projects', shows: 'Begin it' },
      { task: 'What to buy', to: '/projects/shop', shows: 'shop' },
      { task: 'Sums: quilt back, binding, piping', to: '/projects/sums', shows: 'Binding' },
      { task: 'Squares and strips toward a quilt', to: '/projects/goals', shows: 'What it takes' },
    ],
  },
  {
    about: 'Through the year',
    ways: [
      { task: 'What is due: oil, lint, needles, washing, airing', to: '/year', shows: 'Save for a calendar' },
      { task: 'Go through what is not used', to: '/year/through', shows: 'to go through' },
      { task: 'What will be too full, and when', to: '/year/ahead', shows: 'Over full, how likely' },
      { task: 'What goes to the attic for a season', to: '/year', shows: 'Put away for the season' },
      { task: 'Rooms that are damp or hot; what fades', to: '/year', shows: 'Light and air' },
      { task: 'Move house in boxes', to: '/year/moving', shows: 'Plan the boxes' },
    ],
  },
  {
    about: 'The household',
    ways: [
      { task: 'Save everything to a file, and open it', to: '/household', shows: 'Save everything to a file' },
      { task: 'Metres or yards', to: '/household', shows: 'Units' },
      { task: 'Your height, children and pets', to: '/household', shows: 'Your height' },
      { task: 'The figures that minutes are made of', to: '/household', shows: 'What things cost' },
      { task: 'Evening light, or by day', to: '/household', shows: 'This screen' },
      { task: 'Work with the left hand', to: '/household', shows: 'At the left' },
      { task: 'A day before', to: '/household', shows: 'Days before' },
    ],
  },
];
