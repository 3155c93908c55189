import { getCloth } from '../core/measure/index.ts';
import { pick, type Random } from '../core/random/index.ts';
import { createLooseLot, type Item, type ItemId, type Lot, type LotId, type StowForm } from '../core/records/index.ts';
import { STATIONS } from './stations.ts';
import {
  CLOTH_PLANS,
  DYES,
  ENVELOPES,
  GARMENTS,
  KITS,
  NOTIONS,
  OTHERS,
  PATTERN_WORDS,
  PRINTED,
  SCRAPS,
  THREADS,
  TOOLS,
  type BoxRow,
} from './words.ts';

/** An item with the lots it begins with, none placed yet. */
export interface MadeThing {
  readonly item: Item;
  readonly lots: readonly Lot[];
}

function round(value: number, step: number): number {
  return Number((Math.round(value / step) * step).toFixed(4));
}

/** Uses a month: a few things daily, most seldom, some forgotten. */
function drawUses(random: Random, typical: number): number {
  const draw = random();
  if (draw < 0.12) return 0;
  return round(typical * (0.2 + 3 * draw ** 4), 0.05);
}

/** Makes things one after the other; the nth is the same for the same seed. */
export class ThingMaker {
  private itemCount = 0;
  private lotCount = 0;
  private readonly names = new Set<string>();

  constructor(
    private readonly random: Random,
    private readonly nowMs: number,
  ) {}

  private createItem(rest: Omit<Item, 'id' | 'notes'>): Item {
    this.itemCount += 1;
    let name = rest.name.charAt(0).toUpperCase() + rest.name.slice(1);
    for (let n = 2; this.names.has(name); n += 1)
      name = `${rest.name.charAt(0).toUpperCase()}${rest.name.slice(1)} ${n}`;
    this.names.add(name);
    return { id: `i${this.itemCount}` as ItemId, notes: '', ...rest, name };
  }

  private createLot(item: Item, count: number, lengthMm: number | undefined, form: StowForm): Lot {
    this.lotCount += 1;
    // Touched some time in the last three years.
    const sinceMs = this.nowMs - Math.floor(this.random() ** 2 * 1000) * 86_400_000;
    return { ...createLooseLot(`l${this.lotCount}` as LotId, item, count, lengthMm, sinceMs), form, homeForm: form };
  }

  createFabric(): MadeThing {
    const { random } = this;
    let draw = random();
    const plan = CLOTH_PLANS.find((one) => (draw -= one.share) < 0) ?? CLOTH_PLANS[1]!;
    const [clothId, words] = pick(random, plan.cloths);
    const isUndyed = plan.fibre === 'batting';
    const [dye, hex] = isUndyed ? (['chalk', '#ebe6d9'] as const) : pick(random, DYES);
    const isSolid = isUndyed || random() < 0.5;
    const [print, printWord] = isSolid ? (['solid', ''] as const) : pick(random, PRINTED);
    const cloth = getCloth(clothId);
    const item = this.createItem({
      kind: 'fabric',
      name: `${dye} ${printWord && `${printWord} `}${pick(random, words)}`,
      colours: [hex],
      usesPerMonth: drawUses(random, 0.8),
      stationId: STATIONS.cutting,
      care: [...plan.care],
      forms: [...plan.forms],
      fabric: {
        fibre: plan.fibre,
        cloth: clothId,
        widthMm: pick(random, plan.widthsMm),
        grammageGsm: round(cloth.grammageGsm * (0.92 + 0.16 * random()), 5),
        layerMm: round(cloth.layerMm * (0.92 + 0.16 * random()), 0.01),
        stacking: cloth.stacking,
        print,
      },
    });
    const [least, most] = plan.lengths;
    const lengthMm = round((least + (most - least) * random() ** 1.3) * 1000, 50);
    const form = plan.forms[0] === 'board' && lengthMm < 600 ? 'stack' : plan.forms[0]!;
    const lots = [this.createLot(item, 1, lengthMm, form)];
    if (random() < 0.55) lots.push(this.createLot(item, 1, round(350 + 500 * random(), 50), plan.forms.at(-1)!));
    return { item, lots };
  }

  createPattern(): MadeThing {
    const { random } = this;
    const [widthMm, heightMm] = pick(random, ENVELOPES);
    const garment = pick(random, GARMENTS);
    const item = this.createItem({
      kind: 'pattern',
      name: `${pick(random, PATTERN_WORDS)} ${garment}`,
      colours: [pick(random, DYES)[1]],
      usesPerMonth: drawUses(random, 0.3),
      stationId: STATIONS.cutting,
      care: [],
      forms: ['envelope'],
      pattern: {
        number: 100 + this.itemCount,
        garment,
        widthMm,
        heightMm,
        thicknessMm: round(3 + 7 * random(), 1),
        isMade: random() < 0.5,
      },
    });
    return { item, lots: [this.createLot(item, 1, undefined, 'envelope')] };
  }

