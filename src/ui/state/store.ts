import type { BesideStore } from '../../storage/beside.ts';
import { HouseholdStore } from '../../storage/index.ts';

export const store = new HouseholdStore();

/** The photos kept in this browser; they are named by their content and never change. */
export const photoStore: Pick<HouseholdStore, 'savePhotos' | 'loadPhoto' | 'loadPhotos'> = {
  savePhotos: (photos) => store.savePhotos(photos),
  loadPhoto: (id) => store.loadPhoto(id),
  loadPhotos: (ids) => store.loadPhotos(ids),
};

/** What is kept beside the household: days before, the file that was picked. */
export async function openBeside(): Promise<BesideStore> {
  const { BesideStore: Beside } = await import('../../storage/beside.ts');
  return new Beside(store);
}
