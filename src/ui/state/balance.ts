import { computeBalance, listMoreRoom } from '../../core/balance/index.ts';
import { derive, getTree } from './derived.ts';

/** What is owned against what the room holds, and what would make room. */
export const getBalance = derive((household) => {
  const tree = getTree(household);
  const balance = computeBalance(household, tree);
  return { balance, ways: listMoreRoom(household, tree, balance) };
});
