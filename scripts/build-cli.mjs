// Builds the command line by itself: `npm run build:cli`.
import { buildCommandLine } from "./lib/buildCommandLine.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { main } from "./lib/say.mjs";

main(async () => {
  await ensurePackages();
  await buildCommandLine();
});
