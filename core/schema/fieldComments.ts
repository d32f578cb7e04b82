import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import ts from "typescript";

/** The fields of one object schema as its source writes them. */
interface Written {
  /** The constant that holds it: `drillSchema`. */
  constant: string | undefined;
  keys: ReadonlySet<string>;
  /** What the comment above a field says, for each field that has one. */
  comments: ReadonlyMap<string, string>;
  /** Whether it also takes fields over from another schema. */
  takesOver: boolean;
}

/** Finds the comments of an object schema's fields by its keys and, where it has a name of its own, that name. */
export type FieldComments = (keys: readonly string[], name?: string) => (key: string) => string | undefined;

/** Of the fields of two schemas so many are the same where one was made from the other by leaving some out. Custom. */
const LEAST_SHARE = 0.85;

/**
 * Reads the comments above the fields of every Zod schema: they are what the published schemas say of a field.
 * @param folder where the sources are
 */
export function readFieldComments(folder: string): FieldComments {
  const written = sourceFiles(folder).flatMap((file) => writtenIn(readFileSync(file, "utf8")));
  return (keys, name) => {
    const asked = new Set(keys);
    const near = written.map((one) => {
      const shared = [...one.keys].filter((k) => asked.has(k)).length;
      // What takes over fields of another schema writes only some; what leaves some out still has most of them.
      const isPart = one.takesOver && shared === one.keys.size;
      return { ...one, isPart, share: shared / (isPart ? asked.size : asked.size + one.keys.size - shared) };
    });
    return (key) => {
      // What a schema writes itself has the last word, also where it says nothing.
      const own = near.find(
        (one) => one.constant && one.constant === name && one.share > 0 && one.keys.has(key),
      );
      if (own) return own.comments.get(key);
      const isWhole = near.some((one) => !one.isPart && one.share === 1 && one.keys.has(key));
      const [nearest] = near
        // A schema that is written as a whole is made of no parts.
        .filter((one) => one.comments.has(key) && (one.share >= LEAST_SHARE || (one.isPart && !isWhole)))
        .sort((x, y) => y.share - x.share);
      return nearest?.comments.get(key);
    };
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
      if (holdsSchemas(node))
        found.push({
          constant: constantOf(node),
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

/** Whether a field of it is a schema: other objects have the same names without being one. */
const holdsSchemas = (node: ts.ObjectLiteralExpression): boolean =>
  fieldsOf(node).some((field) => /\bz\s*\.|[sS]chema\b/.test(field.getText()));

/** Whether it is given to `extend`, or stands by itself to be spread into several schemas. */
function isExtension({ parent }: ts.ObjectLiteralExpression): boolean {
  if (!ts.isCallExpression(parent)) return true;
  return /\bextend$/.test(parent.expression.getText());
}

/** The name of the constant that something is written in. */
function constantOf(node: ts.Node): string | undefined {
  for (let at: ts.Node = node; at.parent; at = at.parent)
    if (ts.isVariableDeclaration(at)) return at.name.getText();
  return undefined;
}

function commentOf(field: Field): string | undefined {
  const [doc] = ts.getJSDocCommentsAndTags(field).filter(ts.isJSDoc);
  return ts.getTextOfJSDocComment(doc?.comment)?.replace(/\s+/g, " ").trim();
}
