import { expect, it } from 'vitest';
import { createCloth, createSpool } from '../../../tests/household.ts';
import { rankThreadUse } from './index.ts';

const of = (use: string) => {
  const spool = createSpool('s');
  return { ...spool, thread: { ...spool.thread!, use } };
};
const poplin = createCloth('poplin');
const denim = { ...poplin, fabric: { ...poplin.fabric!, cloth: 'denim14', grammageGsm: 475 } };

it.each([
  ['general', 0, 0],
  ['topstitching', 1, 0],
  ['overlocking', 2, 2],
  ['embroidery', 2, 2],
])('%s thread suits poplin %i and denim %i', (use, light, heavy) => {
  expect([rankThreadUse(of(use), poplin), rankThreadUse(of(use), denim)]).toEqual([light, heavy]);
});
