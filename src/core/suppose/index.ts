export { withAct } from './act.ts';
export { type Cure, withCure } from './cured.ts';
export { previewPlan, toHomePlan } from './preview.ts';
export { type Put, type PutFault, putBin } from './putBin.ts';
export { type SlotFit, judgeDraft, nameHooks } from './rebuild.ts';
export { type Rest, judgeRest } from './rest.ts';
export { withMoreCloth, withoutPlace } from './without.ts';
