import { pathText } from "@tonodrome/core";
import { type StarterShelf, starterShelfSchema } from "@tonodrome/core/starter";
import { findNodeAtLocation, type Node, type ParseError, parseTree, printParseErrorCode } from "jsonc-parser";

/** One thing wrong with a file. */
export interface StarterFault {
  /** Line of the file, the first being 1. */
  line: number;
  /** The field, from the outermost in: "drills.3.dose.reps"; empty for the file itself. */
  path: string;
  message: string;
}

/** A starter shelf, or everything that is wrong with its file. */
export type StarterRead = { shelf: StarterShelf } | { faults: StarterFault[] };

/**
 * Reads a starter shelf from the text of its file, strictly: JSON without comments, every field known, nothing missing.
 * @returns the shelf, or everything that is wrong and where
 */
export function readStarter(text: string): StarterRead {
  const deep = tooDeepAt(text);
  if (deep !== null) {
    const message = `This is nested more than ${DEEPEST} deep, which no shelf is.`;
    return { faults: [{ line: lineAt(text, deep), path: "", message }] };
  }
  const errors: ParseError[] = [];
  const root = parseTree(text, errors, { disallowComments: true });
  if (errors.length > 0 || !root) {
    const faults = errors.map(({ error, offset }) => ({
      line: lineAt(text, offset),
      path: "",
      message: `This is not JSON: ${words(printParseErrorCode(error))}.`,
    }));
    return {
      faults: faults.length > 0 ? faults : [{ line: 1, path: "", message: "There is nothing in the file." }],
    };
  }
  const read = starterShelfSchema.safeParse(JSON.parse(text));
  if (read.success) return { shelf: read.data };
  const faults = read.error.issues.map(({ path, message }) => ({
    line: lineAt(text, nearest(root, path as (string | number)[]).offset),
    path: pathText(path),
    message: message.endsWith("received undefined") ? "It is missing: give it." : message,
  }));
  return { faults: faults.toSorted((a, b) => a.line - b.line) };
}

/** Deeper than any shelf is; what reads it goes into itself for each. */
const DEEPEST = 30;

/** Where brackets are nested too deep, counted from the beginning; null where they are not. */
function tooDeepAt(text: string): number | null {
  let depth = 0;
  // A string, whatever is in it, or a bracket.
  for (const { 0: found, index } of text.matchAll(/"(?:[^"\\]|\\.)*"?|[[\]{}]/gs)) {
    if (found === "[" || found === "{") depth++;
    else if (found === "]" || found === "}") depth--;
    if (depth > DEEPEST) return index;
  }
  return null;
}

/** "CommaExpected" as words: "comma expected". */
const words = (code: string) => code.replace(/\B[A-Z]/g, (letter) => ` ${letter}`).toLowerCase();

/** The thing at a path, or the innermost on the way there that exists. */
function nearest(root: Node, path: readonly (string | number)[]): Node {
  for (let depth = path.length; depth > 0; depth--) {
    const node = findNodeAtLocation(root, path.slice(0, depth));
    if (node) return node;
  }
  return root;
}

function lineAt(text: string, offset: number): number {
  return text.slice(0, offset).split("\n").length;
}
