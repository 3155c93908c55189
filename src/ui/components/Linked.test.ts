import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { Linked } from './Linked.tsx';

const show = (says: string) =>
  renderToStaticMarkup(
    createElement(
      MemoryRouter,
      null,
      createElement(Linked, { says, to: { fit: '/fit', list: '/list' }, className: 'x' }),
    ),
  );

describe('a sentence with links', () => {
  it('has them where they stand in it, in any order', () => {
    expect(show('Let <fit>Fit</fit> find it, or <list>list</list> it.')).toBe(
      'Let <a class="x" href="/fit" data-discover="true">Fit</a> find it, or <a class="x" href="/list" data-discover="true">list</a> it.',
    );
    expect(show('<list>Liste</list> oder <fit>Planen</fit>')).toMatch(
      /^<a [^>]*\/list[^>]*>Liste<\/a> oder <a [^>]*\/fit/,
    );
  });

  it('shows what is no way out of it as it was typed', () => {
    expect(show('A <b>bold</b> name < 3')).toBe('A &lt;b&gt;bold&lt;/b&gt; name &lt; 3');
  });
});
