import { useEffect, type ReactNode } from 'react';
import type { Household } from '../../core/records/index.ts';
import { PreviewContext, useApp } from '../state/app.ts';

/** What is in it shows a household that is only looked at, and while it does no key or form writes; null: the real one. */
export function Preview({ of, children }: { of: Household | null; children: ReactNode }) {
  const isOn = of !== null;
  useEffect(() => {
    if (!isOn) return undefined;
    useApp.setState(({ previews }) => ({ previews: previews + 1 }));
    return () => useApp.setState(({ previews }) => ({ previews: previews - 1 }));
  }, [isOn]);
  return <PreviewContext value={of}>{children}</PreviewContext>;
}
