import { SelectField } from '../../components/fields.tsx';
import { HANDS, THEMES, useChoices } from '../../state/choices.ts';

const THEME_WORDS: Record<(typeof THEMES)[number], string> = {
  device: 'As this device has it',
  day: 'By day',
  evening: 'In the evening',
};
const HAND_WORDS: Record<(typeof HANDS)[number], string> = {
  right: 'At the right',
  left: 'At the left',
};

/** How this browser shows things; no other one is changed. */
export function ScreenChoices() {
  const { theme, hand } = useChoices();
  return (
    <section aria-label="This screen">
      <h2 className="font-display text-lg font-semibold">This screen</h2>
      <div className="mt-2 grid items-start gap-x-10 gap-y-3 md:grid-cols-2">
        <SelectField
          label="Light"
          value={theme}
          onChange={(event) => useChoices.setState({ theme: event.target.value as typeof theme })}
        >
          {THEMES.map((one) => (
            <option key={one} value={one}>
              {THEME_WORDS[one]}
            </option>
          ))}
        </SelectField>
        <SelectField
          label="Ticket, and More on the phone"
          value={hand}
          onChange={(event) => useChoices.setState({ hand: event.target.value as typeof hand })}
        >
          {HANDS.map((one) => (
            <option key={one} value={one}>
              {HAND_WORDS[one]}
            </option>
          ))}
        </SelectField>
      </div>
      <p className="mt-1 text-sm text-stone">Kept for this browser only.</p>
    </section>
  );
}
