import { typedAmount } from "~/ui/fields/typedAmount";

it.each([
  ["12", 12],
  [" 1:30 ", 90],
  ["2,5 s", 2.5],
  ["40 %", 40],
  ["−5", -5],
  ["plenty", null],
  ["1:75", null],
  ["", null],
])("%j is %s", (text, amount) => {
  expect(typedAmount(text)).toBe(amount);
});
