import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import ts from "typescript";

/** The fields of one object schema as its source writes them. */
interface Written {
  keys: ReadonlySet<string>;
  /** What the comment above a field says, for each field that has one. */
  comments: ReadonlyMap<string, string>;
  /** Whether it also takes fields over from another schema. */
  takesOver: boolean;
}

/** Finds the comment of a field, of the object schema with these keys. */
export type FieldComments = (keys: readonly string[], key: string) => string | undefined;

/** Of the fields of two schemas so many are the same where one was made from the other. Custom. */
const LEAST_SHARE = 0.5;

/**
 * Reads the comments above the fields of every Zod schema: they are what the published schemas say of a field.
 * @param folder where the sources are
 */
export function readFieldComments(folder: string): FieldComments {
  const written = sourceFiles(folder).flatMap((file) => writtenIn(readFileSync(file, "utf8")));
  return (keys, key) => {
    const asked = new Set(keys);
    let best: { share: number; said: string | undefined } | undefined;
    for (const one of written) {
      if (!one.keys.has(key)) continue;
      const shared = [...one.keys].filter((k) => asked.has(k)).length;
      // What takes over fields of another schema writes only some; what leaves some out still has most of them.
      const isPart = one.takesOver && shared === one.keys.size;
      const share = shared / (isPart ? asked.size : asked.size + one.keys.size - shared);
      if ((isPart || share >= LEAST_SHARE) && share > (best?.share ?? 0))
        best = { share, said: one.comments.get(key) };
    }
    return best?.said;
  };
}

function sourceFiles(folder: string): string[] {
  return readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((file) => file.endsWith(".ts"))
    .sort()
    .map((file) => path.join(folder, file));
}

/** The objects of fields that a source file gives to Zod. */
function writtenIn(text: string): Written[] {
  if (!text.includes('from "zod"')) return [];
  const source = ts.createSourceFile("schema.ts", text, ts.ScriptTarget.Latest, true);
  const found: Written[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isObjectLiteralExpression(node)) {
      const comments = new Map<string, string>();
      for (const field of fieldsOf(node)) {
        const said = commentOf(field);
        if (said) comments.set(field.name.getText(), said);
      }
      if (fieldsOf(node).length > 0)
        found.push({
          keys: new Set(fieldsOf(node).map((field) => field.name.getText())),
          comments,
          takesOver: node.properties.some(ts.isSpreadAssignment) || isExtension(node),
        });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

type Field = ts.PropertyAssignment | ts.ShorthandPropertyAssignment;

const fieldsOf = (node: ts.ObjectLiteralExpression): Field[] =>
  node.properties.filter(
    (p): p is Field => ts.isPropertyAssignment(p) || ts.isShorthandPropertyAssignment(p),
  );

/** Whether it is given to `extend`, or stands by itself to be spread into several schemas. */
function isExtension({ parent }: ts.ObjectLiteralExpression): boolean {
  if (!ts.isCallExpression(parent)) return true;
  return /\bextend$/.test(parent.expression.getText());
}

function commentOf(field: Field): string | undefined {
  const [doc] = ts.getJSDocCommentsAndTags(field).filter(ts.isJSDoc);
  return ts.getTextOfJSDocComment(doc?.comment)?.replace(/\s+/g, " ").trim();
}
