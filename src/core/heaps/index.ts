export { computeHeap, describeHeap, isUnlikelyHeap, type HeapEstimate } from './heap.ts';
export { countParts, divideHeap, gatherHeap } from './divide.ts';
export { createHeapUp } from './heapUp.ts';
export { createLieOnFloor, listLoose } from './floor.ts';
export { takeOutOfHeap } from './open.ts';
export { HEAP_SORTS, type HeapSort } from './sorts.ts';
export { isUnmeasuredHeap, readHeap, type ReadHeap } from './words.ts';
export { createCorrectHeap, createDivideHeaps, createGatherHeaps, createHeap, createListOut } from './acts.ts';
