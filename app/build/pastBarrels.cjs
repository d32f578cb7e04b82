// What the application takes from the core's front doors it takes from behind them, one module at a time: the bundler puts
// everything that a door leads to into the first load, whether it is used there or not.
const { createHash } = require("node:crypto");
const { existsSync, readFileSync } = require("node:fs");
const path = require("node:path");

const CORE = path.join(__dirname, "../../core");
const PACKAGE = "@tonodrome/core";

const fileOf = (from, to) => {
  const file = path.resolve(path.dirname(from), to);
  return existsSync(`${file}.ts`) ? `${file}.ts` : path.join(file, "index.ts");
};

/** The names that a module gives away itself, as far as they are values. */
const ownNames = (source) =>
  [...source.matchAll(/^export (?:async )?(?:const|function|class|enum) (\w+)/gm)].map((m) => m[1]);

/**
 * Where each value that a module gives away is made.
 * @returns {Map<string, {file: string, name: string}>} by the name it is given away under
 */
function madeIn(file) {
  const source = readFileSync(file, "utf8");
  const found = new Map(ownNames(source).map((name) => [name, { file, name }]));
  for (const [, from] of source.matchAll(/^export \* from "(\..+?)";/gm))
    for (const [name, made] of madeIn(fileOf(file, from))) found.set(name, made);
  for (const [, list, from] of source.matchAll(/^export \{([^}]*)\} from "(\..+?)";/gm)) {
    const behind = madeIn(fileOf(file, from));
    for (const entry of list.split(",")) {
      const [name, given = name] = entry.trim().split(/ as /);
      const made = behind.get(name);
      if (made) found.set(given, made);
    }
  }
  return found;
}

/** What each door of the core leads to, by the name it is imported under. Read once. */
let doors = null;
function everyDoor() {
  const { exports: files } = JSON.parse(readFileSync(path.join(CORE, "package.json"), "utf8"));
  doors ??= new Map(
    Object.entries(files).map(([door, file]) => [PACKAGE + door.slice(1), madeIn(path.join(CORE, file))]),
  );
  return doors;
}

module.exports = ({ types: t }) => ({
  visitor: {
    ImportDeclaration(at) {
      const { source, specifiers, importKind } = at.node;
      const values = importKind === "type" ? null : everyDoor().get(source.value);
      if (!values) return;
      const byFile = new Map();
      for (const one of specifiers) {
        if (!t.isImportSpecifier(one)) return;
        if (one.importKind === "type") continue;
        const made = values.get(one.imported.name);
        if (!made) throw at.buildCodeFrameError(`${source.value} gives away no value ${one.imported.name}.`);
        const list = byFile.get(made.file) ?? [];
        list.push(t.importSpecifier(one.local, t.identifier(made.name)));
        byFile.set(made.file, list);
      }
      at.replaceWithMultiple(
        [...byFile].map(([file, list]) => t.importDeclaration(list, t.stringLiteral(file))),
      );
    },
  },
});

/** Another one whenever a door leads elsewhere: files that were made before are made anew then. */
module.exports.version = () =>
  createHash("sha256")
    .update(JSON.stringify([...everyDoor()].map(([door, values]) => [door, ...values])))
    .digest("hex");
