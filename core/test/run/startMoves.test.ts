import { whoMoved } from "../../src/run/live/startMoves";

const moves = { theirs: 0, here: 0, heard: null, told: null, had: [0] };

it("says who moved the start last, where the two places differ", () => {
  expect(whoMoved(moves)).toBeNull();
  // Moved here: the server has what it always had.
  expect(whoMoved({ ...moves, here: 5, heard: 0, had: [0, 5] })).toBe("here");
  expect(whoMoved({ ...moves, here: 5, had: [0, 5] })).toBe("here");
  // Moved there: it is news, also where the run has had that time before.
  expect(whoMoved({ ...moves, theirs: 9, heard: 0 })).toBe("there");
  expect(whoMoved({ ...moves, theirs: 9, had: [0] })).toBe("there");
  expect(whoMoved({ ...moves, theirs: 0, here: 5, heard: 5, had: [0, 5] })).toBe("there");
});

it("takes what it told for no news when that comes back after it has moved on", () => {
  expect(whoMoved({ theirs: 1, here: 2, heard: 0, told: 1, had: [0, 1, 2] })).toBe("here");
});
