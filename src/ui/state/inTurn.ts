/** Acts are written one after the other, so that two quick keys cannot overtake each other. */
let queue: Promise<unknown> = Promise.resolve();
let waiting = 0;

/** While an act is being written, the window is not closed over it without a question. */
const stay = (event: BeforeUnloadEvent): void => event.preventDefault();

export function inTurn<T>(work: () => Promise<T>): Promise<T> {
  mark(1);
  const next = queue.then(work);
  queue = next.catch(() => undefined).then(() => mark(-1));
  return next;
}

/** Whether something is being written stands on the page itself: for who waits until it may be left. */
function mark(more: 1 | -1): void {
  const before = waiting;
  waiting += more;
  if (typeof document === 'undefined' || before > 0 === waiting > 0) return;
  document.documentElement.toggleAttribute('data-keeping', waiting > 0);
  if (waiting > 0) addEventListener('beforeunload', stay);
  else removeEventListener('beforeunload', stay);
}
