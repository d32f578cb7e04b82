import { createHash } from "node:crypto";
import { readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { Stop } from "./say.mjs";

/*
 * The bundler puts every module that two screens share into one file, which every first load takes. Here that file is
 * parted: what Today needs stays in it, the rest is loaded with the first other screen.
 */

const WEB = "_expo/static/js/web";

/** What a module asks for later, by its place in the list of those it names. */
const ASKED = /\(\w\[(\d+)\],\w\.paths\b/g;

/** The first screen: its route is at this address. */
const FIRST = "./index.tsx";

/** @typedef {{ id: number, text: string, ids: number[], needs: number[], opens: Record<string, string>, later: number[] }} Module */

/**
 * The modules of a file of the bundler's, in their order.
 * @returns {Module[]} each with the ids of all it names, of those it needs at once, the files of the others by their ids, and
 *   those that it asks for later though they lie in a file that is there
 */
export function modulesOf(text, file) {
  return text
    .split(/\n(?=__d\()/)
    .filter((part) => part.startsWith("__d("))
    .map((part) => {
      const found = /,(\d+),(\[[\d,]*\]|\{(?:[^{}]|\{[^{}]*\})*\})\);?\s*(?:\n[\s\S]*)?$/.exec(part);
      if (!found) throw new Stop(`A module of ${file} has a form that is not known.`, "See splitCommon.mjs.");
      const list = JSON.parse(found[2]);
      const opens = list.paths ?? {};
      const ids = Object.entries(list).flatMap(([key, id]) => (key === "paths" ? [] : [id]));
      const asked = new Set([...part.matchAll(ASKED)].map(([, place]) => Number(place)));
      const here = ids.map((id, place) => ({ id, place })).filter(({ id }) => !(id in opens));
      const [later, needs] = [true, false].map((is) =>
        here.filter(({ place }) => asked.has(place) === is).map(({ id }) => id),
      );
      return { id: Number(found[1]), text: part, ids, needs, opens, later };
    });
}

/**
 * Which modules some others need at once, they themselves included.
 * @param {Map<number, Module>} modules
 * @param {(one: Module) => number[]} needs what each of them needs
 */
export function reachOf(modules, from, needs = (one) => one.needs) {
  const reached = new Set();
  const open = [...from];
  while (open.length > 0) {
    const id = open.pop();
    if (reached.has(id) || !modules.has(id)) continue;
    reached.add(id);
    open.push(...needs(modules.get(id)));
  }
  return reached;
}

/**
 * Run before anything else: a file that needs the rest has the rest loaded before it. Both are on their way at once, and run
 * in that order; one that ran too early would be broken for good.
 */
const loader = (rest, files) => `
(function (rest, files) {
  var load;
  function hint(path) {
    var link = document.createElement("link");
    link.rel = "preload";
    link.as = "script";
    link.href = path;
    document.head.appendChild(link);
  }
  function loadAfterRest(path) {
    if (files.indexOf(path) < 0) return load(path);
    hint(path);
    return load(rest).then(function () { return load(path); });
  }
  Object.defineProperty(globalThis, "__loadBundleAsync", {
    configurable: true,
    get: function () { return load && loadAfterRest; },
    set: function (given) { load = given; },
  });
})(${JSON.stringify(rest)}, ${JSON.stringify(files)});`;

/** Parts the common file of an exported application, in place. */
export function splitCommon(dir) {
  const web = path.join(dir, WEB);
  const read = (name) => readFileSync(path.join(web, name), "utf8");
  const names = readdirSync(web).filter((name) => name.endsWith(".js"));
  const only = (beginning) => {
    const [one, ...more] = names.filter((name) => name.startsWith(beginning));
    if (!one || more.length > 0) throw new Stop(`There is no one file ${beginning}.`, "See splitCommon.mjs.");
    return one;
  };
  const [common, entry, layout, runtime] = ["__common", "entry", "_layout", "__expo-metro-runtime"].map(only);
  // A worker has a registry of its own, and loads nothing later.
  const worker = only("fitWorker");
  const files = new Map(names.filter((n) => n !== worker).map((n) => [n, modulesOf(read(n), n)]));
  const modules = new Map([...files.values()].flat().map((m) => [m.id, m]));
  const today = routeFile(files.get(entry));
  const first = reachOf(
    modules,
    [entry, layout, today].flatMap((name) => files.get(name).map((m) => m.id)),
  );
  const rest = files.get(common).filter((m) => !first.has(m.id));
  const late = new Set(rest.map((m) => m.id));
  if (files.get(entry).some((m) => m.later.some((id) => late.has(id))))
    throw new Stop(
      "The entry asks for something of the rest without saying where it lies.",
      "See splitCommon.mjs.",
    );
  // What Today opens with is there with it, and is not asked for after what asks for it has run.
  const kept = [
    ...files.get(common).filter((m) => first.has(m.id)),
    ...[layout, today].flatMap((name) => files.get(name)),
  ];
  const textOf = (list) => list.map((m) => m.text).join("\n");
  const restName = named("later", textOf(rest));
  const restPath = `/${WEB}/${restName}`;
  writeFileSync(path.join(web, restName), textOf(rest));
  const needing = [...files]
    .filter(
      ([name, own]) =>
        name !== common &&
        [
          ...reachOf(
            modules,
            own.map((m) => m.id),
            // Only what Today opens with is told where the rest lies.
            (m) => (first.has(m.id) ? m.needs : [...m.needs, ...m.later]),
          ),
        ].some((id) => late.has(id)),
    )
    .map(([name]) => `/${WEB}/${name}`);
  const page = path.join(dir, "index.html");
  let html = readFileSync(page, "utf8");
  const replace = (name, text) => {
    const anew = named(name.replace(/-[0-9a-f]{32}\.js$/, ""), text);
    rmSync(path.join(web, name));
    writeFileSync(path.join(web, anew), text);
    html = html.replaceAll(name, anew);
  };
  replace(common, textOf(kept.map((m) => opening(m, late, restPath))));
  replace(runtime, `${read(runtime)}${loader(restPath, needing)}`);
  writeFileSync(page, html);
}

/**
 * A module that loads the rest before it asks for something that lies there.
 * @param {Module} one
 * @param {Set<number>} late what lies in the rest
 */
function opening(one, late, restPath) {
  const asks = one.later.filter((id) => late.has(id));
  if (asks.length === 0) return one;
  const paths = { ...one.opens, ...Object.fromEntries(asks.map((id) => [id, restPath])) };
  const list = JSON.stringify({ ...one.ids, paths });
  const at = one.text.lastIndexOf(`,${one.id},`);
  return { ...one, text: `${one.text.slice(0, at)},${one.id},${list});` };
}

/** A file's name by what is in it, as the bundler has them. */
const named = (name, text) => `${name}-${createHash("md5").update(text).digest("hex")}.js`;

/** The file in which the first screen lies: the routes are listed by their addresses, each with what it loads. */
function routeFile(entry) {
  for (const { text, ids, opens } of entry) {
    const at = text.indexOf(`"${FIRST}":`);
    const index = at < 0 ? undefined : /\)\(d\[(\d+)\]/.exec(text.slice(at))?.[1];
    const file = opens[ids[index]];
    if (file) return path.basename(file);
  }
  throw new Stop("Today is not among the routes.", "See splitCommon.mjs.");
}
