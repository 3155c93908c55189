import { useState } from 'react';
import { Link } from 'react-router';
import { linkClass } from '../../components/Button.tsx';
import { Page } from '../../components/Page.tsx';
import { WAYS, type Way } from '../../text/ways.ts';
import { t } from '../../language/index.ts';

/** Where everything is done: found by words, a press away. */
export function WaysPage() {
  const [text, setText] = useState('');
  const words = text.trim().toLowerCase().split(/\s+/u).filter(Boolean);
  const isMeant = (about: string, { task, shows }: Way) => {
    const all = `${about} ${task} ${shows}`.toLowerCase();
    return words.every((word) => all.includes(word));
  };
  const found = WAYS()
    .map(({ about, ways }) => ({ about, ways: ways.filter((way) => isMeant(about, way)) }))
    .filter(({ ways }) => ways.length > 0);
  return (
    <Page title={t('Where do I…')}>
      <div className="min-h-0 flex-1 px-4 py-4 md:overflow-y-auto md:px-8">
        <input
          type="search"
          autoFocus
          maxLength={100}
          aria-label={t('What would you do?')}
          placeholder={t('such as needle, label, attic')}
          className="h-11 w-full max-w-sm rounded border border-thread bg-paper px-3"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <Link className={`${linkClass} ml-4 inline-block py-2`} to="/guide">
          {t('How it is done, with pictures')}
        </Link>
        {found.length === 0 && (
          <p className="mt-4">
            {t('Nothing here is called that. The find box above looks for things; this list looks for what one does.')}
          </p>
        )}
        <div className="mt-4 gap-10 md:columns-2 xl:columns-3">
          {found.map(({ about, ways }) => (
            <section key={about} aria-label={about} className="mb-5 break-inside-avoid">
              <h2 className="font-display text-lg font-semibold">{about}</h2>
              <ul>
                {ways.map((way) => (
                  <li key={way.task} className="dotted-row py-1 max-md:py-2.5">
                    <Link className={linkClass} to={way.to} title={t('There: {shows}', { shows: way.shows })}>
                      {way.task}
                    </Link>
                    {way.press !== undefined && (
                      <span className="text-sm text-stone">{t(', then “{press}”', { press: way.press })}</span>
                    )}
                  </li>
                ))}
              </ul>
            </section>
          ))}
        </div>
      </div>
    </Page>
  );
}
