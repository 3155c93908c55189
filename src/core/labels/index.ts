export { assignCodes, createLabelled, createLabelWords, toPlaceLabelled, type Labelled } from './acts.ts';
export { createCode, findByCode, formatCode, parseCode, type CodeFault, type Meant } from './code.ts';
export {
  chooseSwatches,
  computePlaceContents,
  computePlaceContentsInSlices,
  listLotSayings,
  listPlaceSayings,
  type LabelPart,
  type PlaceContent,
} from './content.ts';
export { judgeLotLabel, judgePlaceLabel, judgeWords, type Drift } from './drift.ts';
export { listInHand, readScan, STAMMER_MS, type LastScan, type Scanned } from './scan.ts';
export { CameraView } from './view.ts';
