export { describePresent } from './present.ts';
export { recount } from './recount.ts';
export { State } from './state.ts';
