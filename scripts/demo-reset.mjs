// Takes every open demo away; other clubs are left alone.
import { main, Stop, say } from "./lib/say.mjs";
import { runServerCommand } from "./lib/serverCommand.mjs";

main(async () => {
  if ((await runServerCommand("clearDemos", [], "Clearing the demos")) !== 0)
    throw new Stop("The demos could not be cleared.", "The reason is above.");
  say("Every demo is cleared; the next visitor gets a new one.");
});
