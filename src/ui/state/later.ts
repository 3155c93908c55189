/** What the first screen does without: taking back, laying an edit upon what is now, and the words for what was refused. */
export { getUndoable, planUndo, rebaseChanges } from '../../core/daybook/index.ts';
export { wordActFault, wordStoreFault } from '../text/faults.ts';
export { wordConflicts, wordGateFaults } from '../text/gateFaults.ts';
