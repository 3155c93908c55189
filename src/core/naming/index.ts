/** What is called so until somebody gives it another name, and what stands on sheets of paper. */
export interface Naming {
  readonly household: string;
  readonly room: string;
  readonly walls: Readonly<Record<'north' | 'east' | 'south' | 'west', string>>;
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
}

export const ENGLISH: Naming = {
  household: 'My sewing room',
  room: 'Sewing room',
  walls: { north: 'North wall', east: 'East wall', south: 'South wall', west: 'West wall' },
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
};

let spoken: Naming = ENGLISH;

/** What is made from now on is called as in this language. */
export function setNaming(naming: Naming): void {
  spoken = naming;
}

export const getNaming = (): Naming => spoken;
