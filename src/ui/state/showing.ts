import type { Household } from '../../core/records/index.ts';

let shown: Household | null = null;
let isThere = false;
let waiting: (() => void)[] = [];

function goOn(): void {
  for (const one of waiting.splice(0)) one();
}

/** Told by the screen when a household has been drawn; null when there is no screen any more. */
export function tellShown(household: Household | null): void {
  shown = household;
  isThere = household !== null;
  goOn();
}

/** Until the present household is on the screen; at once where nothing is drawn. */
export async function untilShown(getPresent: () => Household | null): Promise<void> {
  while (isThere && shown !== getPresent()) await new Promise<void>((resolve) => waiting.push(resolve));
}
