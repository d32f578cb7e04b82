/** Minutes and seconds, as a clock has them. */
const CLOCK = /^(\d{1,3}):([0-5]\d)$/;
/** A number, with whatever unit behind it. */
const NUMBER = /^[−-]?\d+(?:[.,]\d+)?/;

/**
 * The amount that somebody typed, in the unit that is shown: "1:30" is 90, "2,5 s" is 2.5, "40 %" is 40.
 * @returns null where it is no number
 */
export function typedAmount(text: string): number | null {
  const typed = text.trim();
  const clock = CLOCK.exec(typed);
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  const number = typed.includes(":") ? null : NUMBER.exec(typed);
  return number ? Number(number[0].replace("−", "-").replace(",", ".")) : null;
}
