import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { createTiles } from '../formats/sheet/tiles.ts';
import { ENGLISH, setNaming } from '../naming/index.ts';
import { createBareRoom, shapeRoom } from '../room/index.ts';
import type { PlaceId } from '../records/index.ts';
import { setDecimalMark } from '../units/index.ts';
import { isStationFor, type Task } from '../tasks/index.ts';
import { GERMAN_NAMES } from './naming.ts';

describe('what is written while German is spoken', () => {
  beforeEach(() => {
    setNaming(GERMAN_NAMES);
    setDecimalMark(',');
  });
  afterEach(() => {
    setNaming(ENGLISH);
    setDecimalMark('.');
  });

  it('has German walls, whatever the shape of the room', () => {
    let n = 0;
    const { room } = createBareRoom('r' as PlaceId, 'Zimmer', 0, [], () => `id${(n += 1)}`);
    const list = (shape: Parameters<typeof shapeRoom>[1]) =>
      shapeRoom(room!, shape, { widthMm: 4000, depthMm: 3000, heightMm: 2400 }).walls.map(({ name }) => name);
    expect(list('rectangle')).toEqual(['Hintere Wand', 'Rechte Wand', 'Türwand', 'Linke Wand']);
    expect(list('ell')).toContain('Innere rechte Wand');
    expect(list('corner')).toEqual(['Rückwand', 'Offene Seite', 'Offene Vorderseite', 'Seitenwand']);
    expect(list('closet')).toEqual(['Hinten', 'Rechte Seite', 'Offene Vorderseite', 'Linke Seite']);
  });

  it('counts one, and more than one, with its own comma', () => {
    const { boxes, hours, uses, lines } = GERMAN_NAMES.told;
    expect([boxes(1), boxes(2)]).toEqual(['1 Kiste', '2 Kisten']);
    expect([hours(1), hours(1.5)]).toEqual(['1 Stunde an der Maschine', '1,5 Stunden an der Maschine']);
    expect([uses(1), uses(3)]).toEqual(['wie oft 1 Ding gebraucht wird', 'wie oft 3 Dinge gebraucht werden']);
    expect([lines(1), lines(2)]).toEqual(['1 Zeile eines anderen Geräts', '2 Zeilen eines anderen Geräts']);
  });

  it('stands at the foot of each page of a drawing', () => {
    const feet = createTiles([], 250, 300, 'Kittel', 'metric').map(({ marks }) =>
      marks.flatMap((mark) => (mark.type === 'text' ? mark.text : [])),
    );
    expect(feet).toEqual([
      ['Kittel: Seite 1 von 4, Reihe 1, Spalte 1'],
      ['Kittel: Seite 2 von 4, Reihe 1, Spalte 2'],
      ['Kittel: Seite 3 von 4, Reihe 2, Spalte 1'],
      ['Kittel: Seite 4 von 4, Reihe 2, Spalte 2. Das Quadrat ist 50 mm breit.'],
    ]);
  });
});

it.each([ENGLISH, GERMAN_NAMES])(
  'the stations of a new household are known by their names, each for its own task',
  (naming) => {
    const tasks: readonly Task[] = ['cutting', 'sewing', 'pressing'];
    for (const task of tasks) expect(tasks.filter((one) => isStationFor(naming[task], one))).toEqual([task]);
  },
);

it('a table, a corner or an iron names its station in German too', () => {
  const told: readonly (readonly [string, Task])[] = [
    ['Zuschneidetisch', 'cutting'],
    ['Am Nähplatz', 'sewing'],
    ['Maschine beim Fenster', 'sewing'],
    ['Naehtisch', 'sewing'],
    // As some keyboards write it: the letter, and its dots after it.
    ['Na\u0308hen', 'sewing'],
    ['Bügelbrett', 'pressing'],
    ['Plättplatz', 'pressing'],
  ];
  for (const [name, task] of told) expect(isStationFor(name, task), name).toBe(true);
});
