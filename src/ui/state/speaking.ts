import { create } from 'zustand';
import { LANGUAGES, type Language } from '../language/index.ts';
import { useChoices, type Choices } from './choices.ts';

/** The language that the screens are drawn in. */
export const useLanguage = create<{ readonly language: Language }>()(() => ({ language: 'en' }));

/** The first language of the device that there is, else English. */
export function findLanguage(wanted: readonly string[]): Language {
  return wanted.map((one) => LANGUAGES.find((known) => known === one.split('-')[0])).find(Boolean) ?? 'en';
}

/** Speaks as was chosen, or as the device does, and turns with the choice; done when the first words are there. */
export async function startSpeaking(): Promise<void> {
  const turn = async ({ language: chosen }: Pick<Choices, 'language'>) => {
    const language = chosen === 'device' ? findLanguage(navigator.languages) : chosen;
    if (language === useLanguage.getState().language) return;
    const { speak } = await import('../language/choose.ts');
    await speak(language);
    document.documentElement.lang = language;
    useLanguage.setState({ language });
  };
  useChoices.subscribe((choices, before) => {
    if (choices.language !== before.language) void turn(choices);
  });
  // A catalogue that cannot be had leaves the screens in English.
  await turn(useChoices.getState()).catch(() => undefined);
}
