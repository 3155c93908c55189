import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { useApp } from '../state/app.ts';
import { undo } from '../state/hands.ts';
import { useChoices } from '../state/choices.ts';
import { putBack } from '../state/putBack.ts';
import { takeOut } from '../state/takeOut.ts';
import type { Help } from './explained.ts';
import { findBox, held, hold } from './find.ts';
import { SCREENS } from './Selvage.tsx';

function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof Element)) return false;
  // A corner that is moved by keys is no place for shortcuts either: a figure typed there would lead to another screen.
  if (target.closest('[data-typing]')) return true;
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** Presses the screen's own button for a key; false where the screen has none. */
function pressButton(key: string): boolean {
  const button = document.querySelector<HTMLButtonElement>(`button[data-key="${key}"]`);
  button?.click();
  return button !== null;
}

/** The common acts, one key each; none while one is typing or a dialog is open. */
export function useKeys(): { help: Help | null; setHelp: (help: Help | null) => void } {
  const [help, setHelp] = useState<Help | null>(null);
  const navigate = useNavigate();

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || document.querySelector('[role=dialog]')) return;
      if (isTyping(event.target)) {
        // Out of the field first; pressed again, it closes the ticket.
        if (event.key === 'Escape' && !event.defaultPrevented) (event.target as HTMLElement).blur();
        return;
      }
      // Words that are typed while their field still comes are no shortcuts.
      if (held.text !== null && event.key !== 'Escape') {
        if (event.key.length === 1) held.text += event.key;
        event.preventDefault();
        return;
      }
      const { ticket, household, show, setCutting } = useApp.getState();
      // What is only looked at has no ticket: nothing of it is taken, cut or edited.
      const lotId = ticket?.type === 'lot' ? ticket.id : null;
      const screen = SCREENS()[Number(event.key) - 1];
      if (screen) void navigate(screen.to);
      else
        switch (event.key.toLowerCase()) {
          case 'f': {
            const box = findBox();
            // In a narrow window it stands on its own screen only.
            if (box?.checkVisibility()) {
              box.focus();
              // What was asked before is typed over.
              box.select();
            } else {
              hold();
              void navigate('/find');
            }
            break;
          }
          case 'q': {
            const line = document.querySelector<HTMLInputElement>('#quick-line');
            if (line) line.focus();
            else {
              hold();
              void navigate('/stash');
            }
            break;
          }
          case 't':
            if (!lotId) return;
            void takeOut(lotId);
            break;
          case 'b':
            if (!lotId) return;
            void putBack(lotId);
            break;
          case 'c':
            if (!lotId || household?.lots.get(lotId)?.lengthMm === undefined) return;
            setCutting(true);
            break;
          case 'e': {
            const itemId = lotId && household?.lots.get(lotId)?.itemId;
            if (itemId) show({ type: 'editItem', id: itemId, lotId });
            else if (!pressButton('e')) return;
            break;
          }
          case 'n':
            if (!pressButton('n')) {
              void navigate('/stash');
              show({ type: 'newItem', kind: useChoices.getState().stashKind });
            }
            break;
          case 'j':
            void navigate('/daybook');
            break;
          case 'u':
            void undo();
            break;
          case '?':
            setHelp('keys');
            break;
          case 'h':
            setHelp('numbers');
            break;
          case 'escape':
            held.text = null;
            if (!pressButton('escape')) show(null);
            break;
          default:
            if (!pressButton(event.key.toLowerCase())) return;
        }
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate]);

  // By itself: the field takes the focus in the moment in which those above are set anew, for the screen that comes.
  useEffect(() => {
    const onFocus = ({ target }: FocusEvent) => {
      const { text } = held;
      if (text === null || !isTyping(target)) return;
      held.text = null;
      // As if it were typed now; the field is drawn by then.
      queueMicrotask(() => document.execCommand('insertText', false, text));
    };
    window.addEventListener('focusin', onFocus);
    return () => window.removeEventListener('focusin', onFocus);
  }, []);

  return { help, setHelp };
}
