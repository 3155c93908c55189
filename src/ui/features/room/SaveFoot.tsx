import { Button } from '../../components/Button.tsx';
import { t } from '../../language/index.ts';

interface SaveFootProps {
  /** Why it cannot be saved, in words. */
  readonly problem: string | null;
  /** What saving would disturb, once it was asked for. */
  readonly warned: string | null;
  readonly leave: string;
  readonly onLeave: () => void;
  /** Esc leaves too. */
  readonly isLeftByEscape?: boolean;
}

/** The foot of a form that changes the room: what is wrong, what it would disturb, save and leave. */
export function SaveFoot({ problem, warned, leave, onLeave, isLeftByEscape = false }: SaveFootProps) {
  const isWarned = warned !== null && problem === null;
  return (
    <>
      {problem && (
        <p role="alert" className="border-l-4 border-madder bg-linen p-3 text-sm font-semibold">
          {problem}
        </p>
      )}
      {isWarned && (
        <p role="alert" className="border-l-4 border-weld bg-linen p-3 text-sm">
          {t('{warned} Nothing is lost, and Undo brings all back.', { warned })}
        </p>
      )}
      <div className="grid grid-cols-2 gap-2 pt-1">
        <Button look="strong" type="submit" disabled={problem !== null}>
          {isWarned ? t('Save all the same') : t('Save')}
        </Button>
        <Button data-key={isLeftByEscape ? 'escape' : undefined} onClick={onLeave}>
          {leave}
        </Button>
      </div>
    </>
  );
}
