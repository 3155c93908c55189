import { getNaming } from '../naming/index.ts';
import type { PlaceId, Place, Station } from '../records/index.ts';

/** A room four metres by three with a door, to be measured and named by whoever has it. */
export function createBareRoom(
  id: PlaceId,
  name: string,
  order: number,
  stations: Station[],
  createId: () => string,
): Place {
  const { walls } = getNaming();
  const corner = (wallId: string, wallName: string, xMm: number, yMm: number) => ({
    id: wallId,
    name: wallName,
    from: { xMm, yMm },
  });
  return {
    id,
    parentId: undefined,
    level: 'room',
    name,
    order,
    room: {
      walls: [
        corner('north', walls.north, 0, 0),
        corner('east', walls.east, 4000, 0),
        corner('south', walls.south, 4000, 3000),
        corner('west', walls.west, 0, 3000),
      ],
      heightMm: 2400,
      slopes: [],
      doors: [
        {
          id: createId(),
          wallId: 'west',
          xMm: 1100,
          widthMm: 800,
          heightMm: 2000,
          hinge: 'left',
          swing: 'in',
          wayMm: 0,
        },
      ],
      windows: [],
      sockets: [],
      fixtures: [],
      circuits: [],
      stations,
      arrangements: [],
      upDeg: 0,
    },
  };
}
