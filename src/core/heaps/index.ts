export { computeHeap, describeHeap, type HeapEstimate } from './heap.ts';
export { countParts, divideHeap, gatherHeap } from './divide.ts';
export { takeOutOfHeap } from './open.ts';
export { readHeap, type ReadHeap } from './words.ts';
export { createCorrectHeap, createDivideHeaps, createGatherHeaps, createHeap, createListOut } from './acts.ts';
