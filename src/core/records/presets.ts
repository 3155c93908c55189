import { DEFAULT_ESTIMATES, type Estimates } from './settings.ts';

/** Ways to weigh what a plan is good for; each is only other figures for the same estimates. */
export const PRESETS = ['usual', 'nearest', 'seen', 'dustFree', 'settled'] as const;
export type Preset = (typeof PRESETS)[number];

const CHANGES: Record<Preset, Partial<Estimates>> = {
  usual: {},
  // Steps and stooping count double, looks do not.
  nearest: {
    walkSecondsPerM: 1.26,
    bendSeconds: 4.4,
    kneelSeconds: 10.6,
    stretchSeconds: 2,
    stoolSeconds: 30,
    hiddenSeconds: 0,
    rentSeconds: 0.3,
    kindSeconds: 8,
  },
  // Cloth is where one sees it, and kin are kept together.
  seen: { hiddenSeconds: 40, passOpaqueSeconds: 2.4, splitPlaceSeconds: 3, splitUnitSeconds: 8, kindSeconds: 40 },
  // Behind doors and lids, out of the light.
  dustFree: { dustSeconds: 25, fadeSeconds: 80, hiddenSeconds: 0 },
  // What is carried has to pay for itself within a month, and two minutes of it at that.
  settled: { carryMonths: 1, carrySeconds: 120, carryBinSeconds: 300 },
};

/** The estimates of a preset: the defaults, but for what it is about. */
export function getPreset(preset: Preset): Estimates {
  return { ...DEFAULT_ESTIMATES, ...CHANGES[preset] };
}

/** The preset that says just this, or null where single figures were changed. */
export function findPreset(estimates: Estimates): Preset | null {
  const keys = Object.keys(DEFAULT_ESTIMATES) as (keyof Estimates)[];
  return PRESETS.find((preset) => keys.every((key) => getPreset(preset)[key] === estimates[key])) ?? null;
}
