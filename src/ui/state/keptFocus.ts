/** What can be gone on from by a key; fields are left out, for on a phone they would bring up the keyboard. */
const TARGETS = 'button:not([disabled]), a[href], summary, [tabindex="0"]';
/** Dialogs and screens that are opened see to the focus themselves within this, ms. */
const OTHERS_MS = 60;

interface Step {
  readonly parent: Element;
  /** The how-manieth child of it the focus was in. */
  readonly index: number;
  /** The how-manieth of all in that child that can be gone on from had it. */
  readonly nth: number;
}

const isSeen = (element: HTMLElement) => element.checkVisibility() && !element.closest('[inert], [aria-hidden="true"]');

const listTargets = (child: Element) =>
  [child, ...child.querySelectorAll(TARGETS)].filter((one) => one.matches(TARGETS)) as HTMLElement[];

/** From the element up to the body. */
function traceWay(element: Element): Step[] {
  const way: Step[] = [];
  for (let at = element; at.parentElement && at !== document.body; at = at.parentElement)
    way.push({
      parent: at.parentElement,
      index: [...at.parentElement.children].indexOf(at),
      nth: listTargets(at).indexOf(element as HTMLElement),
    });
  return way;
}

/** The nearest to where the focus was: what stands in its place now, else what is before it, else what is round that. */
export function findNearby(way: readonly Step[]): HTMLElement | null {
  for (const { parent, index, nth } of way) {
    if (!parent.isConnected) continue;
    const children = [...parent.children];
    const inOrder = [...children.slice(index), ...children.slice(0, index).toReversed()];
    for (const child of inOrder) {
      const inside = listTargets(child).filter(isSeen);
      const found = inside[nth] ?? inside[0];
      if (found) return found;
    }
    if (parent.matches('main')) return parent as HTMLElement;
  }
  return document.querySelector('main');
}

/**
 * Where an act takes away what it was done by, a line that goes home or a form that is done with, the focus goes to what is
 * nearest: who works by keys goes on from there. Called once.
 */
export function keepFocus(): void {
  let last: Element | null = null;
  let way: readonly Step[] = [];
  document.addEventListener('focusin', ({ target }) => {
    last = target as Element;
    way = traceWay(last);
  });
  const isLost = () => last !== null && !last.isConnected && document.activeElement === document.body;
  new MutationObserver(() => {
    if (!isLost()) return;
    setTimeout(() => {
      if (isLost()) findNearby(way)?.focus({ preventScroll: true });
    }, OTHERS_MS);
  }).observe(document.body, { childList: true, subtree: true });
}
