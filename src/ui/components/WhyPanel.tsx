import { explained } from './explained.ts';
import { Unanswered } from './Unanswered.tsx';
import { t } from '../language/index.ts';

/** What speaks for where something is: each line in words, with how it was found out. Null while it is worked out; nothing to say shows nothing. */
export function WhyPanel({
  title,
  said,
  again,
}: {
  title: string;
  said: readonly { readonly words: string; readonly how: string }[] | null;
  again: (() => void) | null;
}) {
  if (said?.length === 0) return null;
  return (
    <section aria-label={title} className="mt-3 min-h-24 border-l-4 border-woad bg-linen p-3">
      <h3 className="font-bold">{title}</h3>
      {said?.map(({ words, how }) => (
        <p key={words} className="mt-1" {...explained(how)}>
          {words}
        </p>
      )) ?? (again ? <Unanswered again={again} /> : <p className="mt-1 text-stone">{t('Working it out…')}</p>)}
    </section>
  );
}
