import { useChoices, type Choices } from './choices.ts';

const evening = window.matchMedia('(prefers-color-scheme: dark)');

/** Shows the page by day or in the evening, for the right hand or the left, as was chosen or as the device has it, and turns it with them. */
export function startTheme(): void {
  const turn = ({ theme, hand }: Pick<Choices, 'theme' | 'hand'>) => {
    const isEvening = theme === 'evening' || (theme === 'device' && evening.matches);
    const { dataset } = document.documentElement;
    dataset['theme'] = isEvening ? 'evening' : 'day';
    dataset['hand'] = hand;
    document.querySelector('meta[name="theme-color"]')?.setAttribute('content', isEvening ? '#182026' : '#e9edec');
  };
  turn(useChoices.getState());
  useChoices.subscribe(turn);
  evening.addEventListener('change', () => turn(useChoices.getState()));
}
