/**
 * The ids under which two states of a table differ: what came, went or is another record. Records are never changed in
 * place. Each is looked up, though nearly all of what an act leaves is the same and in its order: walking both side by
 * side makes so much garbage in a large stash that clearing it away is felt.
 */
export function listChanged<Id extends string>(
  before: ReadonlyMap<Id, unknown>,
  after: ReadonlyMap<Id, unknown>,
): Id[] {
  if (before === after) return [];
  const changed: Id[] = [];
  let kept = 0;
  for (const [id, was] of before) {
    const is = after.get(id);
    if (is !== was) changed.push(id);
    if (is !== undefined) kept += 1;
  }
  if (kept < after.size) for (const id of after.keys()) if (!before.has(id)) changed.push(id);
  return changed;
}
