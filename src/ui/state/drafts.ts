/** Forms that were typed into and not sent since. */
const typed = new Set<HTMLFormElement>();

/** Watches what is typed on the page. */
export function watchDrafts(page: Pick<Document, 'addEventListener'>): void {
  const formOf = ({ target }: Event) => (target as Element | null)?.closest?.('form') ?? null;
  page.addEventListener(
    'input',
    (event) => {
      const form = formOf(event);
      if (form) typed.add(form);
    },
    true,
  );
  for (const type of ['submit', 'reset'] as const)
    page.addEventListener(type, (event) => typed.delete(event.target as HTMLFormElement), true);
}

/** Whether something is typed that a reload would lose: in a form that is still there. */
export function hasDraft(): boolean {
  for (const form of typed) if (!form.isConnected) typed.delete(form);
  return typed.size > 0;
}
