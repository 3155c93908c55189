export { recount } from './recount.ts';
export { State } from './state.ts';
