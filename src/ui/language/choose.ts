import type { Locale } from 'date-fns';
import { setDefaultOptions } from 'date-fns/setDefaultOptions';
import { ENGLISH, setNaming, type Naming } from '../../core/naming/index.ts';
import { formatShort, setDecimalMark } from '../../core/units/index.ts';
import type { LineLanguage } from '../../core/spelling/index.ts';
import { setLanguage, type Language, type Values } from './index.ts';

/** What a language brings along; English is in the source. */
interface Catalogue {
  readonly messages: Readonly<Record<string, unknown>>;
  readonly locale: Locale;
  readonly lines: LineLanguage;
  readonly naming: Naming;
}

const CATALOGUES: Readonly<Record<Exclude<Language, 'en'>, () => Promise<Catalogue>>> = {
  de: async () => {
    const [{ default: messages }, { de }, { GERMAN, GERMAN_NAMES }] = await Promise.all([
      import('./de.po'),
      import('date-fns/locale/de'),
      import('../../core/german/index.ts'),
    ]);
    return { messages, locale: de, lines: GERMAN, naming: GERMAN_NAMES };
  },
};

/** Fractions as the language writes them; what is counted stays a number, for the message itself writes that. */
function writeValues(message: string, values: Values): Record<string, unknown> {
  const write = ([name, value]: [string, unknown]): [string, unknown] => {
    const isFraction = typeof value === 'number' && !Number.isInteger(value);
    return [name, isFraction && !message.includes(`{${name}, plural`) ? formatShort(value) : value];
  };
  return Object.fromEntries(Object.entries(values).map(write));
}

/** Speaks another language from now on: words, dates, numbers and units. What is drawn has to be drawn anew. */
export async function speak(language: Language): Promise<void> {
  if (language === 'en') {
    setLanguage('en');
    setNaming(ENGLISH);
    setDefaultOptions({ locale: undefined });
  } else {
    const [{ messages, locale, lines, naming }, { setupI18n }, { createTerms }] = await Promise.all([
      CATALOGUES[language](),
      import('@lingui/core'),
      import('./terms.ts'),
    ]);
    const i18n = setupI18n({ locale: language, messages: { [language]: messages as never } });
    setLanguage(
      language,
      (message, values) => i18n.t(message, values && writeValues(message, values)),
      createTerms(lines),
    );
    setDefaultOptions({ locale });
    setNaming(naming);
  }
  setDecimalMark(language === 'en' ? '.' : ',');
}
