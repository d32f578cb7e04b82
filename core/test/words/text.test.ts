import fc from "fast-check";
import { cutText } from "../../src/words/cutText";
import { linesSchema, nameSchema, noteSchema, verbatimSchema } from "../../src/words/text";

const takes = (schema: { safeParse(v: unknown): { success: boolean } }, text: string) =>
  schema.safeParse(text).success;

describe("a name", () => {
  it.each([
    "Łucja Żak",
    "王小明",
    "محمد",
    "נועה",
    "O'Brien-Ünal",
    "नमस्ते",
    "می‌خواهم",
    "👩‍👩‍👧‍👦",
    "🏴󠁧󠁢󠁥󠁮󠁧󠁿 team",
    "❤️",
  ])("in any script is taken: %s", (name) => expect(takes(nameSchema, name)).toBe(true));

  it.each([
    ["the null character", "a\u0000b"],
    ["half a surrogate pair", "a\ud800"],
    ["a direction override", "\u202eevil"],
    ["a direction isolate", "a\u2066b"],
    ["a direction mark", "a\u200fb"],
    ["a zero-width space", "a\u200bb"],
    ["a soft hyphen", "a\u00adb"],
    ["a line separator", "a\u2028b"],
    ["a byte-order mark in the middle", "a\ufeffb"],
    ["a Hangul filler", "a\u3164b"],
  ])("with %s is refused, and so is a note", (_, text) => {
    expect(takes(nameSchema, text)).toBe(false);
    expect(takes(noteSchema, text)).toBe(false);
  });

  it.each([" ", "\u200d", "\u2800", "\u0301", "\u200d\u200c"])("with nothing to see is none", (name) => {
    expect(takes(nameSchema, name)).toBe(false);
    expect(takes(noteSchema, name)).toBe(true);
  });
});

it("lines may be several, and are plain otherwise", () => {
  expect(takes(linesSchema(100), "One\nTwo\tthree")).toBe(true);
  expect(takes(linesSchema(100), "One\u0007")).toBe(false);
  expect(takes(linesSchema(100), "One\u202e")).toBe(false);
});

it("what is only compared may be anything that can be stored", () => {
  expect(takes(verbatimSchema(10), "a\u200bb")).toBe(true);
  expect(takes(verbatimSchema(10), "a\u0000")).toBe(false);
  expect(takes(verbatimSchema(10), "x".repeat(11))).toBe(false);
});

it("a cut text is short enough, a beginning of what it was, and never cut through a character that people see", () => {
  const part = fc.constantFrom("a", "é", "e\u0301", "🤸🏽‍♀️", "👩‍👩‍👧‍👦", "王", " ");
  fc.assert(
    fc.property(fc.array(part, { maxLength: 12 }), fc.integer({ min: 0, max: 30 }), (parts, most) => {
      const text = parts.join("");
      const cut = cutText(text, most);
      expect(cut.length).toBeLessThanOrEqual(most);
      expect(text.startsWith(cut)).toBe(true);
      const seen = parts.map((_, i) => parts.slice(0, i).join("").trimEnd());
      if (cut !== text) expect(seen).toContain(cut);
    }),
  );
});
