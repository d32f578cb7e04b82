import { createHash } from "node:crypto";
import { existsSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";
import { run } from "./command.mjs";
import { files } from "./files.mjs";
import { inRoot } from "./paths.mjs";
import { Stop, say } from "./say.mjs";
import { splitCommon } from "./splitCommon.mjs";

const DIST = inRoot("app", "dist");
const MARK = path.join(DIST, ".sources");
/** Files named by their content's hash. */
const HASHED = /^_expo\/static\/|[.-][0-9a-f]{32}\./;

/** Exports the web application when its sources are not the ones it was last built from. */
export async function ensureBuilt() {
  const sources = sourcesHash();
  if (existsSync(MARK) && readFileSync(MARK, "utf8") === sources) return;
  say("Building the application …");
  const fresh = await exported("dist.new");
  splitCommon(fresh);
  await addEarly(fresh);
  await addServiceWorker(fresh);
  compress(fresh);
  writeFileSync(path.join(fresh, ".sources"), sources);
  rmSync(DIST, { recursive: true, force: true });
  renameSync(fresh, DIST);
}

/** Exports an application of the same packages whose one screen is a line of text: what the bench compares with. Its folder. */
export async function ensureEmptyBuilt() {
  const hash = createHash("sha256");
  for (const file of [inRoot("package-lock.json"), ...files(inRoot("app", "bench"))])
    hash.update(readFileSync(file));
  const sources = hash.digest("hex");
  const dir = inRoot("app", "dist.empty");
  const mark = path.join(dir, ".sources");
  if (existsSync(mark) && readFileSync(mark, "utf8") === sources) return dir;
  say("Building the empty application …");
  await exported("dist.empty", { TONODROME_ROUTES: "bench/empty" });
  compress(dir);
  writeFileSync(mark, sources);
  return dir;
}

/** Exports the web application into a folder of its own beside its sources. */
async function exported(name, env = {}) {
  const dir = inRoot("app", name);
  rmSync(dir, { recursive: true, force: true });
  const code = await run(
    inRoot("node_modules", ".bin", "expo"),
    ["export", "-p", "web", "--output-dir", name],
    {
      cwd: inRoot("app"),
      stdio: ["ignore", process.env.TONODROME_VERBOSE ? "inherit" : "ignore", "inherit"],
      env: {
        ...process.env,
        ...{ CI: "1", EXPO_NO_TELEMETRY: "1", EXPO_OFFLINE: "1", NODE_ENV: "production" },
        ...env,
      },
    },
  );
  if (code !== 0)
    throw new Stop(
      "The application could not be built; the reason is above.",
      "Mend it and start again. The last build, if there was one, is untouched.",
    );
  return dir;
}

/** What runs while the application is still loading; the page has it before everything else. */
async function addEarly(dir) {
  const { build } = await import("esbuild");
  await build({
    entryPoints: [inRoot("app", "early", "early.ts")],
    outfile: path.join(dir, "early.js"),
    ...{ bundle: true, minify: true, target: "es2022", logLevel: "error" },
  });
  const page = path.join(dir, "index.html");
  const html = readFileSync(page, "utf8");
  // The application's own scripts are on their way at once; what runs early runs them, in their order.
  const scripts = [...html.matchAll(/<script src="([^"]+)" defer><\/script>/g)];
  const files = scripts.map(([, src]) => src);
  const hints = files.map((src) => `<link rel="preload" href="${src}" as="script">`).join("");
  const early = `<script src="/early.js" data-then="${files.join(" ")}"></script>`;
  const without = scripts.reduce((page, [tag]) => page.replace(tag, ""), html);
  writeFileSync(
    page,
    without.replace("</head>", `${hints}</head>`).replace('<div id="root"></div>', `$&${early}`),
  );
}

/** What keeps the application on the device, with the list of every file it is made of. */
async function addServiceWorker(dir) {
  const [{ build }, { injectManifest }] = await Promise.all([import("esbuild"), import("workbox-build")]);
  const bare = path.join(dir, "sw.bare.js");
  await build({
    entryPoints: [inRoot("app", "sw", "serviceWorker.ts")],
    outfile: bare,
    bundle: true,
    minify: true,
    target: "es2022",
    define: { "process.env.NODE_ENV": '"production"' },
    logLevel: "error",
  });
  const { warnings } = await injectManifest({
    swSrc: bare,
    swDest: path.join(dir, "sw.js"),
    globDirectory: dir,
    globPatterns: ["**/*"],
    globIgnores: ["**/*.{map,txt}", "**/metadata.json", "sw*.js"],
    // Files named by their content need no revision.
    dontCacheBustURLsMatching: HASHED,
    maximumFileSizeToCacheInBytes: LARGEST,
    modifyURLPrefix: { "": "/" },
  });
  rmSync(bare);
  // A file that is left out would be missing without a network.
  if (warnings.length > 0) throw new Stop(warnings.join(" "), "Make the file smaller, or allow for it.");
}

/** Far above any file of the application, bytes. */
const LARGEST = 20_000_000;

function sourcesHash() {
  const hash = createHash("sha256");
  for (const file of [
    inRoot("package-lock.json"),
    ...files(inRoot("app")),
    ...files(inRoot("core", "src")),
    ...["build.mjs", "splitCommon.mjs"].map((name) => inRoot("scripts", "lib", name)),
  ]) {
    // Not of the application: its tests, and the device of the hall.
    if (/\.test\.tsx?$/.test(file) || file.startsWith(inRoot("app", "hall"))) continue;
    hash.update(`${path.relative(inRoot(), file)}\n`).update(readFileSync(file));
  }
  return hash.digest("hex");
}

/** Puts a gzip and a brotli copy beside every text of some size, so that the server never compresses them itself. */
function compress(dir) {
  for (const file of files(dir)) {
    if (!/\.(js|css|html|json|svg|ttf|map)$/.test(file) || statSync(file).size < 1024) continue;
    const content = readFileSync(file);
    writeFileSync(`${file}.gz`, gzipSync(content, { level: 9 }));
    writeFileSync(
      `${file}.br`,
      brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
    );
  }
}
