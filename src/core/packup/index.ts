export { formatBoxLine, parseBoxLine } from './boxLines.ts';
export { planBoxes, USUAL_LIFT_G, type PackedBox, type PackPlan } from './plan.ts';
export { createBoxRoom, HEAP_NAME, MOVING_ROOM, type BoxClass } from './room.ts';
