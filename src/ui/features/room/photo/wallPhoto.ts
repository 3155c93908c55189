import { create } from 'zustand';
import { createSavePlaces } from '../../../../core/acts/index.ts';
import type { Household, Place, PlanPoint, WallPhoto } from '../../../../core/records/index.ts';
import { world } from '../../../state/app.ts';
import { edit } from '../../../state/hands.ts';

/** Two points are being set on the photo; and whether photos show behind the walls at all. */
export const useWallPhoto = create<{
  readonly isSetting: boolean;
  readonly points: readonly PlanPoint[];
  readonly isHidden: boolean;
}>()(() => ({ isSetting: false, points: [], isHidden: false }));

export const stopSetting = (): void => useWallPhoto.setState({ isSetting: false, points: [] });

export function findWallPhoto(room: Place, wallId: string): WallPhoto | null {
  return room.room?.photos?.find((one) => one.wallId === wallId) ?? null;
}

/** Puts a photo behind a wall, or another way, or takes it away. */
export function saveWallPhoto(
  household: Household,
  room: Place,
  wallId: string,
  photo: WallPhoto | null,
  done: string,
): Promise<boolean> {
  const others = (room.room!.photos ?? []).filter((one) => one.wallId !== wallId);
  const photos = photo ? [...others, photo] : others;
  return edit(
    household,
    (from) => createSavePlaces(from, room.name, [{ ...room, room: { ...room.room!, photos } }], [], world.nowMs()),
    done,
  );
}
