export { formatBoxLine, parseBoxLine } from './boxLines.ts';
export { planBoxes, USUAL_LIFT_G, type PackedBox, type PackPlan } from './plan.ts';
export {
  createBoxesGone,
  createBoxPacked,
  createPackUp,
  createUnpackBack,
  findBoxRoom,
  listMovingBoxes,
} from './acts.ts';
