export {
  wordActFault,
  wordAmountFault,
  wordBundleFault,
  wordContainerFault,
  wordDisturbance,
  wordRecordFault,
  wordStoreFault,
  wordUnitFault,
} from './faults.ts';
export { wordEvent } from './events.ts';
export {
  wordCare,
  wordCloth,
  wordForm,
  wordGroup,
  wordKind,
  wordKindPlural,
  wordLight,
  wordOpening,
  wordPrint,
  wordReach,
  wordSchool,
  wordUnitKind,
} from './names.ts';
export { capitalise, wordCount } from './grammar.ts';
export { wordHomeOffer, wordPlaceReason, wordUnplaced } from './plans.ts';
export { wordStanding } from './where.ts';
export { wordAmount, wordDoubt, wordMeasures, wordMeasureWay, wordReading, wordThing } from './things.ts';
export { wordNeeds } from './needs.ts';
