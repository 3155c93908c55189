import type { ReactNode } from 'react';
import type { Household } from '../../core/records/index.ts';
import { PreviewContext } from '../state/app.ts';

/** What is in it shows a household that is only looked at; null: the real one. */
export function Preview({ of, children }: { of: Household | null; children: ReactNode }) {
  return <PreviewContext value={of}>{children}</PreviewContext>;
}
