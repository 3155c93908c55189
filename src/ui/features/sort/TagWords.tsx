import { useState } from 'react';
import type { Kind } from '../../../core/records/index.ts';
import { useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { wordKindPlural } from '../../text/index.ts';
import { createSort } from '../../../core/acts/index.ts';
import { getLanguage, t } from '../../language/index.ts';
import { midSentence } from '../../text/grammar.ts';

const MOST_TAGS = 20;
const MOST_SIGNS = 40;

/** The tags that a kind is sorted by, in their order: a thing belongs to the first that it has. */
export function TagWords({ kind, tags }: { kind: Kind; tags: readonly string[] }) {
  const household = useHousehold();
  const [text, setText] = useState<string | null>(null);
  const used = [
    ...new Set([...household.items.values()].flatMap((item) => (item.kind === kind ? (item.tags ?? []) : []))),
  ].toSorted((a, b) => a.localeCompare(b, getLanguage()));
  const save = () => {
    if (text === null) return;
    setText(null);
    const words = text.split(',').map((word) => word.trim().slice(0, MOST_SIGNS));
    const next = [...new Set(words)].filter((word) => word !== '').slice(0, MOST_TAGS);
    if (next.join() !== tags.join()) void act((now) => createSort(now, kind, { tags: next }));
  };
  return (
    <label className="flex max-w-full items-center gap-2 text-stone">
      {t('tags')}
      <input
        aria-label={t('Tags that {kindPlural} are sorted by', { kindPlural: midSentence(wordKindPlural(kind)) })}
        className="h-11 w-64 rounded border border-thread bg-paper px-2 text-ink md:h-8"
        placeholder={
          used.length > 0
            ? t('such as {used}', { used: used.slice(0, 3).join(', ') })
            : t('no thing of this kind has a tag yet')
        }
        maxLength={MOST_TAGS * (MOST_SIGNS + 2)}
        value={text ?? tags.join(', ')}
        onChange={(event) => setText(event.target.value)}
        onBlur={save}
        onKeyDown={(event) => {
          if (event.key === 'Enter') save();
          if (event.key === 'Escape') setText(null);
        }}
      />
    </label>
  );
}
