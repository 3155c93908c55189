export { wordActFault, wordAmountFault, wordStoreFault } from './faults.ts';
export { wordEvent } from './events.ts';
export {
  wordCare,
  wordCloth,
  wordForm,
  wordHolder,
  wordKind,
  wordKindPlural,
  wordLight,
  wordOpening,
  wordPatternFormat,
  wordPrint,
  wordReach,
  wordScrapCut,
  wordUnitKind,
} from './names.ts';
export { capitalise } from './grammar.ts';
export { wordCure, wordCured, wordHomeOffer, wordLotReason, wordUnplaced } from './plans.ts';
export { wordStanding } from './where.ts';
export { formatAmount, formatMeasured, wordAmount, wordDoubt } from './things.ts';
export { wordMeasureWay, wordThing } from './what.ts';
export { wordClass, wordGroup } from './groups.ts';
export { wordLikeness, wordMatch, wordMeaning, wordShift } from './catalog.ts';
export { formatUses, wordPackage } from './measures.ts';
