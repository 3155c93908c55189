import { computeBalance, listMoreRoom } from '../../core/balance/index.ts';
import { derive, getTree } from './derived.ts';

/** What is owned against what the room holds. */
export const getBalance = derive((household) => computeBalance(household, getTree(household)));

/** What would make room; it is counted anew for each. */
export const getMoreRoom = derive((household) => listMoreRoom(household, getTree(household), getBalance(household)));
