import type { ItemId } from './ids.ts';
import type { Item } from './item.ts';

/** The other items that an item points to, by path: the cloth that a scrap was cut from, the machine that a foot belongs to. */
export function listItemLinks(item: Item): { readonly path: string; readonly id: ItemId }[] {
  const { scrap, belongsToId } = item;
  return [
    ...(scrap?.parentItemId ? [{ path: 'scrap.parentItemId', id: scrap.parentItemId }] : []),
    ...(belongsToId ? [{ path: 'belongsToId', id: belongsToId }] : []),
  ];
}

/** An item that points to others in the place of those it pointed to, or to nothing; the same one where nothing changes. */
export function relinkItem(item: Item, toId: (id: ItemId) => ItemId | undefined): Item {
  if (listItemLinks(item).every(({ id }) => toId(id) === id)) return item;
  const { belongsToId, ...rest } = item;
  const owner = belongsToId && toId(belongsToId);
  const next: Item = { ...rest, ...(owner && owner !== item.id && { belongsToId: owner }) };
  if (next.scrap?.parentItemId) {
    const { parentItemId, ...scrap } = next.scrap;
    const parent = toId(parentItemId);
    next.scrap = { ...scrap, ...(parent && { parentItemId: parent }) };
  }
  return next;
}
