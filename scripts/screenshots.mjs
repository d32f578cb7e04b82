// Takes the pictures in docs/screenshots from fresh demo data: `npm run screenshots`, then look at each of them.
import { ensureBuilt } from "./lib/build.mjs";
import { ensureChromium } from "./lib/chromium.mjs";
import { run } from "./lib/command.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { inRoot } from "./lib/paths.mjs";
import { main } from "./lib/say.mjs";
import { whileServed } from "./lib/served.mjs";

main(async () => {
  await ensurePackages();
  await ensureChromium();
  await ensureBuilt();
  await whileServed({}, (url) =>
    run(process.execPath, ["--import", "tsx", inRoot("e2e", "screenshots.ts"), ...process.argv.slice(2)], {
      env: { ...process.env, SHOTS_URL: url, SHOTS_DIR: inRoot("docs", "screenshots") },
    }),
  );
});
