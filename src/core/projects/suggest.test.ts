import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createSpool } from '../../../tests/household.ts';
import type { FabricSpec, Item, Lot, Need, Project, ProjectId } from '../records/index.ts';
import { createProjectFacts, suggestCloths } from './index.ts';

const cloth = (id: string, fabric: Partial<FabricSpec>, colour = '#2f5d86'): Item => {
  const base = createCloth(id, { colours: [colour], care: [] });
  return {
    ...base,
    fabric: { ...base.fabric!, fibre: 'cotton', cloth: 'poplin', widthMm: 1400, grammageGsm: 130, ...fabric },
  };
};
const length = (item: Item, lengthMm: number, more: Partial<Lot> = {}): Lot =>
  createLot(item, null, { lengthMm, isWashed: true, ...more });
const main: Need = { id: 'main', kind: 'fabric', part: 'main', amount: 2000 };
const project = (name: string, needs: readonly Need[] = [main]): Project => ({
  id: 'p' as ProjectId,
  name,
  state: 'planned',
  makes: [],
  notes: '',
  needs: [...needs],
  steps: [],
  sinceMs: 0,
});
/** What is said of each cloth, the best first. */
function tell(of: Project, need: Need, items: readonly Item[], lots: readonly Lot[]) {
  const bare = createHousehold([], items, lots);
  const household = { ...bare, projects: new Map([[of.id, of]]) };
  return suggestCloths(createProjectFacts(household), of, need).map(({ item, restMm, against }) => [
    item.id,
    restMm,
    against.map(({ code }) => code),
  ]);
}
const thread = createSpool('thread', { colours: ['#2f5d86'] });

describe('which cloths would do', () => {
  it('is told by amount, weight, drape and stretch, each with what speaks against it', () => {
    const shirting = cloth('shirting', {});
    const canvas = cloth('canvas', { cloth: 'canvas', grammageGsm: 400 });
    const jersey = cloth('jersey', { cloth: 'jersey', fibre: 'knit', grammageGsm: 180 });
    const stump = cloth('stump', {});
    const narrow = cloth('narrow', { cloth: 'waxed', fibre: 'coated', grammageGsm: 160 });
    const items = [canvas, jersey, narrow, shirting, stump, thread];
    const lots = [
      length(canvas, 3000),
      length(jersey, 3000),
      length(narrow, 3000),
      length(shirting, 2500),
      length(stump, 900),
      createLot(thread),
    ];
    const found = tell(project('Shirt'), main, items, lots);
    expect(found[0]).toEqual(['shirting', 500, []]);
    expect(Object.fromEntries(found.map(([id, , against]) => [id, against]))).toEqual({
      shirting: [],
      narrow: ['too-stiff'],
      stump: ['short'],
      jersey: ['stretches'],
      canvas: ['too-heavy', 'too-stiff'],
    });
    // A bag wants what a shirt does not.
    expect(tell(project('Bag'), main, items, lots)[0]![0]).toBe('canvas');
  });

  it('says where no thread at home goes with it, and what others hold', () => {
    const red = cloth('red', {}, '#a02020');
    const held = cloth('held', {});
    const reserved = [{ id: 'r', forWhat: 'a cap', note: '', amount: 800 }];
    const lots = [length(red, 2500), length(held, 2500, { reserved }), createLot(thread)];
    expect(tell(project('Shirt'), main, [red, held, thread], lots)).toEqual([
      ['red', 500, ['no-thread']],
      ['held', 0, ['promised']],
    ]);
  });

  it('matches a lining to the colour of its main cloth', () => {
    const outer = cloth('outer', { grammageGsm: 250 }, '#203040');
    const near = cloth('near', { cloth: 'satin', fibre: 'polyester', grammageGsm: 90 }, '#28384a');
    const far = cloth('far', { cloth: 'satin', fibre: 'polyester', grammageGsm: 90 }, '#e8d020');
    const lining: Need = { id: 'lining', kind: 'fabric', part: 'lining', amount: 1500 };
    const coat = project('Coat', [{ ...main, itemId: outer.id }, lining]);
    const lots = [length(outer, 1000), length(far, 2000), length(near, 2000)];
    const found = tell(coat, lining, [outer, far, near], lots).filter(([id]) => id !== 'outer');
    expect(found).toEqual([
      ['near', 500, []],
      ['far', 500, ['off-colour']],
    ]);
  });
});
