import { formatDistanceToNowStrict } from 'date-fns';
import { useApp, world } from '../../state/app.ts';
import { computeUnsaved } from '../../state/unsaved.ts';
import { useChoices } from '../../state/choices.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { t } from '../../language/index.ts';

const WEEK_MS = 7 * 86_400_000;

/** Quietly says when much was written since the last file, and keeps quiet for a week when told to. */
export function SaveReminder() {
  const events = useApp((state) => state.events);
  const generation = useApp((state) => state.generation);
  const saved = useChoices((state) => state.saved);
  const nowMs = world.nowMs();
  const unsaved = computeUnsaved({ generation, events }, saved, nowMs);
  return (
    <p
      className="flex flex-wrap items-center gap-x-4 text-stone"
      {...explained(t('Lines of the daybook that were written since the last file was saved.'))}
    >
      {t('{lines, plural, one {# line of the daybook is} other {# lines of the daybook are}} in no file yet', {
        lines: unsaved.lines,
      })}
      {unsaved.savedAtMs !== null &&
        t('; the last was saved {time} ago', {
          time: formatDistanceToNowStrict(unsaved.savedAtMs),
        })}
      .
      <Button
        look="quiet"
        onClick={() => void import('../../state/backup.ts').then(({ saveEverything }) => saveEverything())}
      >
        {t('Save to a file')}
      </Button>
      <Button look="quiet" onClick={() => useChoices.setState({ quietUntilMs: nowMs + WEEK_MS })}>
        {t('Not this week')}
      </Button>
    </p>
  );
}
