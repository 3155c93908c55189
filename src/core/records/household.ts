import type { DaybookEvent } from './event.ts';
import type { ItemId, LotId, PlaceId, PlanId, ProjectId } from './ids.ts';
import type { Item } from './item.ts';
import type { Lot } from './lot.ts';
import type { Photo } from './photo.ts';
import type { Place } from './place.ts';
import type { Plan } from './plan.ts';
import type { Project } from './project.ts';
import type { Settings } from './settings.ts';

/** Everything that is recorded, as it stands: the fold of the daybook. Never changed in place. */
export interface Household {
  readonly settings: Settings;
  readonly items: ReadonlyMap<ItemId, Item>;
  readonly lots: ReadonlyMap<LotId, Lot>;
  readonly places: ReadonlyMap<PlaceId, Place>;
  readonly plans: ReadonlyMap<PlanId, Plan>;
  readonly projects: ReadonlyMap<ProjectId, Project>;
}

/** A household with the daybook it grew from. */
export interface Chronicle {
  readonly household: Household;
  readonly events: readonly DaybookEvent[];
  /** The photos that its things name, when it comes from a file or goes into one. */
  readonly photos?: readonly Photo[];
}
