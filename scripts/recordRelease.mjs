// Writes down what this release's client asks of the server, for the day on which it lands: `npm run record:release`.
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
    run(process.execPath, ["--import", "tsx", inRoot("e2e", "recordRelease.ts")], {
      env: {
        ...process.env,
        RECORD_URL: url,
        RECORD_FILE: inRoot("server", "test", "release", "requests.json"),
      },
    }),
  );
});
