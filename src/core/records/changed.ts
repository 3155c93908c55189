/**
 * The ids under which two states of a table differ: what came, went or is another record. Records are never changed in
 * place. The tables are walked side by side, for nearly all of what an act leaves is the same and in its order.
 */
export function listChanged<Id extends string>(
  before: ReadonlyMap<Id, unknown>,
  after: ReadonlyMap<Id, unknown>,
): Id[] {
  if (before === after) return [];
  const changed: Id[] = [];
  const [old, now] = [before.entries(), after.entries()];
  let [was, is] = [old.next(), now.next()];
  while (!was.done && !is.done && was.value[0] === is.value[0]) {
    if (was.value[1] !== is.value[1]) changed.push(is.value[0]);
    [was, is] = [old.next(), now.next()];
  }
  // From where something came or went in between, each is looked up in the other.
  for (; !was.done; was = old.next()) if (after.get(was.value[0]) !== was.value[1]) changed.push(was.value[0]);
  for (; !is.done; is = now.next()) if (!before.has(is.value[0])) changed.push(is.value[0]);
  return changed;
}
