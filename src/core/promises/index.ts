export {
  type Promised,
  findProjectOfBag,
  isUsedAgain,
  listPromised,
  nameOfPromise,
  releaseFromProject,
} from './promise.ts';
