import { describe, expect, it } from 'vitest';
import { hasDraft, watchDrafts } from './drafts.ts';

describe('what is typed and not yet sent', () => {
  const heard = new Map<string, (event: Event) => void>();
  watchDrafts({
    addEventListener: (type: string, listener: unknown) => heard.set(type, listener as (event: Event) => void),
  });
  const createForm = () => {
    const form = { isConnected: true } as { isConnected: boolean };
    const field = { closest: () => form };
    return { form, field };
  };
  const tell = (type: string, target: unknown) => heard.get(type)!({ target } as unknown as Event);

  it('is told until its form is sent, or gone', () => {
    expect(hasDraft()).toBe(false);
    const one = createForm();
    tell('input', one.field);
    expect(hasDraft()).toBe(true);
    tell('submit', one.form);
    expect(hasDraft()).toBe(false);
    tell('input', one.field);
    one.form.isConnected = false;
    expect(hasDraft()).toBe(false);
  });

  it('is nothing where a field stands in no form', () => {
    tell('input', { closest: () => null });
    tell('input', null);
    expect(hasDraft()).toBe(false);
  });
});
