/** Target level from which an event is hard, and up to which it is easy, per cent. Custom. */
export const HARD_TARGET = 80;
export const EASY_TARGET = 50;
