// Making a ladder from wishes: apart, because it is only loaded when it is used.
export { generateLadder, type LadderAnswer } from "../ladder/generateLadder";
export { idleWishes, WISH_STEPS } from "../ladder/idleWishes";
export {
  FIRST_WISH,
  LADDER_SHAPES,
  type LadderShape,
  type LadderWish,
  ladderShapeSchema,
} from "../ladder/ladderWish";
