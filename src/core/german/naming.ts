import type { Naming } from '../naming/index.ts';

export const GERMAN_NAMES: Naming = {
  household: 'Mein Nähzimmer',
  room: 'Nähzimmer',
  walls: { north: 'Nordwand', east: 'Ostwand', south: 'Südwand', west: 'Westwand' },
  cutting: 'Zuschneiden',
  sewing: 'Nähen',
  pressing: 'Bügeln',
  shelf: 'Fach',
  drawer: 'Schublade',
  board: 'Lochplatte',
  pins: 'Stifte',
  rail: 'Stange',
  topShelf: 'Hutablage',
  top: 'Platte',
  below: 'Darunter',
  floor: 'Boden',
  row: 'Reihe',
  heapOnFloor: 'Haufen auf dem Boden',
  heapOfBoxes: 'Haufen Kisten',
  onTheMove: 'Unterwegs',
  box: (n) => `Kiste ${n}`,
  somethingOf: (name) => `Etwas aus ${name}`,
  labelSheet: (n, of) => `Etiketten, ${n} von ${of}`,
  cutOutSheet: (scale, n, of) =>
    `Möbel zum Ausschneiden, 1 : ${scale}, Blatt ${n} von ${of}; die zweite Linie ist ihre Vorderseite`,
};
