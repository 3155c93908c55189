import { describe, expect, it } from 'vitest';
import { createUnit } from '../../tests/household.ts';
import { getFetchSeconds, type Household, type Item, type Place, type PlaceId } from '../core/records/index.ts';
import { getWallLine, listWalls } from '../core/storage/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { createFacts } from './model/index.ts';
import { withBins } from '../core/storage/index.ts';
import { describePresent, recount } from './score/index.ts';
import { createRun } from './solve.ts';

const { household } = createSampleHousehold(6, 80);

function solve(of: Household, steps = 12_000) {
  const run = createRun(of, 3);
  run.advance(steps);
  return run.getSolution();
}
function scoreToday(of: Household) {
  const facts = createFacts(of);
  return recount(facts, describePresent(facts));
}

describe('what must not matter does not', () => {
  it('names of places and things, except for the order inside a group', () => {
    const places = new Map(
      [...household.places].map(([id, place]): [PlaceId, Place] => [
        id,
        place.level === 'slot' ? place : { ...place, name: `Other ${place.name}` },
      ]),
    );
    expect(solve({ ...household, places })).toEqual(solve(household));
  });

  it('notes and colours of what is not sorted by colour', () => {
    const items = new Map(
      [...household.items].map(([id, item]): [Item['id'], Item] => [id, { ...item, notes: 'something to remember' }]),
    );
    expect(solve({ ...household, items }).score).toEqual(solve(household).score);
  });

  it('the side on which the room is mirrored', () => {
    // Walls run the other way and units stand at the mirrored x: every way is as long as before.
    const mirror = (place: Place): Place => {
      const lineOf = (roomId: PlaceId | undefined, wallId: string) =>
        getWallLine(household.places.get(roomId!)!.room!, wallId);
      if (place.room) {
        const { room } = place;
        const flip = ({ xMm, yMm }: { xMm: number; yMm: number }) => ({ xMm: -xMm, yMm });
        return {
          ...place,
          room: {
            ...room,
            doors: room.doors.map((door) => ({
              ...door,
              xMm: getWallLine(room, door.wallId).lengthMm - door.xMm - door.widthMm,
            })),
            stations: room.stations.map((station) => ({ ...station, at: flip(station.at) })),
            walls: listWalls(room)
              .toReversed()
              .map(({ id, name, to }) => ({ id, name, from: flip(to) })),
          },
        };
      }
      if (place.unit) {
        const { lengthMm } = lineOf(place.parentId, place.unit.wallId);
        return { ...place, unit: { ...place.unit, xMm: lengthMm - place.unit.xMm - place.unit.widthMm } };
      }
      if (place.slot) {
        const unit = household.places.get(place.parentId!)!.unit!;
        return { ...place, slot: { ...place.slot, xMm: unit.widthMm - place.slot.xMm - place.slot.widthMm } };
      }
      return place;
    };
    const places = new Map([...household.places].map(([id, place]) => [id, mirror(place)]));
    const [was, is] = [scoreToday(household), scoreToday({ ...household, places })];
    for (const part of ['fetching', 'searching', 'splitting', 'crowding', 'wear'] as const)
      expect(is.parts[part]).toBeCloseTo(was.parts[part], 6);
  });
});

describe('what must matter does', () => {
  const scaled = (factor: number): Household => ({
    ...household,
    settings: {
      ...household.settings,
      estimates: {
        ...household.settings.estimates,
        ...Object.fromEntries(
          Object.entries(household.settings.estimates)
            .filter(([name]) => name !== 'carryMonths')
            .map(([name, seconds]) => [name, seconds * factor]),
        ),
      },
    },
  });

  it('seconds scale with the estimates', () => {
    const was = scoreToday(household);
    expect(scoreToday(scaled(2)).seconds).toBeCloseTo(2 * was.seconds, 5);
  });

  it('more uses cost more, and only where they are', () => {
    const [id, item] = [...household.items].find(([, one]) => one.kind === 'tool')!;
    const busy = new Map(household.items).set(id, { ...item, usesPerMonth: item.usesPerMonth + 10 });
    const [was, is] = [scoreToday(household), scoreToday({ ...household, items: busy })];
    expect(getFetchSeconds(is)).toBeGreaterThan(getFetchSeconds(was));
    expect(is.parts.wear).toBe(was.parts.wear);
    expect(is.parts.crowding).toBe(was.parts.crowding);
  });

  it('an empty place more never leaves more without a home', () => {
    const room = [...household.places.values()].find((place) => place.level === 'room')!;
    const [unit, ...slots] = createUnit('extra', { wallId: 'north', xMm: 1700, columns: 1, rows: 2, heightMm: 700 });
    const places = new Map(household.places);
    places.set(unit!.id, { ...unit!, parentId: room.id, order: 99 });
    for (const slot of slots) places.set(slot.id, slot);
    expect(solve({ ...household, places }).unplaced.length).toBeLessThanOrEqual(solve(household).unplaced.length);
  });

  it('a plan carried out is what today is scored as', () => {
    const solution = solve(household);
    const homes = new Map(solution.assignments.map((one) => [one.lotId, one]));
    const lots = new Map(
      [...household.lots].map(([id, lot]) => {
        const to = homes.get(id);
        return [
          id,
          to
            ? { ...lot, state: 'in' as const, placeId: to.placeId, form: to.form }
            : { ...lot, placeId: undefined, homeId: undefined },
        ];
      }),
    );
    const today = scoreToday({ ...household, lots, places: withBins(household.places, solution.bins) });
    expect(today.parts.moving).toBe(0);
    expect(getFetchSeconds(today)).toBeCloseTo(getFetchSeconds(solution.score), 5);
    expect(today.unplacedWeight).toBeCloseTo(solution.score.unplacedWeight, 9);
  });
});
