import { existsSync, readdirSync, readFileSync, rmSync } from "node:fs";
import path from "node:path";
import { files } from "../lib/files.mjs";
import { dataDir, root } from "../lib/paths.mjs";
import { testsOf } from "./isBundled.cjs";

/** A test's `require` of ours: what it opens a second time, within `jest.isolateModules`. */
const REQUIRED = /require\("(~\/[^"]+)"\)/g;

/** Where a file was stays what it says of itself. A mutant breaks one line. What is opened anew is read out of the realm. */
const asWritten = (realm, mutant) => ({
  name: "as-written",
  setup(build) {
    build.onLoad({ filter: /\.tsx?$/ }, ({ path: file }) => {
      let contents = readFileSync(file, "utf8");
      if (mutant && file.endsWith(`/${mutant.file}`))
        contents = contents.replace(mutant.from, () => mutant.to);
      contents = contents
        .replaceAll("__dirname", JSON.stringify(path.dirname(file)))
        .replace(REQUIRED, (_, name) => `require(${JSON.stringify(realm)}).open[${JSON.stringify(name)}]()`);
      return { contents, loader: file.endsWith("x") ? "tsx" : "ts" };
    });
    build.onResolve({ filter: /^/ }, ({ path: name }) =>
      name === realm ? { path: name, external: true } : null,
    );
  },
});

/** Packages that Jest cannot read as they are, or whose default means another thing to `require`. */
const INSIDE = /^(?:@tonodrome\/|zod$|zod\/|@date-fns\/|fastify-type-provider-zod$|ical-generator$)/;
/** What stands in a package's place within tests. */
const INSTEAD = { "@node-rs/argon2": path.join(root, "server", "test", "quickHashes.ts") };
const packagesOutside = {
  name: "packages-outside",
  setup(build) {
    build.onResolve({ filter: /^[^./~]/ }, ({ path: name }) =>
      INSTEAD[name] ? { path: INSTEAD[name] } : null,
    );
    build.onResolve({ filter: /^[^./~]/ }, ({ path: name, kind }) =>
      kind === "entry-point" || INSIDE.test(name) || path.isAbsolute(name)
        ? null
        : { path: name, external: true },
    );
  },
};

/**
 * Builds every test of a Jest project, with all that it reads of ours, into one script each: Jest reads one file then in
 * place of hundreds. The transform finds them by TEST_BUNDLES.
 */
export async function buildBundles({ testPathPattern }, { rootDir }) {
  const { build } = await import("esbuild");
  removeOld();
  process.env.TEST_BUNDLES ??= path.join(dataDir, `bundles-${process.pid}`);
  const folder = path.join(rootDir, "test");
  const wanted = new RegExp(testPathPattern || ".");
  const realm = path.join(process.env.TEST_BUNDLES, `${path.basename(rootDir)}-realm.js`);
  const how = {
    bundle: true,
    format: "cjs",
    platform: "node",
    target: "node20",
    mainFields: ["module", "main"],
    conditions: ["import"],
    sourcemap: "linked",
    alias: { "~": path.join(root, "app") },
    plugins: [asWritten(realm, process.env.MUTANT ? JSON.parse(process.env.MUTANT) : null), packagesOutside],
    logLevel: "error",
  };
  const names = new Set(
    [...files(folder)].flatMap((file) =>
      [...readFileSync(file, "utf8").matchAll(REQUIRED)].map(([, name]) => name),
    ),
  );
  const opens = [...names].map((name) => `${JSON.stringify(name)}: () => require(${JSON.stringify(name)})`);
  await Promise.all([
    build({
      ...how,
      entryPoints: testsOf(folder, true).filter((file) => wanted.test(file)),
      outdir: process.env.TEST_BUNDLES,
      outbase: root,
    }),
    names.size > 0 &&
      build({
        ...how,
        stdin: { contents: `export const open = { ${opens.join(", ")} };`, resolveDir: root },
        outfile: realm,
      }),
  ]);
}

/** Removes what runs that were killed left behind. */
function removeOld() {
  if (!existsSync(dataDir)) return;
  for (const name of readdirSync(dataDir)) {
    const pid = /^bundles-(\d+)$/.exec(name)?.[1];
    if (pid && !existsSync(`/proc/${pid}`))
      rmSync(path.join(dataDir, name), { recursive: true, force: true });
  }
}

/** Removes what was built. */
export function removeBundles() {
  if (process.env.TEST_BUNDLES) rmSync(process.env.TEST_BUNDLES, { recursive: true, force: true });
}
