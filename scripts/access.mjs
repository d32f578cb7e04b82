// What only whoever runs the server can do for people: a new password, an owner for a club.
import { main } from "./lib/say.mjs";
import { runServerCommand } from "./lib/serverCommand.mjs";

main(async () => {
  process.exitCode = await runServerCommand("access", process.argv.slice(2), "An access command");
});
