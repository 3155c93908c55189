import { createSaveSettings } from '../../core/acts/index.ts';
import type { Settings } from '../../core/records/index.ts';
import { act } from './hands.ts';

type ListName = 'goals' | 'seasons';
type ListOf<Name extends ListName> = NonNullable<Settings[Name]>;

/** Changes a list that is kept with the settings; an empty one is absent. */
export function saveList<Name extends ListName>(
  name: Name,
  change: (now: ListOf<Name>) => ListOf<Name>,
  note: string,
): Promise<boolean> {
  return act((now) => {
    const { [name]: before, ...rest } = now.settings;
    const next = change((before ?? []) as ListOf<Name>);
    const settings: object = { ...rest, ...(next.length > 0 && { [name]: next }) };
    return createSaveSettings(now, settings as Settings);
  }, note);
}
