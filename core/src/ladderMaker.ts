// Making a ladder from wishes: apart, because it is only loaded when it is used.
export { generateLadder, type LadderAnswer } from "./ladder/generateLadder";
export { idleWishes } from "./ladder/idleWishes";
export { LADDER_SHAPES, type LadderShape, type LadderWish, ladderShapeSchema } from "./ladder/ladderWish";
