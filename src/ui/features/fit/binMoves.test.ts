import { describe, expect, it } from 'vitest';
import { createHousehold } from '../../../../tests/household.ts';
import { bin, cubes, scraps, things } from '../../../../tests/rooms.ts';
import { computeGroups } from '../../../core/grouping/index.ts';
import type { Plan, PlaceId } from '../../../core/records/index.ts';
import { createPlaceTree, withBins } from '../../../core/storage/index.ts';
import { listBinsCarried } from './binMoves.ts';

describe('a bin that a plan carries', () => {
  it('is carried for what is to be in it, or for what comes where it stood', () => {
    const owned = [...scraps(2, 'fleece'), ...things(2, 'notion', 'yarn', [110, 110, 110], { isSoft: true })];
    const household = createHousehold(
      [...cubes('cube', 2, 0), bin('filled', 'cube-A1'), bin('freed', 'cube-B1')],
      owned.map((one) => one.item),
      owned.map((one) => one.lot),
    );
    const groups = computeGroups(household);
    const [fleece, yarn] = ['scrap', 'notion'].map((kind) => groups.filter((one) => one.kind === kind));
    const put = (all: typeof groups, placeId: string) =>
      all.flatMap(({ lots }) => lots.map(({ id }) => ({ lotId: id, placeId, form: 'loose', order: 0 })));
    const bins = [{ placeId: 'filled' as PlaceId, slotId: 'cube-B1' as PlaceId }, { placeId: 'freed' as PlaceId }];
    const plan = { assignments: [...put(fleece!, 'filled'), ...put(yarn!, 'cube-A1')], bins } as unknown as Plan;
    const planned = createPlaceTree(withBins(household.places, bins));
    const [one, other] = listBinsCarried(createPlaceTree(household.places), planned, groups, plan);
    expect(one).toMatchObject({ placeId: 'filled', slotId: 'cube-B1', holds: fleece!.map(({ id }) => id) });
    expect(one!.makesRoomFor).toEqual(yarn!.map(({ id }) => id));
    // Where the freed one stood, the filled one stands then, with all in it.
    expect(other).toMatchObject({ placeId: 'freed', holds: [], makesRoomFor: fleece!.map(({ id }) => id) });
    expect(other!.slotId).toBeUndefined();
  });
});
