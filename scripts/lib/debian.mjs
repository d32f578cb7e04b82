import { ask, isRoot, run } from "./command.mjs";
import { Stop, say } from "./say.mjs";

/**
 * Makes sure that a program from Debian's packages is there.
 * @param find returns the program's path or null; `packageName` is what holds it
 * @returns what `find` found
 */
export async function ensureDebian(find, packageName, whatFor) {
  const found = find();
  if (found) return found;
  const byHand = `sudo apt-get install --no-install-recommends ${packageName}`;
  const sudo = !isRoot && ask("sudo", ["-n", "true"]) !== null;
  if (!isRoot && !sudo)
    throw new Stop(`${whatFor} is missing, and this user may not install it.`, `Type: ${byHand}`);
  if (ask("which", ["apt-get"]) === null) {
    throw new Stop(
      `${whatFor} is missing, and this machine has no apt-get.`,
      `Install ${packageName} by your system's own means.`,
    );
  }
  say(`Installing ${packageName} from Debian's packages …`);
  const apt = (...args) => {
    const line = ["env", "DEBIAN_FRONTEND=noninteractive", "apt-get", ...args];
    const [command, ...rest] = sudo ? ["sudo", ...line] : line;
    return run(command, rest, { stdio: ["ignore", "ignore", "inherit"] });
  };
  await apt("update");
  await apt("install", "-y", "--no-install-recommends", packageName);
  const now = find();
  if (!now)
    throw new Stop(
      `${packageName} could not be installed; apt-get's own words are above.`,
      `Type: ${byHand}`,
    );
  return now;
}
