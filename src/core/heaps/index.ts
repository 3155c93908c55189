export { computeHeap, describeHeap, type HeapEstimate } from './heap.ts';
export { countParts, divideHeap, gatherHeap } from './divide.ts';
export { takeOutOfHeap } from './open.ts';
