import { createTwinFinderInSlices, type TwinFinder } from '../../core/catalog/index.ts';
import type { Household } from '../../core/records/index.ts';
import { deriveSlowly } from './slowly.ts';

/** Made once for a state of the things, when it is first asked whether one is there twice. */
export const twinFinder = deriveSlowly<TwinFinder, Household['items']>(createTwinFinderInSlices);
