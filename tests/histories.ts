import { createRandom, type Random } from '../src/core/random/index.ts';

function drawPoisson(rate: number, random: Random): number {
  const limit = Math.exp(-rate);
  let [n, product] = [0, random()];
  while (product > limit) {
    n += 1;
    product *= random();
  }
  return n;
}

const drawNormal = (random: Random) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/**
 * Two years of a group, month by month, in litres: what came less what went. How often something comes, how large it is and how fast
 * it is used differ from one to the next; some buy more in autumn.
 */
export function liveHistory(seed: number): number[] {
  const random = createRandom(seed);
  const perMonth = 0.4 + 2.6 * random() ** 2;
  const litres = 0.6 + 3 * random();
  const used = perMonth * (0.3 + 0.9 * random());
  const season = random() < 0.4 ? 0.6 : 0;
  return Array.from({ length: 24 }, (_, month) => {
    const swing = 1 + season * Math.cos((2 * Math.PI * (month - 9)) / 12);
    const size = () => litres * Math.exp(0.5 * drawNormal(random));
    const sum = (count: number) => Array.from({ length: count }, size).reduce((all, one) => all + one, 0);
    return sum(drawPoisson(perMonth * swing, random)) - sum(drawPoisson(used, random));
  });
}
