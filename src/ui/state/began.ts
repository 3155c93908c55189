import { useState } from 'react';
import type { Household } from '../../core/records/index.ts';
import { useApp, useHousehold } from './app.ts';

/** The household that a form began from, which it says its changes against; and how it begins anew after it saved. */
export function useBegan(): readonly [Household, () => void] {
  const shown = useHousehold();
  const [began, setBegan] = useState(shown);
  return [began, () => setBegan(useApp.getState().household ?? began)];
}
