/** What is done at a station. */
export type Task = 'cutting' | 'sewing' | 'pressing';

/**
 * Words of a station's name by which it is one for a task. In every language at once: a household keeps the names that
 * it was given, whatever is spoken later.
 */
const TASK_WORDS: Readonly<Record<Task, RegExp>> = {
  cutting: /cut|schneid/iu,
  sewing: /sew|machine|n(?:ä|ae)h|maschine/iu,
  pressing: /press|iron|b(?:ü|ue)gel|pl(?:ä|ae)tt/iu,
};

/** Whether a station is one for a task, as its name tells. */
export const isStationFor = (name: string, task: Task): boolean => TASK_WORDS[task].test(name.normalize('NFC'));
