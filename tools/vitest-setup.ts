import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { InPlaceWorker, prepareSelf } from '../tests/inPlaceWorker.ts';

prepareSelf();
globalThis.Worker = InPlaceWorker as never;

// The same cases on every run; FC_SEED=… looks at others, and tells again what one of them found.
fc.configureGlobal({ seed: Number(process.env['FC_SEED'] ?? 20_261_124) });
