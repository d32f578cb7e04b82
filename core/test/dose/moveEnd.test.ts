import { moveEnd } from "../../src/dose/moveEnd";

it("moving one end pushes the others and stops at the limits", () => {
  const range = { floor: 30, ideal: 60, ceiling: 60 };
  const limits = { step: 15, least: 15, most: 90 };
  expect(moveEnd(range, "ideal", 1, limits)).toEqual({ floor: 30, ideal: 75, ceiling: 75 });
  expect(moveEnd(range, "ceiling", -3, limits)).toEqual({ floor: 15, ideal: 15, ceiling: 15 });
  expect(moveEnd(range, "floor", 9, limits)).toEqual({ floor: 90, ideal: 90, ceiling: 90 });
});

it("less of what is wanted is less at most too, and more of it brings that back", () => {
  const range = { floor: 30, ideal: 90, ceiling: 120 };
  const limits = { step: 15, least: 15, most: 600 };
  const less = moveEnd(range, "ideal", -1, limits);
  expect(less).toEqual({ floor: 30, ideal: 75, ceiling: 105 });
  expect(moveEnd(less, "ideal", 1, limits)).toEqual(range);
});

it("what lies beyond the limits already is not moved the other way", () => {
  const limits = { step: 1, least: 1, most: 40 };
  const many = { floor: 50, ideal: 60, ceiling: 70 };
  expect(moveEnd(many, "ideal", 1, limits)).toEqual(many);
  expect(moveEnd(many, "ideal", -1, limits)).toEqual({ floor: 50, ideal: 59, ceiling: 69 });
});
