export { type Promised, findProjectOfBag, listPromised, nameOfPromise, releaseFromProject } from './promise.ts';
