export {
  type Promised,
  findProjectOfBag,
  getFreeFor,
  isUsedAgain,
  listPromised,
  nameOfPromise,
  releaseFromProject,
} from './promise.ts';