  createThread(): MadeThing {
    const { random } = this;
    let draw = random();
    const plan = THREADS.find((one) => (draw -= one.share) < 0) ?? THREADS[0]!;
    const [dye, hex] = pick(random, DYES);
    const item = this.createItem({
      kind: 'thread',
      name: `${dye} ${plan.use} thread`,
      colours: [hex],
      usesPerMonth: drawUses(random, 1.2),
      stationId: STATIONS.sewing,
      care: ['thread'],
      forms: plan.forms,
      thread: {
        fibre: plan.fibre,
        use: plan.use,
        tex: Math.round(plan.tex[0] + (plan.tex[1] - plan.tex[0]) * random()),
        diameterMm: plan.size[0],
        heightMm: plan.size[1],
        massG: plan.grams,
      },
    });
    const lots = [this.createLot(item, 1 + Math.floor(random() * 2.4), undefined, plan.forms[0]!)];
    if (random() < 0.3) lots.push(this.createLot(item, 1, undefined, 'box'));
    return { item, lots };
  }

  /** Odd bits in a bag, or strips and squares in a pile. */
  createScrap(nth: number): MadeThing {
    const [name, fibre, clothId, cut, cutMm, amount] = SCRAPS[nth % SCRAPS.length]!;
    const cloth = getCloth(clothId);
    const item = this.createItem({
      kind: 'scrap',
      name,
      colours: [pick(this.random, DYES)[1]],
      usesPerMonth: drawUses(this.random, 0.6),
      stationId: STATIONS.cutting,
      care: [],
      forms: cut === 'odd' ? ['loose'] : ['stack', 'loose'],
      fabric: {
        fibre,
        cloth: clothId,
        widthMm: cloth.widthMm,
        grammageGsm: cloth.grammageGsm,
        layerMm: cloth.layerMm,
        stacking: cloth.stacking,
        print: 'solid',
      },
      scrap: { cut, cutMm: cut === 'odd' ? undefined : cutMm },
    });
    const lot = this.createLot(item, cut === 'odd' ? 1 : amount, undefined, item.forms[0]!);
    return { item, lots: [cut === 'odd' ? { ...lot, areaMm2: amount * 1e6 } : lot] };
  }

  createKit(nth: number): MadeThing {
    const name = KITS[nth % KITS.length]!;
    const item = this.createItem({
      kind: 'kit',
      name,
      colours: [pick(this.random, DYES)[1]],
      usesPerMonth: drawUses(this.random, 0.8),
      stationId: STATIONS.sewing,
      care: [],
      forms: ['loose', 'box'],
      box: { type: 'kit', widthMm: 320, depthMm: 240, heightMm: 90, massG: 1100, isSoft: true, hangHoleMm: undefined },
    });
    return { item, lots: [this.createLot(item, 1, undefined, 'loose')] };
  }

  private createBox(kind: 'notion' | 'tool' | 'other', row: BoxRow): MadeThing {
    const [name, type, widthMm, depthMm, heightMm, massG, extra = {}] = row;
    const {
      hole,
      soft = false,
      care = [],
      uses = drawUses(this.random, 1),
      count = 1,
      station = 'sewing',
      watts,
    } = extra;
    const forms: StowForm[] = soft ? ['loose', 'box'] : hole ? ['peg', 'box'] : ['box'];
    const item = this.createItem({
      kind,
      name,
      colours: [pick(this.random, DYES)[1]],
      usesPerMonth: uses,
      stationId: STATIONS[station],
      care,
      forms,
      box: { type, widthMm, depthMm, heightMm, massG, isSoft: soft, hangHoleMm: hole, ...(watts && { watts }) },
    });
    const lots = [this.createLot(item, count, undefined, forms[0]!)];
    if (this.random() < 0.22 && massG < 500) lots.push(this.createLot(item, 1, undefined, 'box'));
    return { item, lots };
  }

  createNotion(nth: number): MadeThing {
    return this.createBox('notion', NOTIONS[nth % NOTIONS.length]!);
  }

  createOther(nth: number): MadeThing {
    return this.createBox('other', OTHERS[nth % OTHERS.length]!);
  }

  createTool(nth: number): MadeThing {
    return this.createBox('tool', TOOLS[nth % TOOLS.length]!);
  }
}
