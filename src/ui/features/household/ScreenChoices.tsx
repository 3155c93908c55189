import { SelectField } from '../../components/fields.tsx';
import { HANDS, SPOKEN, THEMES, useChoices } from '../../state/choices.ts';
import { perLanguage, t, type Language } from '../../language/index.ts';

const THEME_WORDS = perLanguage((): Record<(typeof THEMES)[number], string> => ({
  device: t('As this device has it'),
  day: t('By day'),
  evening: t('In the evening'),
}));
const HAND_WORDS = perLanguage((): Record<(typeof HANDS)[number], string> => ({
  right: t('At the right'),
  left: t('At the left'),
}));

/** Each in its own words, so that one finds the way back. */
const LANGUAGE_WORDS: Record<Language, string> = { en: 'English', de: 'Deutsch' };

/** How this browser shows things; no other one is changed. */
export function ScreenChoices() {
  const { theme, hand, language } = useChoices();
  return (
    <section aria-label={t('This screen')}>
      <h2 className="font-display text-lg font-semibold">{t('This screen')}</h2>
      <div className="mt-2 grid items-start gap-x-10 gap-y-3 md:grid-cols-2">
        <SelectField
          label={t('Light')}
          value={theme}
          onChange={(event) => useChoices.setState({ theme: event.target.value as typeof theme })}
        >
          {THEMES.map((one) => (
            <option key={one} value={one}>
              {THEME_WORDS()[one]}
            </option>
          ))}
        </SelectField>
        <SelectField
          label={t('Language')}
          value={language}
          onChange={(event) => useChoices.setState({ language: event.target.value as typeof language })}
        >
          {SPOKEN.map((one) => (
            <option key={one} value={one}>
              {one === 'device' ? t('As this device has it') : LANGUAGE_WORDS[one]}
            </option>
          ))}
        </SelectField>
        <SelectField
          label={t('Ticket, and More on the phone')}
          value={hand}
          onChange={(event) => useChoices.setState({ hand: event.target.value as typeof hand })}
        >
          {HANDS.map((one) => (
            <option key={one} value={one}>
              {HAND_WORDS()[one]}
            </option>
          ))}
        </SelectField>
      </div>
      <p className="mt-1 text-sm text-stone">{t('Kept for this browser only.')}</p>
    </section>
  );
}
