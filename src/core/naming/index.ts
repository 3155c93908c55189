/**
 * What the core writes for people to read: names that stand until somebody gives another, what the daybook tells, and
 * what stands on sheets of paper. It is written in the language that is spoken then.
 */
export interface Naming {
  readonly household: string;
  readonly room: string;
  readonly walls: Readonly<Record<'north' | 'east' | 'south' | 'west', string>>;
  readonly sides: Readonly<
    Record<
      | 'far'
      | 'right'
      | 'door'
      | 'left'
      | 'innerRight'
      | 'innerFar'
      | 'back'
      | 'side'
      | 'openSide'
      | 'openFront'
      | 'closetBack'
      | 'closetRight'
      | 'closetLeft',
      string
    >
  >;
  readonly cutting: string;
  readonly sewing: string;
  readonly pressing: string;
  readonly shelf: string;
  readonly drawer: string;
  readonly board: string;
  readonly pins: string;
  readonly rail: string;
  readonly topShelf: string;
  readonly top: string;
  readonly below: string;
  readonly floor: string;
  readonly row: string;
  readonly heapOnFloor: string;
  readonly heapOfBoxes: string;
  readonly onTheMove: string;
  readonly box: (n: number) => string;
  readonly somethingOf: (name: string) => string;
  readonly labelSheet: (n: number, of: number) => string;
  readonly cutOutSheet: (scale: number, n: number, of: number) => string;
  /** How an inch of a drawing counts: `1 in to 20 in`. */
  readonly inchScale: (size: string) => string;
  readonly page: (name: string, n: number, of: number, row: number, column: number) => string;
  readonly proof: string;
  readonly told: Told;
}

/** What a line of the daybook is about, where that is no name: what was done to it is told before. */
export interface Told {
  readonly plan: string;
  readonly boxes: (n: number) => string;
  readonly movingBoxes: string;
  readonly wayBack: string;
  readonly heapsApart: string;
  readonly heapsTogether: string;
  readonly uses: (things: number) => string;
  readonly growth: string;
  readonly hours: (n: number) => string;
  readonly toGo: (name: string, toWhom: string | undefined) => string;
  readonly lent: (name: string, toWhom: string) => string;
  readonly alsoCalled: (name: string) => string;
  readonly cutUp: string;
  readonly stuffing: string;
  readonly lines: (n: number) => string;
  readonly readable: string;
}

export const ENGLISH: Naming = {
  household: 'My sewing room',
  room: 'Sewing room',
  walls: { north: 'North wall', east: 'East wall', south: 'South wall', west: 'West wall' },
  sides: {
    far: 'Far wall',
    right: 'Right wall',
    door: 'Door wall',
    left: 'Left wall',
    innerRight: 'Inner right wall',
    innerFar: 'Inner far wall',
    back: 'Back wall',
    side: 'Side wall',
    openSide: 'Open side',
    openFront: 'Open front',
    closetBack: 'Back',
    closetRight: 'Right side',
    closetLeft: 'Left side',
  },
  cutting: 'Cutting',
  sewing: 'Sewing',
  pressing: 'Pressing',
  shelf: 'Shelf',
  drawer: 'Drawer',
  board: 'Board',
  pins: 'Pins',
  rail: 'Rail',
  topShelf: 'Top shelf',
  top: 'Top',
  below: 'Below',
  floor: 'Floor',
  row: 'Row',
  heapOnFloor: 'Heap on the floor',
  heapOfBoxes: 'Heap of boxes',
  onTheMove: 'On the move',
  box: (n) => `Box ${n}`,
  somethingOf: (name) => `Something of ${name}`,
  labelSheet: (n, of) => `Labels, ${n} of ${of}`,
  cutOutSheet: (scale, n, of) =>
    `Furniture to cut out, 1 : ${scale}, sheet ${n} of ${of}; the second line is its front`,
  inchScale: (size) => `1 in to ${size}`,
  page: (name, n, of, row, column) => `${name}: page ${n} of ${of}, row ${row}, column ${column}`,
  proof: 'The square is 50 mm (1.97 in) wide.',
  told: {
    plan: 'a plan',
    boxes: (n) => (n === 1 ? '1 box' : `${n} boxes`),
    movingBoxes: 'The moving boxes',
    wayBack: 'Back to where it was',
    heapsApart: 'in parts',
    heapsTogether: 'together',
    uses: (things) => `how often ${things === 1 ? '1 thing is' : `${things} things are`} used`,
    growth: 'how groups grow',
    hours: (n) => (n === 1 ? '1 hour at the machine' : `${n} hours at the machine`),
    toGo: (name, toWhom) => (toWhom ? `${name} is to go to ${toWhom}` : `${name} is to go`),
    lent: (name, toWhom) => `${name} to ${toWhom}`,
    alsoCalled: (name) => `Also: ${name}.`,
    cutUp: 'squares and strips',
    stuffing: 'stuffing',
    lines: (n) => `${n} lines of another device`,
    readable: 'what could be read',
  },
};

let spoken: Naming = ENGLISH;

/** What is made from now on is called as in this language. */
export function setNaming(naming: Naming): void {
  spoken = naming;
}

export const getNaming = (): Naming => spoken;
